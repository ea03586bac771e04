<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Booklet\BookletReader;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Operation;
use DateTimeZone;
use LogicException;

/** A build typed in as lines, and its booklet, as a person would. */
final class TypedBuild
{
    public const NOW = 1772478000; // Mon 2026-03-02 19:00 UTC

    public Kit $kit;

    public int $now = self::NOW;

    public readonly Shelf $shelf;

    /** @var list<Event> */
    public array $events = [];

    private int $ids = 0;

    public function __construct(string $lines, string $booklet = '')
    {
        $this->shelf = Paints::shelf(new Names);
        $this->kit = new Kit('A build', '', 35, new DateTimeZone('UTC'), []);
        $this->lines($lines);
        $this->booklet($booklet);
    }

    public function lines(string $text): void
    {
        $reading = LineReader::read($text, $this->kit, $this->shelf, $this->newId(...));
        self::demand($reading->unread());
        $this->kit = $reading->kit;
    }

    public function booklet(string $text): void
    {
        $reading = BookletReader::read($text, $this->kit, $this->shelf, $this->newId(...));
        self::demand($reading->unread());
        $this->kit = $reading->kit;
    }

    public function plan(?Kit $kit = null): Plan
    {
        return Plan::compile($kit ?? $this->kit, new HouseRules, $this->shelf, $this->events, new Room([], $this->now, new DailyCycle(20, 20, 0.5, 0.5, $this->kit->zone)), Calendar::usual($this->kit->zone), $this->now);
    }

    /** @param  array<string, mixed>  $more */
    public function happened(EventKind $kind, string $target, ?Operation $operation = null, string $purpose = '', array $more = []): void
    {
        $this->events[] = Event::fromArray(['id' => $this->newId(), 'kind' => $kind->value, 'at' => gmdate('Y-m-d\TH:i:s\Z', self::NOW - 7200 + 600 * count($this->events)), 'targets' => [$target], 'operation' => $operation?->value, 'purpose' => $purpose, ...$more]);
    }

    public function part(string $name): string
    {
        return self::id($this->kit->parts, $name);
    }

    public function joint(string $name): string
    {
        return self::id($this->kit->joints, $name);
    }

    public function area(string $name): string
    {
        return self::id($this->kit->areas, $name);
    }

    public function colour(string $name): string
    {
        return self::id($this->kit->colours, $name);
    }

    /** @return list<Finding> */
    public function says(string $rule): array
    {
        return array_values(array_filter($this->plan()->findings, static fn (Finding $f): bool => $f->rule === $rule));
    }

    /** Takes a way out by its title. */
    public function fix(Finding $finding, string $title): void
    {
        foreach ($finding->fixes as $fix) {
            if (str_starts_with($fix->title, $title)) {
                $this->edit($fix->edits);

                return;
            }
        }
        throw new LogicException("no fix \"{$title}\", but ".implode('; ', array_map(static fn ($f): string => $f->title, $finding->fixes)));
    }

    /** @param  list<Edit>  $edits */
    public function edit(array $edits): void
    {
        $this->kit = $this->kit->apply($edits);
    }

    public function newId(): string
    {
        return sprintf('01T0000000%016d', ++$this->ids);
    }

    /** @param  list<object{id: string, name: string}>  $things */
    private static function id(array $things, string $name): string
    {
        foreach ($things as $thing) {
            if ($thing->name === $name) {
                return $thing->id;
            }
        }
        throw new LogicException("nothing is called \"{$name}\", but ".implode(', ', array_map(static fn (object $t): string => $t->name, $things)));
    }

    /** @param  list<\AmberStep\Core\Lines\ReadLine>  $unread */
    private static function demand(array $unread): void
    {
        if ($unread !== []) {
            throw new LogicException("{$unread[0]->text}: {$unread[0]->problems[0]->sentence()}");
        }
    }
}
