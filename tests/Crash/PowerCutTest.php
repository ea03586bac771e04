<?php

declare(strict_types=1);

namespace Tests\Crash;

use App\Build\BuildFile;
use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/**
 * The plug is pulled a hundred times, while a client writes and while a command runs: what was acknowledged is there once,
 * nothing is there by half, and the next start is whole.
 */
final class PowerCutTest extends TestCase
{
    private const NOW = '2026-03-03T19:05:00Z';

    private const CUTS = 100;

    private const KINDS = ['event', 'edit', 'jar', 'shelf', 'house', 'import', 'whole', 'demo', 'upgrade', 'restore'];

    private Server $server;

    /** The user's own build, which no fresh demo takes away. */
    private string $own;

    private string $file;

    /** @var list<string> events that were acknowledged */
    private array $acknowledged = [];

    protected function setUp(): void
    {
        $this->server = new Server(self::NOW);
        $this->file = Server::export('Corvane', self::NOW);
        $this->own = $this->server->request('POST', '/api/builds?mode=copy', json_decode($this->file, true))[1]['build']['id'];
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    public function test_what_was_acknowledged_survives_a_hundred_power_cuts_and_nothing_is_half(): void
    {
        for ($n = 0; $n < self::CUTS; $n++) {
            $this->note($n);
            $kind = self::KINDS[$n % count(self::KINDS)];
            $pause = ($n * 7919) % 40000;
            match ($kind) {
                'demo' => $this->cut('amber:demo --again', $pause * 20),
                'upgrade' => $this->upgrade($pause * 8),
                'whole' => $this->whole($pause * 20),
                'restore' => $this->restore($pause * 12),
                default => $this->postAndCut($kind, $n, $pause),
            };
            $this->isWhole("{$kind}, cut {$n}");
        }
        self::assertCount(self::CUTS, $this->acknowledged);
    }

    private function note(int $n): void
    {
        $id = sprintf('01T2000000%016d', $n);
        self::assertSame(201, $this->server->request('POST', "/api/builds/{$this->own}/events", ['id' => $id, 'kind' => 'note', 'at' => self::NOW, 'note' => "Note {$n}"])[0]);
        $this->acknowledged[] = $id;
    }

    /** Sends a write without waiting for the answer, and kills the server's whole process group in the middle of it. */
    private function postAndCut(string $kind, int $n, int $pause): void
    {
        $paint = $this->pdo()->query("select id from products where json_extract(body, '$.name') = 'Linnet Sea Grey'")->fetchColumn();
        $revision = (int) $this->pdo()->query("select revision from builds where id = '{$this->own}'")->fetchColumn();
        [$method, $path, $body, $head] = match ($kind) {
            'event' => ['POST', "/api/builds/{$this->own}/events", ['id' => sprintf('01T4000000%016d', $n), 'kind' => 'note', 'at' => self::NOW, 'note' => str_repeat('long ', 150)], ''],
            'edit' => ['POST', "/api/builds/{$this->own}/changes", ['title' => "Edit {$n}", 'edits' => [['op' => 'set', 'list' => 'kit', 'field' => 'subject', 'value' => "Subject {$n}"]]], "If-Match: \"{$revision}\"\r\n"],
            'jar' => ['PUT', "/api/jars/{$paint}", ['level' => (string) (1 + $n / 10)], ''],
            'shelf' => ['POST', '/api/products', ['name' => "Paint {$n}", 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#AA8844'], ''],
            'house' => ['PUT', '/api/house', ['question' => 'panes', 'position' => $n % 20 < 10 ? 'mask-first' : null], ''],
            default => ['POST', '/api/builds?mode=copy', json_decode($this->file, true), ''],
        };
        $socket = fsockopen('127.0.0.1', $this->server->port);
        self::assertNotFalse($socket);
        $json = (string) json_encode($body);
        fwrite($socket, "{$method} {$path} HTTP/1.1\r\nHost: 127.0.0.1:{$this->server->port}\r\nContent-Type: application/json\r\n{$head}Content-Length: ".strlen($json)."\r\n\r\n".$json);
        usleep($kind === 'import' ? 8 * $pause : $pause);
        $this->server->kill();
        fclose($socket);
        $this->server->start();
    }

    private function upgrade(int $pause): void
    {
        $old = dirname($this->server->database).'/old.sqlite';
        // Not as a file: what is in the log beside it belongs to it.
        $this->pdo()->exec("vacuum into '{$old}'");
        $pdo = new PDO('sqlite:'.$old);
        $pdo->exec("delete from changes where scope != 'build'; alter table builds drop column away; alter table builds drop column binned; drop index changes_of_builds; drop index changes_of_others; alter table changes drop column scope; delete from migrations where migration like '%changes_of_anything'");
        $events = (int) $pdo->query('select count(*) from events')->fetchColumn();
        unset($pdo);
        $this->cut('amber:upgrade', $pause, $old);
        $this->finish('amber:upgrade', $old);
        $pdo = new PDO('sqlite:'.$old);
        self::assertSame([$events, 'ok'], [(int) $pdo->query('select count(*) from events')->fetchColumn(), $pdo->query('pragma integrity_check')->fetchColumn()]);
        self::assertSame(0, (int) $pdo->query("select count(*) from changes where scope != 'build'")->fetchColumn());
        foreach ((array) glob(dirname($old).'/old.sqlite*') as $each) {
            unlink((string) $each);
        }
    }

    /** Another bench comes in whole, or does not come in. */
    private function whole(int $pause): void
    {
        $other = dirname($this->server->database).'/other.sqlite';
        $file = dirname($this->server->database).'/all.zip';
        $this->finish("amber:export --all --to={$file}");
        $all = (int) $this->pdo()->query('select count(*) from builds')->fetchColumn();
        $this->pdo()->exec("vacuum into '{$other}'");
        (new PDO('sqlite:'.$other))->exec("delete from builds where demo = 1; update products set body = json_set(body, '$.name', 'Another') where demo = 1");
        $this->cut("amber:import {$file} --replace", $pause, $other);
        $pdo = new PDO('sqlite:'.$other);
        $is = [(int) $pdo->query('select count(*) from builds')->fetchColumn(), (int) $pdo->query("select count(*) from products where json_extract(body, '$.name') = 'Another'")->fetchColumn() > 0];
        self::assertContains($is, [[$all - 6, true], [$all, false]]);
        $this->finish("amber:import {$file} --replace", $other);
        self::assertSame([$all, 'ok'], [(int) $pdo->query('select count(*) from builds')->fetchColumn(), $pdo->query('pragma integrity_check')->fetchColumn()]);
        unset($pdo);
        foreach ((array) glob(dirname($other).'/other.sqlite*') as $each) {
            unlink((string) $each);
        }
    }

    /** What was done since the copy is there, or the copy is: nothing in between. */
    private function restore(int $pause): void
    {
        $copy = $this->server->request('POST', '/api/copies', [])[1]['copy']['name'];
        $then = $this->events();
        $this->server->request('POST', "/api/builds/{$this->own}/events", ['id' => sprintf('01T6000000%016d', count($this->acknowledged)), 'kind' => 'note', 'at' => self::NOW, 'note' => 'Since the copy']);
        $this->cut("amber:restore {$copy}", $pause);
        self::assertContains($this->events(), [$then, $then + 1]);
        $this->finish("amber:restore {$copy}");
        self::assertSame($then, $this->events());
    }

    private function events(): int
    {
        return (int) $this->pdo()->query('select count(*) from events')->fetchColumn();
    }

    /** Kills a command in the middle of its work. */
    private function cut(string $command, int $pause, ?string $database = null): void
    {
        $process = proc_open(['env', ...$this->environment($database), 'setsid', PHP_BINARY, dirname(__DIR__, 2).'/artisan', ...explode(' ', $command)], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
        self::assertIsResource($process);
        usleep($pause);
        posix_kill(-proc_get_status($process)['pid'], SIGKILL);
        posix_kill(proc_get_status($process)['pid'], SIGKILL);
        proc_close($process);
    }

    private function finish(string $command, ?string $database = null): void
    {
        exec('env '.implode(' ', array_map(escapeshellarg(...), $this->environment($database))).' '.PHP_BINARY.' '.escapeshellarg(dirname(__DIR__, 2).'/artisan').' '.$command.' 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
    }

    /** @return list<string> */
    private function environment(?string $database): array
    {
        return ['APP_ENV=testing', 'AMBER_NOW='.self::NOW, 'DB_DATABASE='.($database ?? $this->server->database)];
    }

    private function isWhole(string $when): void
    {
        $pdo = $this->pdo();
        self::assertSame('ok', $pdo->query('pragma integrity_check')->fetchColumn(), $when);
        self::assertSame([], $pdo->query('pragma foreign_key_check')->fetchAll(), $when);
        $notes = $pdo->query("select id, count(*) from events where id like '01T2000000%' group by id")->fetchAll(PDO::FETCH_KEY_PAIR);
        self::assertSame($this->acknowledged, array_keys($notes), $when);
        self::assertSame([1], array_values(array_unique($notes)), $when);
        self::assertSame(6, (int) $pdo->query('select count(*) from builds where demo = 1')->fetchColumn(), $when);
        $full = count(BuildFile::parse($this->file)->events);
        foreach ($pdo->query("select b.id, b.revision, count(e.id) as events, (select max(revision) from changes where build_id = b.id) as last from builds b left join events e on e.build_id = b.id where b.name like 'Corvane%' and b.id != '{$this->own}' group by b.id")->fetchAll() as $build) {
            self::assertSame($full, (int) $build['events'], $when);
        }
        $own = $pdo->query("select revision, (select max(revision) from changes where scope = 'build' and build_id = builds.id) as last from builds where id = '{$this->own}'")->fetch();
        self::assertSame((int) $own['revision'], max(1, (int) $own['last']), $when);
        // A change of the shelf and the paint it is about are written together.
        $paints = (int) $pdo->query("select count(*) from products where json_extract(body, '$.name') like 'Paint %'")->fetchColumn();
        self::assertSame($paints, (int) $pdo->query("select count(*) from changes where scope = 'shelf' and title like 'Paint % on the shelf'")->fetchColumn(), $when);
        self::assertSame(200, $this->server->request('GET', '/api/frame')[0], $when);
    }

    private function pdo(): PDO
    {
        return new PDO('sqlite:'.$this->server->database);
    }
}
