<?php

declare(strict_types=1);

namespace Tests\Crash;

use Illuminate\Filesystem\Filesystem;
use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** The search beside the server: killed it loses nothing, one works at a time, and it holds nobody's port. */
final class SearchKilledTest extends TestCase
{
    private const NOW = '2026-03-03T19:05:00Z';

    private Server $server;

    protected function setUp(): void
    {
        $this->server = new Server(self::NOW);
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    public function test_killed_at_its_work_nothing_is_lost_and_the_next_one_does_it(): void
    {
        $before = $this->server->request('GET', '/api/frame')[1]['builds'];
        $search = $this->search();
        $this->waitForLock();
        $second = $this->search();
        self::assertStringContainsString('another search is at work', $this->said($second), 'two searchers, one works');
        proc_terminate($search[0], SIGKILL);
        $this->said($search);

        self::assertSame([], $this->hints(), 'nothing is half written');
        self::assertSame('ok', $this->pdo()->query('pragma integrity_check')->fetchColumn());
        self::assertSame(array_column($before, 'id'), array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id'));
        self::assertStringContainsString('min at the guns', $this->said($this->search()), 'the next one is not kept out');
        self::assertCount(1, $this->hints());
    }

    public function test_the_server_killed_while_it_searches_leaves_the_port_free(): void
    {
        $folder = sys_get_temp_dir().'/amber-search-'.bin2hex(random_bytes(5));
        mkdir($folder);
        $port = Server::freePort();
        try {
            $this->sh('bin/up', $port, $folder);
            $root = dirname(__DIR__, 2);
            $group = (int) file_get_contents("{$root}/var/server.{$port}.pid");
            $search = (int) file_get_contents("{$root}/var/search.{$port}.pid");
            self::assertTrue(posix_kill($search, 0), 'it searches');
            posix_kill(-$group, SIGKILL);
            for ($i = 0; $i < 400 && ($free = @stream_socket_server('tcp://127.0.0.1:'.$port)) === false; $i++) {
                usleep(5000);
            }
            self::assertIsResource($free ?? null, 'nobody holds the port');
            self::assertTrue(posix_kill($search, 0), 'the search is at work still');
            fclose($free);
            $this->sh('bin/up', $port, $folder);
            self::assertNotSame($search, (int) file_get_contents("{$root}/var/search.{$port}.pid"));
            $this->sh('bin/down', $port, $folder);
            self::assertFileDoesNotExist("/proc/{$search}/exe", 'none is left behind');
        } finally {
            exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && AMBER_PORT={$port} bin/down 2>&1");
            (new Filesystem)->deleteDirectory($folder);
        }
    }

    private function sh(string $command, int $port, string $folder): void
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && AMBER_PORT={$port} DB_DATABASE=".escapeshellarg($folder.'/bench.sqlite')." {$command} 2>&1", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
    }

    /** @return array{resource, resource} the process and what it says */
    private function search(): array
    {
        $process = proc_open(['env', 'APP_ENV=testing', 'DB_DATABASE='.$this->server->database, PHP_BINARY, 'artisan', 'amber:search'], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__, 2));
        self::assertIsResource($process);

        return [$process, $pipes[1]];
    }

    /** @param  array{resource, resource}  $search */
    private function said(array $search): string
    {
        $said = (string) stream_get_contents($search[1]);
        proc_close($search[0]);

        return $said;
    }

    private function waitForLock(): void
    {
        for ($i = 0; $i < 1000; $i++) {
            $lock = @fopen($this->server->database.'.search-lock', 'r');
            if ($lock !== false && ! flock($lock, LOCK_EX | LOCK_NB)) {
                fclose($lock);

                return;
            }
            usleep(5000);
        }
        self::fail('it does not begin');
    }

    /** @return list<mixed> */
    private function hints(): array
    {
        return $this->pdo()->query('select hints from hints')->fetchAll(PDO::FETCH_COLUMN);
    }

    private function pdo(): PDO
    {
        return new PDO('sqlite:'.$this->server->database);
    }
}
