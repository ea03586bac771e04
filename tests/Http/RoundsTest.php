<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** Work that is done in one go is one round on bench, sheet and log, and each of its parts is ticked by itself; what was told stays. */
final class RoundsTest extends AppTestCase
{
    /** @return list<list<array<string, mixed>>> rounds of the lines, each with its parts */
    private static function rounds(array $lines): array
    {
        $rounds = [];
        foreach ($lines as $line) {
            if ($line['round'] !== null) {
                $rounds[$line['round']['key']][] = $line;
            }
        }

        return array_values($rounds);
    }

    private function tractor(): string
    {
        return (string) Build::query()->where('name', 'like', '%Type 6%')->value('id');
    }

    /** @return list<array<string, mixed>> parts of the first basket on the bench of the tractor */
    private function basket(): array
    {
        $lines = $this->send('GET', "/api/builds/{$this->tractor()}/bench?minutes=90")->assertOk()->json('follows');
        foreach (self::rounds($lines) as $round) {
            if ($round[0]['operation'] === 'wash') {
                return $round;
            }
        }
        self::fail('no basket is washed');
    }

    public function test_a_basket_holds_pieces_of_several_builds_and_each_says_what_is_written_down_for_it(): void
    {
        $basket = $this->basket();

        self::assertGreaterThan(3, count($basket));
        self::assertSame(['Wash in one basket, rinse, set aside to dry'], array_values(array_unique(array_column(array_column($basket, 'round'), 'title'))));
        self::assertGreaterThan(1, count(array_unique(array_column($basket, 'buildId'))), 'of more than one build');
        foreach ($basket as $part) {
            self::assertSame('wash', $part['event']['operation']);
            self::assertSame($part['key'], $part['event']['stepKey']);
        }
        self::assertSame(count($basket), count(array_unique(array_map(static fn (array $p): string => $p['buildId'].$p['key'], $basket))));
        // The first heats the water, each other takes a minute a piece.
        $minutes = array_column($basket, 'minutes');
        self::assertGreaterThan(array_sum(array_slice($minutes, 1)) / (count($minutes) - 1), $minutes[0]);
    }

    public function test_one_part_ticked_leaves_the_others_and_all_ticked_are_one_round_of_the_log(): void
    {
        $own = array_values(array_filter($this->basket(), static fn (array $part): bool => $part['buildId'] === null));
        $this->send('POST', "/api/builds/{$this->tractor()}/events", [...$own[0]['event'], 'id' => self::ulid(1), 'at' => self::NOW])->assertCreated();
        $left = array_values(array_filter($this->basket(), static fn (array $part): bool => $part['buildId'] === null));

        self::assertNotContains($own[0]['key'], array_column($left, 'key'));
        self::assertContains($own[1]['key'], array_column($left, 'key'));

        $this->send('POST', "/api/builds/{$this->tractor()}/events", [...$own[1]['event'], 'id' => self::ulid(2), 'at' => self::NOW])->assertCreated();
        $log = $this->send('GET', "/api/builds/{$this->tractor()}/log")->json('events');

        self::assertSame(['Wash', 'Wash'], array_column(array_slice($log, 0, 2), 'title'));
        self::assertNotNull($log[0]['round']);
        self::assertSame($log[0]['round'], $log[1]['round']);
        self::assertNull($log[2]['round'], 'what was done before is for itself');
    }

    public function test_a_part_of_another_build_is_ticked_from_here(): void
    {
        $other = array_values(array_filter($this->basket(), static fn (array $part): bool => $part['buildId'] !== null))[0];
        $this->send('POST', "/api/builds/{$other['buildId']}/events", [...$other['event'], 'id' => self::ulid(1), 'at' => self::NOW])->assertCreated();

        self::assertNotContains($other['key'], array_column(array_filter($this->basket(), static fn (array $p): bool => $p['buildId'] === $other['buildId']), 'key'));
        self::assertSame('Wash', $this->send('GET', "/api/builds/{$other['buildId']}/log")->json('events.0.title'));
    }

    public function test_the_sheet_has_the_same_rounds_as_the_bench(): void
    {
        $bench = $this->send('GET', "/api/builds/{$this->tractor()}/bench?minutes=120")->json('follows');
        $sheet = $this->send('GET', "/api/builds/{$this->tractor()}/sheet?minutes=120")->assertOk()->json();

        self::assertSame($bench, $sheet['lines']);
        foreach (self::rounds($sheet['lines']) as $round) {
            self::assertGreaterThan(1, count($round));
        }
        self::assertSame([], array_diff(array_column($sheet['steps'], 'key'), array_column($sheet['lines'], 'key')));
    }

    public function test_worked_as_told_whoever_asks_is_told_the_same_for_all_that_follows(): void
    {
        $builds = Build::query()->orderBy('position')->pluck('id')->all();
        $told = self::starts($this->bench(120)['follows'], $builds[0]);
        for ($i = 0; $i < 3; $i++) {
            [$key, $start] = [array_key_first($told), reset($told)];
            [$build, $step] = explode(' ', (string) $key, 2);
            $current = $this->send('GET', "/api/builds/{$build}/bench?minutes=120")->json('current');
            self::assertSame([$step, $start], [$current['key'], $current['start']], 'each bench says what the first said');
            $this->at($current['end']);
            $this->send('POST', "/api/builds/{$build}/events", [...$current['event'], 'id' => self::ulid($i), 'at' => $current['end']])->assertCreated();
            $after = self::starts($this->send('GET', "/api/builds/{$builds[$i]}/bench?minutes=120")->json('follows'), $builds[$i]);
            array_shift($told);

            self::assertSame(array_intersect_key($told, $after), array_intersect_key($after, $told), "after {$key}");
            self::assertGreaterThan(5, count($after));
            $told = $after;
        }
    }

    /** @return array<string, string> begin of each step of the models, by build and key */
    private static function starts(array $lines, string $build): array
    {
        $starts = [];
        foreach ($lines as $line) {
            if (! in_array($line['operation'], ['rinse', 'strip', 'mix'], true)) {
                $starts[($line['buildId'] ?? $build).' '.$line['key']] = $line['start'];
            }
        }

        return $starts;
    }
}
