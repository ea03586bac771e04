<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Layering\Phase;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Section;
use AmberStep\Core\Work\Operation;

/**
 * The story of the masks: a frame a colour in the order they are sprayed, and one for what comes off last. Read off the
 * model as it will be: what is done tells when it was, what is planned when it will be.
 */
final class Strip
{
    /** @var list<Frame> */
    public readonly array $frames;

    /** @var array<string, non-empty-list<Area>> areas that are covered one for another, by plate: a piece, or an inside of it */
    public readonly array $plates;

    /** @var list<Colour> sprayed on pieces of one colour only: nothing is covered for them */
    public readonly array $alone;

    /** @var array<string, list<Cap>> by area */
    private array $caps = [];

    public function __construct(private readonly Plan $plan)
    {
        foreach (Section::of($plan)->caps as $cap) {
            if ($cap->purpose !== MaskFor::OPENING) {
                $this->caps[$cap->areaId][] = $cap;
            }
        }
        $all = [];
        foreach ($plan->context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                if ($area->face !== Face::JointFace) {
                    $phase = Phase::of($area->id, $plan->context->breakdown);
                    $all[$piece->id.($phase === '' ? '' : '+'.$phase)][] = $area;
                }
            }
        }
        $this->plates = array_filter($all, self::isMasked(...));
        [$stages, $alone] = $this->stages($all);
        $this->alone = array_map(static fn (Sprayed $s): Colour => $s->colour, $alone);
        [$on, $off] = $this->moves($stages);
        $frames = [];
        foreach ($stages as $i => $stage) {
            $frames[] = $this->frame($stage, $on[$i] ?? [], $off[$i] ?? []);
        }
        $this->frames = isset($off['last']) ? [...$frames, $this->last($off['last'])] : $frames;
    }

    /** The piece of a plate. */
    public static function pieceOf(string $plate): string
    {
        return explode('+', $plate)[0];
    }

    public static function isInside(string $plate): bool
    {
        return str_contains($plate, '+');
    }

    /** @param  non-empty-list<Area>  $areas */
    private static function isMasked(array $areas): bool
    {
        $painted = array_filter($areas, static fn (Area $a): bool => $a->isPainted());

        return $painted !== [] && (count($painted) < count($areas) || count(array_unique(array_map(static fn (Area $a): string => (string) $a->intent->colour, $painted))) > 1);
    }

    /**
     * Colours with the plates they go on, in the order of their first coats.
     *
     * @param  array<string, non-empty-list<Area>>  $all  areas by plate
     * @return array{list<Sprayed>, list<Sprayed>} those with a plate on which something is covered, and the others
     */
    private function stages(array $all): array
    {
        $stages = [];
        foreach ($all as $plate => $areas) {
            foreach ($areas as $area) {
                $colour = $this->plan->context->kit->colour($area->intent->colour);
                $layer = $this->layer($area);
                if ($colour !== null && $layer !== null) {
                    $inside = self::isInside((string) $plate);
                    ($stages[$colour->id.($inside ? '+' : '')] ??= new Sprayed($colour, $inside))->add((string) $plate, $layer);
                }
            }
        }
        $stages = [...array_values($stages), ...$this->sheens($all)];
        usort($stages, static fn (Sprayed $a, Sprayed $b): int => $a->first() <=> $b->first());
        $masked = fn (Sprayed $s): bool => array_intersect_key($s->plates, $this->plates) !== [];

        return [array_values(array_filter($stages, $masked)), array_values(array_filter($stages, static fn (Sprayed $s): bool => ! $masked($s)))];
    }

    /**
     * A varnish is a colour here, on plates where one sheen is capped for another.
     *
     * @param  array<string, non-empty-list<Area>>  $all  areas by plate
     * @return list<Sprayed>
     */
    private function sheens(array $all): array
    {
        $stages = [];
        foreach ($all as $plate => $areas) {
            $capped = array_filter($areas, fn (Area $a): bool => array_filter($this->caps[$a->id] ?? [], static fn (Cap $c): bool => MaskFor::sheen($c->purpose)) !== []);
            foreach ($capped === [] ? [] : $areas as $area) {
                $layer = $this->layer($area, Operation::Final);
                if ($layer?->product !== null && $layer->firstCoat()->kind !== CoatKind::Brushed) {
                    ($stages[$layer->purpose] ??= new Sprayed(new Colour($layer->purpose, 0, "{$layer->purpose} varnish", $layer->product->id), false, $layer->purpose))->add((string) $plate, $layer);
                }
            }
        }

        return array_values($stages);
    }

    private function layer(Area $area, Operation $operation = Operation::Colour): ?Layer
    {
        foreach ($this->plan->final->area($area->id)->layers as $layer) {
            if ($layer->operation === $operation && ($operation === Operation::Final || $layer->purpose === $area->intent->colour)) {
                return $layer;
            }
        }

        return null;
    }

    private function isOf(Area $area, Sprayed $stage): bool
    {
        return $stage->sheen === null ? $area->isPainted() && $area->intent->colour === $stage->colour->id : $this->layer($area, Operation::Final)?->purpose === $stage->sheen;
    }

    /**
     * For which stage each mask is laid, and after which it is lifted: what is lifted once the last colour is begun comes "last".
     *
     * @param  list<Sprayed>  $stages
     * @return array{array<int, array<string, list<Cap>>>, array<int|string, array<string, list<Cap>>>}
     */
    private function moves(array $stages): array
    {
        $on = $off = [];
        $last = $stages === [] ? 0 : $stages[count($stages) - 1]->first();
        foreach ($this->plates as $plate => $areas) {
            $here = array_filter($stages, static fn (Sprayed $s): bool => isset($s->plates[$plate]));
            foreach ($areas as $area) {
                foreach ($this->caps[$area->id] ?? [] as $cap) {
                    $under = array_keys(array_filter($here, static fn (Sprayed $s): bool => $s->plates[$plate][0] >= $cap->onEpoch && ($cap->offEpoch === null || $s->plates[$plate][1] <= $cap->offEpoch)));
                    if ($under === []) {
                        continue;
                    }
                    $key = "{$plate} {$cap->purpose} {$cap->onEpoch}";
                    $on[min($under)][$key][] = $cap;
                    if ($cap->offEpoch !== null) {
                        $off[$cap->offEpoch >= $last ? 'last' : max($under)][$key][] = $cap;
                    }
                }
            }
        }

        return [$on, $off];
    }

    /**
     * @param  array<string, list<Cap>>  $on
     * @param  array<string, list<Cap>>  $off
     */
    private function frame(Sprayed $stage, array $on, array $off): Frame
    {
        $pieces = [];
        $soft = false;
        foreach ($this->plates as $plate => $areas) {
            $here = $stage->plates[$plate] ?? null;
            $pieces[$plate] = array_map(fn (Area $a): Shown => $this->shown($a, $here[0] ?? $stage->first(), $here === null ? null : $stage), $areas);
            $soft = $soft || ($here !== null && array_filter($pieces[$plate], static fn (Shown $s): bool => $s->under?->isSoft() === true) !== []);
        }

        return new Frame($stage->colour, $stage->inside, $pieces, $on, $off, $stage->coats(), $stage->first(), $stage->last(), $stage->last() <= $this->plan->nowEpoch, $soft);
    }

    /** @param  array<string, list<Cap>>  $off */
    private function last(array $off): Frame
    {
        $times = [0];
        foreach ($off as $caps) {
            foreach ($caps as $cap) {
                $times[] = (int) $cap->offEpoch;
            }
        }
        $first = min(array_slice($times, 1) === [] ? [0] : array_slice($times, 1));
        $pieces = array_map(fn (array $areas): array => array_map(fn (Area $a): Shown => $this->shown($a, max($times), null), $areas), $this->plates);

        return new Frame(null, false, $pieces, [], $off, 0, $first, max($times), max($times) <= $this->plan->nowEpoch, false);
    }

    /** @param  Sprayed|null  $stage  what is sprayed on its plate then */
    private function shown(Area $area, int $at, ?Sprayed $stage): Shown
    {
        if ($stage !== null && $this->isOf($area, $stage)) {
            return new Shown($area, Showing::Sprayed);
        }
        foreach ($this->caps[$area->id] ?? [] as $cap) {
            if ($cap->onEpoch <= $at && ($cap->offEpoch === null || $cap->offEpoch > $at)) {
                return new Shown($area, Showing::Capped, $cap->medium);
            }
        }
        $layer = $this->layer($area);

        return new Shown($area, match (true) {
            ! $area->isPainted() => Showing::Bare,
            $stage?->sheen !== null => $this->isSpoilt($area, $stage, $at) ? Showing::Finished : Showing::Done,
            $layer !== null && $layer->firstCoat()->atEpoch < $at => $stage === null ? Showing::Done : Showing::Finished,
            default => Showing::ToCome,
        });
    }

    /** It has its last coat, and another sheen is sprayed along its edge. */
    private function isSpoilt(Area $area, Sprayed $stage, int $at): bool
    {
        $final = $this->layer($area, Operation::Final);
        foreach ($final === null || $final->firstCoat()->atEpoch >= $at ? [] : $this->plan->context->kit->edgesOf($area->id) as $edge) {
            $other = $this->plan->context->kit->areasById[$edge->areas[$edge->areas[0] === $area->id ? 1 : 0]];
            if ($edge->kind === EdgeKind::Hard && $this->isOf($other, $stage)) {
                return true;
            }
        }

        return false;
    }
}
