<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Reading;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Timing\Calendar;
use DateTimeImmutable;
use DateTimeZone;

/** A build written in words: kit, log, room and clock, as a scenario file or a test says them. */
final class Build
{
    public readonly Names $names;

    public Shelf $shelf;

    public Experience $experience;

    public Kit $kit;

    /** @var list<Event> */
    public array $events = [];

    public int $now;

    public readonly DateTimeZone $zone;

    /** @param  array<string, mixed>  $said */
    public function __construct(private readonly array $said)
    {
        $this->names = new Names;
        $this->zone = new DateTimeZone($said['zone'] ?? 'UTC');
        $this->experience = new Experience;
        $this->shelf = Paints::shelf($this->names, $said['without'] ?? [], $said['shelf'] ?? []);
        $this->now = $this->at($said['now'] ?? '2026-03-02 20:00');
        $this->kit = (new KitWords($this->names, $this->zone))->kit($said);
        foreach ($said['log'] ?? [] as $event) {
            $this->record($event);
        }
    }

    /** @param  array<string, mixed>  $event {at, do, on, for, with, coat, ...} */
    public function record(array $event): Event
    {
        $id = sprintf('01E0000000%016d', count($this->events) + 1);
        $this->events[] = $made = (new EventWords($this->names, $this->at(...)))->event($event, $id);

        return $made;
    }

    public function plan(?Kit $kit = null, ?int $minutes = 90): Plan
    {
        return $this->planAt($this->now, $minutes, $this->now, $kit);
    }

    /**
     * The plan as it is asked for at a moment.
     *
     * @param  int|null  $minutes  the user is at the bench from $begun on; null: by the calendar alone
     */
    public function planAt(int $nowEpoch, ?int $minutes, int $begun, ?Kit $kit = null): Plan
    {
        $calendar = Calendar::usual($this->zone);

        return Plan::compile($kit ?? $this->kit, new HouseRules, $this->shelf, $this->events, $this->roomAt($nowEpoch), $minutes === null ? $calendar : $calendar->atBench($begun, $minutes), $nowEpoch, $this->experience);
    }

    /** @param  list<Edit>  $edits */
    public function edit(array $edits): void
    {
        $this->kit = $this->kit->apply($edits);
    }

    public function id(string $name): string
    {
        return $this->names->id($name);
    }

    public function at(string|int $time): int
    {
        if (is_int($time)) {
            return $time;
        }
        $text = preg_match('/\A\d\d?:\d\d\z/', $time) === 1 ? (new DateTimeImmutable('@'.$this->now))->setTimezone($this->zone)->format('Y-m-d ').$time : $time;

        return (new DateTimeImmutable($text, $this->zone))->getTimestamp();
    }

    /** @return list<string> "severity rule" of each finding */
    public static function findings(Plan $plan): array
    {
        return array_map(static fn (Finding $f): string => $f->severity->value.' '.$f->rule, $plan->findings);
    }

    public function roomAt(int $nowEpoch): Room
    {
        $said = $this->said['room'] ?? [20, 50];
        if (isset($said['cycle'])) {
            [$low, $high, $dry, $damp] = $said['cycle'];
            $cycle = new DailyCycle($low, $high, $dry / 100, $damp / 100, $this->zone);
        }
        $readings = [];
        foreach ($said['readings'] ?? [] as [$at, $temperature, $humidity]) {
            $readings[] = new Reading($this->at($at), new Conditions($temperature, $humidity / 100));
        }
        if (isset($said[0])) {
            $cycle = new DailyCycle($said[0], $said[0], $said[1] / 100, $said[1] / 100, $this->zone);
        }

        return new Room($readings, $nowEpoch, $cycle ?? null);
    }
}
