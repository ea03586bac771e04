<?php

declare(strict_types=1);

namespace Tests\Crash;

use PHPUnit\Framework\TestCase;
use Tests\Support\Contract;
use Tests\Support\Hostile;
use Tests\Support\Server;

/**
 * The doors as somebody finds them who means no good: with AMBER_HOSTILE=20000 the test is as long as that, with
 * AMBER_SEED from another seed.
 */
final class HostileTest extends TestCase
{
    private Server $server;

    protected function setUp(): void
    {
        $this->server = new Server('2026-03-03T19:05:00Z');
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    public function test_whatever_is_sent_nothing_falls_over_takes_long_or_tells_of_the_machine(): void
    {
        for ($i = count($this->ids()); $i < 20; $i++) {
            $this->server->request('POST', '/api/builds/blank', ['name' => "Kit number {$i}", 'scale' => 72]);
        }
        $hostile = new Hostile((int) (getenv('AMBER_SEED') ?: 20261129), Contract::paths(), $this->ids());
        $root = dirname(__DIR__, 2);
        for ($i = (int) (getenv('AMBER_HOSTILE') ?: 500); $i > 0; $i--) {
            [$method, $path, $body, $headers] = $hostile->next();
            $began = hrtime(true);
            [$status, $head, $sent] = $this->server->exchange($method, $path, $body, $headers);
            $took = (hrtime(true) - $began) / 1e9;
            $what = "{$i}: {$method} {$path} with ".substr((string) $body, 0, 400);
            // What the server under it does not know as a method it answers itself: 501.
            self::assertTrue($status > 0 && ($status < 500 || ($status === 501 && $method === 'BREW')), "{$status}: {$what}");
            self::assertLessThan(2.0, $took, $what);
            $said = $head.(preg_match('/^content-encoding/mi', $head) === 1 ? (string) (@gzuncompress($sent) ?: @gzdecode($sent)) : $sent);
            self::assertDoesNotMatchRegularExpression('~'.preg_quote($root, '~').'|/vendor/|Stack trace|Warning: |Notice: |Deprecated: |SQLSTATE|X-Powered-By~i', $said, $what);
        }
        self::assertSame(200, $this->server->request('GET', '/api/frame')[0]);
        foreach (array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id') as $build) {
            self::assertSame(200, $this->server->request('GET', "/api/builds/{$build}/plan")[0], 'what was taken in can be planned');
        }
    }

    /** @return list<string> */
    private function ids(): array
    {
        return array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id');
    }
}
