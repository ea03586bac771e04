<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Work\Operation;

/** The booklet's gluing in its order, and what paint stands before it: the first of those is where someone who glues first comes to a dead stop. */
final readonly class Gluing
{
    /** @param  list<GluingStop>  $stops  in the order of the booklet */
    private function __construct(public array $stops)
    {
    }

    public static function of(Kit $kit, Breakdown $breakdown, ModelState $surface): self
    {
        $stops = [];
        foreach (self::inOrder($kit) as $joint) {
            if ($surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            $stop = self::stop($joint, $kit, $breakdown, $surface);
            if ($stop !== null) {
                $stops[] = $stop;
            }
        }

        return new self($stops);
    }

    /** The first that hides what is not painted yet; where none does, the first part left off for paint. */
    public function deadStop(): ?GluingStop
    {
        foreach ($this->stops as $stop) {
            if ($stop->closesOver) {
                return $stop;
            }
        }

        return $this->stops[0] ?? null;
    }

    /** @return list<Joint> those with a step, by step, then in the user's order */
    public static function inOrder(Kit $kit): array
    {
        $joints = array_values(array_filter($kit->joints, static fn (Joint $j): bool => $j->stepIn($kit) !== null));
        usort($joints, static fn (Joint $a, Joint $b): int => [$a->stepIn($kit), $a->position, $a->id] <=> [$b->stepIn($kit), $b->position, $b->id]);

        return $joints;
    }

    private static function stop(Joint $joint, Kit $kit, Breakdown $breakdown, ModelState $surface): ?GluingStop
    {
        $step = (int) $joint->stepIn($kit);
        $hidden = self::unpainted($joint->blocks, $kit, $surface);
        if ($hidden !== []) {
            $closes = sprintf('Step %d closes %s over %s', $step, $joint->name, Names::listed(self::names(array_merge(...array_values($hidden)), $kit)));
            $colours = self::colours($hidden, $kit);

            return new GluingStop($step, $joint->id, $joint->name, array_keys($hidden), "{$closes}: paint {$colours} first.", true, "{$closes}: who glues first is shut out; the plan has {$colours} on before.");
        }
        if ($breakdown->closesBeforePaint($joint->id)) {
            return null;
        }
        $areas = [];
        foreach ($breakdown->sides($joint) as $piece) {
            array_push($areas, ...array_map(static fn ($a): string => $a->id, $piece->areas));
        }
        $wanted = self::unpainted($areas, $kit, $surface);

        return $wanted === [] ? null : new GluingStop($step, $joint->id, $joint->name, array_keys($wanted), sprintf('Step %d glues %s: left off until after paint, since %s. First %s.', $step, $joint->name, $breakdown->reason($joint->id), self::colours($wanted, $kit)), false);
    }

    /**
     * @param  list<string>  $areas
     * @return array<string, list<string>> areas without their colour, by colour
     */
    private static function unpainted(array $areas, Kit $kit, ModelState $surface): array
    {
        $wanted = [];
        foreach ($areas as $id) {
            $area = $kit->areasById[$id] ?? null;
            $colour = $area?->intent->colour;
            if ($area !== null && $colour !== null && $area->isPainted() && $surface->area($id)->count(Operation::Colour, $colour) === 0) {
                $wanted[$colour][] = $id;
            }
        }

        return $wanted;
    }

    /** @param  array<string, list<string>>  $byColour */
    private static function colours(array $byColour, Kit $kit): string
    {
        return Names::listed(array_map(static fn (string $c): string => $kit->coloursById[$c]->name, array_map(strval(...), array_keys($byColour))));
    }

    /**
     * @param  list<string>  $areas
     * @return list<string>
     */
    private static function names(array $areas, Kit $kit): array
    {
        return array_map(static function (string $id) use ($kit): string {
            $area = $kit->areasById[$id];
            $part = $kit->partsById[$area->part];

            return str_starts_with(mb_strtolower($area->name), mb_strtolower($part->name)) ? $area->name : "{$part->name}, {$area->name}";
        }, $areas);
    }
}
