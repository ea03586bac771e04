<?php

declare(strict_types=1);

namespace Tests\Crash;

use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** The plug is pulled while a client posts: what was acknowledged is there once, nothing is there by half. */
final class PowerCutTest extends TestCase
{
    private const CUTS = 20;

    private const EVENTS = 300;

    public function test_every_acknowledged_event_survives_twenty_power_cuts_and_none_is_half_written(): void
    {
        $server = new Server('2026-03-03T19:05:00Z');
        try {
            $build = $server->request('GET', '/api/frame')[1]['builds'][0]['id'];
            $acknowledged = [];
            $left = self::CUTS;
            $cutAfter = fn (int $n): bool => $n > 0 && $n % intdiv(self::EVENTS, self::CUTS) === 0;
            for ($n = 0; $n < self::EVENTS; $n++) {
                $id = sprintf('01T2000000%016d', $n);
                if ($left > 0 && $cutAfter($n + 1)) {
                    $left--;
                    $this->postAndCut($server, $build, $id, $n);
                    $server->start();
                }
                $status = 0;
                for ($try = 0; $status === 0 && $try < 20; $try++) {
                    [$status] = $server->request('POST', "/api/builds/{$build}/events", self::note($id, $n));
                }
                self::assertContains($status, [200, 201]);
                $acknowledged[] = $id;
            }
            self::assertSame(0, $left);
            $server->kill();
            $this->isWhole($server->database, $acknowledged);
        } finally {
            $server->stop();
        }
    }

    /** Sends an event without waiting for the answer, and kills the server's whole process group in the middle of it. */
    private function postAndCut(Server $server, string $build, string $id, int $n): void
    {
        $socket = fsockopen('127.0.0.1', $server->port);
        self::assertNotFalse($socket);
        $body = (string) json_encode(self::note($id, $n));
        fwrite($socket, "POST /api/builds/{$build}/events HTTP/1.1\r\nHost: 127.0.0.1:{$server->port}\r\nContent-Type: application/json\r\nContent-Length: ".strlen($body)."\r\n\r\n".$body);
        // Cuts fall at different moments of the request, spread by the number of the event.
        usleep(($n * 7919) % 15000);
        $server->kill();
        fclose($socket);
    }

    /** @param  list<string>  $acknowledged */
    private function isWhole(string $database, array $acknowledged): void
    {
        $file = new PDO('sqlite:'.$database);
        self::assertSame('ok', $file->query('PRAGMA integrity_check')->fetchColumn());
        $rows = $file->query("select id, body from events where id like '01T2000000%'")->fetchAll(PDO::FETCH_KEY_PAIR);
        self::assertEqualsCanonicalizing($acknowledged, array_keys($rows));
        foreach ($rows as $id => $body) {
            self::assertSame($id, json_decode((string) $body, true)['id']);
        }
        self::assertSame(count($acknowledged), (int) $file->query("select count(*) from events where id like '01T2000000%'")->fetchColumn());
    }

    /** @return array<string, mixed> */
    private static function note(string $id, int $n): array
    {
        return ['id' => $id, 'kind' => 'note', 'at' => '2026-03-03T19:05:00Z', 'note' => "Note {$n}, ".str_repeat('long ', 50)];
    }
}
