<?php

declare(strict_types=1);

namespace Tests\Crash;

use Illuminate\Filesystem\Filesystem;
use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** Started and stopped by the commands a user has; several starts at one moment make one bench. */
final class UpAndDownTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/amber-up-'.bin2hex(random_bytes(5));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->folder);
    }

    public function test_down_stops_what_up_started_workers_included(): void
    {
        $port = Server::freePort();
        $said = $this->sh('bin/up', $port);
        self::assertStringContainsString("http://127.0.0.1:{$port}", $said);
        self::assertStringContainsString('The demo builds are loaded.', $said);
        self::assertStringContainsString('There is nothing to copy yet.', $said);
        self::assertNotFalse(@file_get_contents("http://127.0.0.1:{$port}/api/health"));
        self::assertStringContainsString('it was running', $this->sh('bin/up', $port));
        self::assertStringContainsString('is stopped', $this->sh('bin/down', $port));
        $free = @stream_socket_server('tcp://127.0.0.1:'.$port);
        self::assertNotFalse($free, 'no worker holds the port');
        fclose($free);
        self::assertStringContainsString('nothing of ours', $this->sh('bin/down', $port));
        self::assertStringContainsString('The copy of today is there.', $this->sh('bin/up', $port), 'made at the start before');
        $this->sh('bin/down', $port);
    }

    public function test_several_first_starts_at_one_moment_make_one_bench(): void
    {
        $running = [];
        for ($i = 0; $i < 4; $i++) {
            $running[] = proc_open(['env', 'DB_DATABASE='.$this->folder.'/bench.sqlite', 'sh', '-c', PHP_BINARY.' artisan amber:upgrade && '.PHP_BINARY.' artisan amber:demo'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__, 2));
        }
        foreach ($running as $process) {
            self::assertIsResource($process);
            self::assertSame(0, proc_close($process));
        }
        $pdo = new PDO('sqlite:'.$this->folder.'/bench.sqlite');

        self::assertSame('ok', $pdo->query('pragma integrity_check')->fetchColumn());
        self::assertSame(6, (int) $pdo->query('select count(*) from builds')->fetchColumn());
        self::assertSame((int) $pdo->query('select count(distinct migration) from migrations')->fetchColumn(), (int) $pdo->query('select count(*) from migrations')->fetchColumn());
    }

    private function sh(string $command, int $port): string
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2))." && AMBER_PORT={$port} DB_DATABASE=".escapeshellarg($this->folder.'/bench.sqlite')." {$command} 2>&1", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));

        return implode("\n", $said);
    }
}
