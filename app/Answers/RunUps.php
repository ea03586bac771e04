<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\RunUp\RunUp;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\RunUpPresenter;
use App\Repositories\Evenings;
use App\Repositories\Settings;
use App\Repositories\Shows;

/** The way of all builds to their shows: worked out once, kept until something it rests on changes or the plan runs out. */
final readonly class RunUps
{
    /** Where it is kept: it belongs to no build. */
    private const BENCH = 'bench';

    private const NAME = 'run-up';

    private const LATE = 'late';

    public function __construct(private Store $store, private Marks $marks, private AllBuilds $builds, private Shows $shows, private Settings $settings, private Evenings $evenings, private BenchClock $clock)
    {
    }

    public function ask(): Kept
    {
        $now = $this->clock->epoch();
        $mark = $this->marks->withTimes('run-up');
        $kept = $this->store->get(self::BENCH, self::NAME);
        if ($kept !== null && $kept->holds($mark, $now)) {
            return $kept;
        }
        $run = $this->read();
        $until = $run === null ? $now + 86400 : min([$now + 86400, ...array_map(static fn (Plan $p): int => max($now + 60, $p->validUntil), $run[1])]);
        $zone = BenchZone::zone();
        $answer = $run === null ? ['shows' => [], 'eveningMinutes' => 0, 'builds' => [], 'columns' => []] : RunUpPresenter::of($run[0], $this->evenings->dates(), $zone);
        $this->store->write($this->store->path(self::BENCH, self::LATE), json_encode([$this->marks->ofKits(), $run === null ? [] : self::daysLate($run[0])], JSON_THROW_ON_ERROR));
        $kept = new Kept($mark, $now, $until, 0, null, Packed::of($answer));
        $this->store->put(self::BENCH, self::NAME, $kept);

        return $kept;
    }

    /** @return array<string, int> of builds that are late */
    private static function daysLate(RunUp $run): array
    {
        $days = [];
        foreach ($run->runs as $one) {
            $days[$one->build] = $one->daysLate();
        }

        return array_filter($days, static fn (int $d): bool => $d > 0);
    }

    /** @return array<string, int> days by which builds miss their shows: the frame says so at once, and nothing where kits, shows or evenings were changed since it was worked out */
    public function late(): array
    {
        $said = json_decode((string) $this->store->read(self::BENCH, self::LATE), true);

        return is_array($said) && ($said[0] ?? null) === $this->marks->ofKits() && is_array($said[1] ?? null) ? array_filter($said[1], is_int(...)) : [];
    }

    /**
     * @return array{RunUp, array<array-key, Plan>}|null of the builds that can be read; null where none is in hand
     */
    public function read(): ?array
    {
        $plans = $this->builds->allOrNone();
        $zone = BenchZone::zone();

        return $plans === null ? null : [new RunUp($plans, $this->shows->byBuild($zone), $this->settings->calendar($zone), $this->clock->epoch()), $plans->byBuild];
    }
}
