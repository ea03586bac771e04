<?php

declare(strict_types=1);

namespace Tests\Crash;

use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** Many presses at one moment, from tabs and an outbox that catches up: none is thrown out, none is lost. */
final class ManyHandsTest extends TestCase
{
    private const HANDS = 24;

    private Server $server;

    protected function setUp(): void
    {
        $this->server = new Server('2026-03-03T19:05:00Z');
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    public function test_twenty_four_hands_at_one_jar_take_each_its_own(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $level = fn (string $jar): float => (float) array_column($this->server->request('GET', "/api/builds/{$build}/mix")[1]['paints'], 'levelMl', 'id')[$jar];
        $jar = array_column($this->server->request('GET', "/api/builds/{$build}/mix")[1]['paints'], 'id', 'name')['Linnet Sea Grey'];
        $before = $level($jar);
        $codes = $this->atOnce(array_fill(0, self::HANDS, ['/api/jars', ['taken' => [['product' => $jar, 'ml' => 0.1]]]]));

        self::assertSame([200], array_values(array_unique($codes)));
        self::assertEqualsWithDelta($before - 0.1 * self::HANDS, $level($jar), 1e-6);
    }

    public function test_twenty_four_notes_at_one_moment_are_all_in_the_log(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $before = $this->server->request('GET', "/api/builds/{$build}/log")[1]['total'];
        $codes = $this->atOnce(array_map(static fn (int $n): array => ["/api/builds/{$build}/events", ['id' => sprintf('01T0000000%016d', $n), 'kind' => 'note', 'at' => '2026-03-03T19:05:00Z', 'note' => "hand {$n}"]], range(1, self::HANDS)));

        self::assertSame([201], array_values(array_unique($codes)));
        self::assertSame($before + self::HANDS, $this->server->request('GET', "/api/builds/{$build}/log")[1]['total']);
    }

    public function test_readers_after_one_write_compile_once(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $readers = array_map(static fn (string $of): string => "/api/builds/{$build}/{$of}", ['bench', 'plan', 'find', 'surface', 'bench', 'breakdown', 'lists', 'booklet']);
        $this->read($readers);
        [$before] = array_unique($this->read($readers));
        foreach (range(1, 3) as $n) {
            $this->server->request('POST', "/api/builds/{$build}/events", ['id' => sprintf('01T0000000%016d', $n), 'kind' => 'note', 'at' => '2026-03-03T19:05:00Z', 'note' => "write {$n}"]);

            self::assertSame([$before + $n], array_values(array_unique($this->read($readers))), 'all at one moment, and the plan was made once');
        }
    }

    public function test_two_hundred_writes_of_settings_at_one_moment_lose_none(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $questions = $this->server->request('GET', "/api/builds/{$build}/house")[1]['questions'];
        $wanted = $writes = [];
        foreach ($questions as $question) {
            $wanted[$question['id']] = array_values(array_filter($question['positions'], static fn (array $p): bool => $p['id'] !== $question['yours']))[0]['id'];
        }
        for ($n = 0; $n < 180; $n++) {
            $question = $questions[$n % count($questions)]['id'];
            $writes[] = ['/api/house', ['question' => $question, 'position' => $wanted[$question]], 'PUT'];
        }
        for ($n = 0; $n < 20; $n++) {
            $writes[] = ['/api/readings', ['temperatureC' => 18 + $n / 10, 'humidity' => 0.5]];
        }
        shuffle($writes);
        $codes = array_merge(...array_map($this->atOnce(...), array_chunk($writes, 50)));
        $pdo = new PDO('sqlite:'.$this->server->database);

        self::assertSame([], array_diff($codes, [200, 201]));
        self::assertEquals($wanted, array_column($this->server->request('GET', "/api/builds/{$build}/house")[1]['questions'], 'yours', 'id'));
        self::assertSame(20, (int) $pdo->query('select count(*) from readings')->fetchColumn());
        self::assertSame('typed', $this->server->request('GET', '/api/frame')[1]['room']['source']);
        self::assertSame(count($questions), (int) $pdo->query("select count(*) from changes where scope = 'house'")->fetchColumn(), 'one change for each that was another');
    }

    public function test_who_finds_the_file_written_by_another_is_told_to_try_again_and_may_read_meanwhile(): void
    {
        $other = new PDO('sqlite:'.$this->server->database);
        $other->exec('begin immediate');
        [$status, $answer] = $this->server->request('PUT', '/api/house', ['question' => 'panes', 'position' => null]);

        self::assertSame([503, 'busy'], [$status, $answer['error']['kind']]);
        self::assertSame(200, $this->server->request('GET', '/api/frame')[0]);
        $other->exec('rollback');
        self::assertSame(200, $this->server->request('PUT', '/api/house', ['question' => 'panes', 'position' => null])[0]);
    }

    public function test_one_file_brought_in_twice_at_one_moment_is_there_once(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $file = $this->server->request('GET', "/api/builds/{$build}/export")[1];
        (new PDO('sqlite:'.$this->server->database))->exec("pragma foreign_keys = on; delete from builds where id = '{$build}'");
        $codes = $this->atOnce([['/api/builds', $file], ['/api/builds', $file]]);
        sort($codes);

        self::assertSame([201, 409], $codes);
        self::assertSame(count($file['events']), $this->server->request('GET', "/api/builds/{$build}/log")[1]['total']);
    }

    /**
     * @param  list<string>  $paths  asked at one moment
     * @return list<int> how often the build was compiled, by each answer
     */
    private function read(array $paths): array
    {
        $all = curl_multi_init();
        $serials = [];
        foreach ($paths as $i => $path) {
            $handle = curl_init($this->server->address().$path);
            curl_setopt_array($handle, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$serials, $i): int {
                if (preg_match('/^Amber-Timetable: (\d+)/i', $line, $m) === 1) {
                    $serials[$i] = (int) $m[1];
                }

                return strlen($line);
            }]);
            curl_multi_add_handle($all, $handle);
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all);
        } while ($running > 0);
        self::assertCount(count($paths), $serials);

        return array_values($serials);
    }

    /**
     * @param  list<array{0: string, 1: array<string, mixed>, 2?: string}>  $posts  path, body, method
     * @return list<int> the status of each
     */
    private function atOnce(array $posts): array
    {
        $all = curl_multi_init();
        $handles = [];
        foreach ($posts as [$path, $body]) {
            $handle = curl_init($this->server->address().$path);
            curl_setopt_array($handle, [CURLOPT_CUSTOMREQUEST => $posts[count($handles)][2] ?? 'POST', CURLOPT_POSTFIELDS => json_encode($body), CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json']]);
            curl_multi_add_handle($all, $handle);
            $handles[] = $handle;
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all);
        } while ($running > 0);

        return array_map(static fn ($handle): int => (int) curl_getinfo($handle, CURLINFO_HTTP_CODE), $handles);
    }
}
