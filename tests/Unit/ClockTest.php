<?php

declare(strict_types=1);

namespace Tests\Unit;

use App\Clock\BenchClock;
use App\Clock\Drift;
use App\Clock\Uptime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A clock that jumped is said, and the product goes on by the machine's own time until somebody says that it is right. */
final class ClockTest extends TestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/amber-clock-'.bin2hex(random_bytes(5));
        mkdir($this->folder);
        $this->machine(5000, 'first');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), array_map(strval(...), (array) glob($this->folder.'/*')));
        rmdir($this->folder);
    }

    /** @return iterable<string, array{int, int, int}> seconds the machine ran, seconds the clock went on, what is a jump */
    public static function looks(): iterable
    {
        yield 'nothing between' => [0, 0, 0];
        yield 'an evening later' => [86400, 86400, 0];
        yield 'a minute off' => [3600, 3660, 0];
        yield 'two minutes back, just not' => [0, -120, 0];
        yield 'more than two minutes back' => [0, -121, -121];
        yield 'back while it ran' => [7200, 3600, -3600];
        yield 'twelve hours on, just not' => [60, 60 + 12 * 3600, 0];
        yield 'half a day on' => [60, 61 + 12 * 3600, 12 * 3600 + 1];
        yield 'a year on' => [600, 600 + 365 * 86400, 365 * 86400];
    }

    #[DataProvider('looks')]
    public function test_the_clock_is_held_against_the_machines_own_time(int $ran, int $went, int $jumped): void
    {
        self::assertSame(0, $this->drift()->seconds(1_700_000_000));
        $this->machine(5000 + $ran, 'first');

        self::assertSame($jumped, $this->drift()->seconds(1_700_000_000 + $went));
        $this->machine(5000 + $ran + 100, 'first');
        self::assertSame($jumped, $this->drift()->seconds(1_700_000_000 + $went + 100), 'and it stays so');
        $this->drift()->accept(1_700_000_000 + $went + 100);
        self::assertSame(0, $this->drift()->seconds(1_700_000_000 + $went + 100));
    }

    public function test_after_a_start_of_the_machine_only_back_can_be_told(): void
    {
        $this->drift()->seconds(1_700_000_000);
        $this->machine(10, 'second');
        self::assertSame(-500, $this->drift()->seconds(1_699_999_500));
        self::assertSame(0, $this->drift()->seconds(1_700_900_000));
        self::assertSame(-900_000, $this->drift()->seconds(1_700_000_000), 'what it went on to is what it is held against');
    }

    public function test_holds_wait_while_nobody_spoke_and_go_by_the_clock_once_somebody_did(): void
    {
        $clock = new BenchClock(null, false, $this->drift());
        self::assertEqualsWithDelta(time(), $clock->epoch(), 2);
        // A day ago by the clock, and ten seconds ago by the machine.
        file_put_contents($this->folder.'/seen', json_encode(['epoch' => time() - 86400, 'up' => 4990, 'start' => 'first']));
        $jumped = new BenchClock(null, false, $this->drift());
        self::assertEqualsWithDelta(time() - 86390, $jumped->epoch(), 2);
        self::assertEqualsWithDelta(86390, $jumped->jumped(), 2);
        $jumped->accept();
        self::assertEqualsWithDelta(time(), $jumped->epoch(), 2);
        self::assertSame(0, (new BenchClock('2026-01-01T10:00:00Z', false, $this->drift()))->jumped(), 'a frozen clock does not jump');
    }

    public function test_what_was_seen_may_be_missing_or_nonsense(): void
    {
        foreach ([null, '', '{"epoch": "x"}', '[1]'] as $kept) {
            $kept === null ? @unlink($this->folder.'/seen') : file_put_contents($this->folder.'/seen', $kept);
            self::assertSame(0, $this->drift()->seconds(1_700_000_000));
            self::assertSame(0, (new Drift(null, new Uptime))->seconds(1_700_000_000));
        }
        self::assertGreaterThan(0, (new Uptime)->seconds());
    }

    private function drift(): Drift
    {
        return new Drift($this->folder.'/seen', new Uptime($this->folder.'/uptime', $this->folder.'/start'));
    }

    private function machine(int $seconds, string $start): void
    {
        file_put_contents($this->folder.'/uptime', "{$seconds}.25 100.00\n");
        file_put_contents($this->folder.'/start', "{$start}\n");
    }
}
