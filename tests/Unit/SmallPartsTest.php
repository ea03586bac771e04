<?php

declare(strict_types=1);

namespace Tests\Unit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Drying\DailyCycle;
use App\Build\BuildFile;
use App\Clock\BenchClock;
use App\Clock\Drift;
use App\Clock\Uptime;
use App\Room\Hygrometer;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

final class SmallPartsTest extends AppTestCase
{
    private function hygrometer(int $seed = 7): Hygrometer
    {
        return new Hygrometer(new DailyCycle(14, 22, 0.45, 0.80, new DateTimeZone('UTC')), $seed);
    }

    public function test_the_hygrometer_reads_the_same_for_the_same_quarter_hour(): void
    {
        $at = (int) strtotime(self::NOW);

        self::assertEquals($this->hygrometer()->last($at), $this->hygrometer()->last($at + 500));
        self::assertNotEquals($this->hygrometer()->last($at), $this->hygrometer(8)->last($at));
    }

    public function test_the_hygrometer_stays_near_the_rooms_day(): void
    {
        $readings = $this->hygrometer()->between((int) strtotime('2026-03-01T00:00:00Z'), (int) strtotime('2026-03-04T00:00:00Z'));

        self::assertCount(73, $readings);
        foreach ($readings as $reading) {
            self::assertThat($reading->air->temperatureC, self::logicalAnd(self::greaterThan(13), self::lessThan(23)));
            self::assertThat($reading->air->humidity, self::logicalAnd(self::greaterThan(0.42), self::lessThan(0.83)));
        }
    }

    public function test_the_clock_is_frozen_by_its_setting_and_otherwise_runs(): void
    {
        self::assertSame((int) strtotime('2026-01-01T10:00:00Z'), (new BenchClock('2026-01-01T10:00:00Z', false, new Drift(null, new Uptime)))->epoch());
        self::assertTrue((new BenchClock('2026-01-01T10:00:00Z', false, new Drift(null, new Uptime)))->isFrozen());
        self::assertEqualsWithDelta(time(), (new BenchClock(null, false, new Drift(null, new Uptime)))->epoch(), 2);
        self::assertFalse((new BenchClock(null, false, new Drift(null, new Uptime)))->isFrozen());
        self::assertEqualsWithDelta(time(), (new BenchClock('not a time', false, new Drift(null, new Uptime)))->epoch(), 2);
    }

    #[DataProvider('files')]
    public function test_a_build_file_that_is_none_says_so(string $json, string $path, string $wrong): void
    {
        try {
            BuildFile::parse($json);
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertSame($path, $bad->problems[0]->path);
            self::assertStringContainsString($wrong, $bad->problems[0]->wrong);
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function files(): iterable
    {
        yield 'nothing' => ['', '', 'is not JSON'];
        yield 'half' => ['{"format": 1, "kit"', '', 'is not JSON'];
        yield 'a word' => ['"build"', '', 'is not JSON'];
        yield 'no format' => ['{"id": "x"}', 'format', 'is missing'];
        yield 'a newer format' => ['{"format": 99}', 'format', 'newer than this product reads'];
        yield 'format as text' => ['{"format": "1"}', 'format', 'is missing'];
        yield 'unknown field' => ['{"format": 1, "id": "01K00000000000000000000001", "kit": {}, "extra": 1}', 'extra', 'is not a field here'];
    }
}
