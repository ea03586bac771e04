<?php

declare(strict_types=1);

namespace Tests\Crash;

use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** Connections that never come to an end, methods nobody knows, and paths that lead out: the bench answers all the same. */
final class SlowDoorsTest extends TestCase
{
    private Server $server;

    protected function setUp(): void
    {
        $this->server = new Server('2026-03-03T19:05:00Z');
        $this->server->request('GET', '/api/frame');
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    public function test_with_three_hundred_connections_that_never_end_the_bench_answers_at_once(): void
    {
        $slow = [];
        for ($i = 0; $i < 300; $i++) {
            $slow[] = $socket = $this->connect();
            // Nothing at all, half a head, or a body that was promised and does not come.
            fwrite($socket, ['', "GET /api/frame HTTP/1.1\r\nHost: 127.0.0.1:{$this->server->port}\r\nX-Slow: ", "POST /api/builds HTTP/1.1\r\nHost: 127.0.0.1:{$this->server->port}\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{"][$i % 3]);
        }
        for ($i = 0; $i < 12; $i++) {
            self::assertTrue($this->answersInASecond());
            fwrite($slow[3 * $i + 1], 'a');
        }
        array_map(fclose(...), $slow);

        self::assertTrue($this->answersInASecond());
    }

    public function test_methods_nobody_knows_and_heads_that_are_none_keep_nobody_waiting(): void
    {
        foreach (['BREW / HTTP/1.1', 'brew / HTTP/1.1', 'CONNECT x:1 HTTP/1.1', 'GET', 'GET / HTTP/9.9', ' ', "\x00\x01", 'GET / HTTP/1.1'."\r\nContent-Length: -5", 'POST / HTTP/1.1'."\r\nContent-Length: 99999999999", 'POST / HTTP/1.1'."\r\nTransfer-Encoding: chunked\r\n\r\nzz", str_repeat('A', 70000)] as $head) {
            $socket = $this->connect();
            fwrite($socket, "{$head}\r\n\r\n");
            $open[] = $socket;

            self::assertTrue($this->answersInASecond(), $head);
        }
        self::assertNotEmpty($open);
    }

    public function test_a_path_that_leads_out_answers_as_one_that_is_not_there(): void
    {
        foreach ([['/../composer.json', '/../nothing.json'], ['/..%2fcomposer.json', '/..%2fnothing.json'], ['/build/../../composer.json', '/build/../../nothing.json'], ['/build/..%2f..%2fcomposer.json', '/build/..%2f..%2fnothing.json'], ['/../artisan', '/../artisam'], ['/../.env.example', '/../.env.nothing'], ['/%2e%2e/composer.lock', '/%2e%2e/nothing.lock'], ['/build/../../../../../../etc/passwd', '/build/../../../../../../etc/nobody']] as [$there, $not]) {
            self::assertSame($this->bare($not), str_replace(basename($there), basename($not), $this->bare($there)), $there);
        }
    }

    private function answersInASecond(): bool
    {
        $began = hrtime(true);

        return $this->server->request('GET', '/api/frame')[0] === 200 && hrtime(true) - $began < 1e9;
    }

    /** What is answered to a path as it is written, without date and nonce. */
    private function bare(string $path): string
    {
        $socket = $this->connect();
        fwrite($socket, "GET {$path} HTTP/1.1\r\nHost: 127.0.0.1:{$this->server->port}\r\nConnection: close\r\n\r\n");
        $answer = (string) stream_get_contents($socket);
        fclose($socket);

        return (string) preg_replace(['/^date:.*$/mi', '/nonce-[\w+\/=-]+/', '/(content|nonce)="[\w+\/=-]{16,}"/'], '', $answer);
    }

    /** @return resource */
    private function connect()
    {
        $socket = fsockopen('127.0.0.1', $this->server->port, $number, $why, 2);
        self::assertNotFalse($socket, $why);
        stream_set_timeout($socket, 3);

        return $socket;
    }
}
