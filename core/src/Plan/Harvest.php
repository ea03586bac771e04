<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Paint;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;

/**
 * A build as tasks and arcs: walked through once in the plan's order, in nobody's sessions and with nobody else at the
 * bench, so that it says the same whatever else is on the shelf.
 */
final class Harvest
{
    /** °C of a cabinet nobody said more of. */
    private const WARM = 45.0;

    private readonly Tasks $tasks;

    /** @var array<string, int> number of each paint, by product id */
    private array $paints = [];

    private readonly CupCare $cups;

    private function __construct(private readonly Thread $thread, private readonly string $build)
    {
        $this->tasks = new Tasks;
        $this->cups = new CupCare($thread->context, $thread->context->room);
    }

    /** @param  Thread  $thread  at its beginning; it is walked to its end */
    public static function of(Thread $thread, string $build = ''): Tasks
    {
        $harvest = new self($thread, $build);
        $harvest->steps();
        $harvest->inTheGun();
        $harvest->inTheCabinet();
        $harvest->inTheWarmth();
        $thread->waiting->into($harvest->tasks);
        SoftMasks::into($harvest->tasks, $thread->steps);
        MaskStays::into($harvest->tasks, $thread);
        $harvest->walk();

        return $harvest->tasks;
    }

    public static function isGloss(Step $step): bool
    {
        return $step->operation->isVarnish() && $step->product?->sheen === Sheen::Gloss;
    }

    private function steps(): void
    {
        $tasks = $this->tasks;
        Sittings::into($tasks, $this->thread);
        foreach ($this->thread->steps as $step) {
            $tasks->keys[] = $this->build.' '.$step->key;
            $tasks->seconds[] = (int) ceil($this->thread->minutes($step)) * 60;
            $tasks->paint[] = $step->isSprayed() && $step->product !== null ? $this->paint($step->product) : -1;
            $tasks->gloss[] = self::isGloss($step);
            $tasks->water[] = 60 * Thread::sharedMinutes($step);
            $tasks->fixed[] = $this->thread->fixed($step);
            $tasks->open[] = 0;
            $tasks->unlocks[] = $tasks->arcs[] = $tasks->shut[] = $tasks->closes[] = $tasks->readies[] = $tasks->shuts[] = [];
            $tasks->passes[] = $tasks->air[] = [];
        }
    }

    private function paint(Product $product): int
    {
        if (! isset($this->paints[$product->id])) {
            $house = $this->thread->context->house;
            $cups = $this->cups;
            $rule = new PaintGunClean;
            $seconds = static fn (bool $evening): int => 60 * GunCare::minutes($rule->cleaning($product, $evening ? null : $product, $evening ? null : 0, $house)[0]);
            $this->paints[$product->id] = count($this->tasks->paints);
            $this->tasks->paints[] = new Paint($product->id, $product->family !== Family::Aerosol, $seconds(false), $seconds(true), $cups->plannedKeeps($product), $cups->sets($product), $cups->mixedAt($product), $cups->stands($product));
        }

        return $this->paints[$product->id];
    }

    /** What was sprayed last may be in a gun still. */
    private function inTheGun(): void
    {
        foreach (GunCare::begun($this->thread->context) as [$product, $at]) {
            $this->tasks->loaded[] = [$this->paint($product), $at];
        }
        [$this->tasks->last, $operation] = $this->thread->context->surface->lastDone;
        $this->tasks->washed = $operation === Operation::Wash->value;
        $this->tasks->cleaned = $this->thread->context->surface->gunCleaned;
    }

    /** What was put into a warm place dries by its air until something is done on what went in together. */
    private function inTheWarmth(): void
    {
        foreach ($this->thread->steps as $in => $step) {
            if ($step->operation === Operation::Cabinet) {
                $on = array_fill_keys($step->targets, true);
                $out = array_keys(array_filter($this->thread->steps, static fn (Step $s): bool => $s !== $step && array_intersect_key($on, array_fill_keys($s->targets, true)) !== []));
                $this->tasks->warms[$in] = [$step->cabinetC ?? $step->inserted->cabinetC ?? self::WARM, $out];
            }
        }
    }

    /** A piece is in the cabinet until it is next worked on; a warm place has room for all. */
    private function inTheCabinet(): void
    {
        if ($this->thread->context->house->says('drying', 'warm-place')) {
            return;
        }
        $pieces = [];
        foreach ($this->thread->context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                if ($this->thread->context->surface->area($area->id)->openStay() !== null) {
                    $pieces[$piece->id] = true;
                }
            }
        }
        $since = array_fill_keys(array_keys($pieces), -1);
        foreach ($this->thread->steps as $i => $step) {
            foreach (array_intersect_key($since, array_fill_keys($this->thread->piecesOf($step), true)) as $piece => $in) {
                unset($since[$piece]);
                $in < 0 ? $this->tasks->inside[] = $i : $this->tasks->cabinet[$in] = $i;
            }
            if ($step->operation === Operation::Cabinet) {
                $since[$step->pieceId] = $i;
            }
        }
    }

    private function walk(): void
    {
        $arcs = new Arcs($this->tasks, $this->thread->places, $this->thread->gates);
        $now = $this->thread->context->nowEpoch;
        $room = $this->thread->context->room;
        foreach ($this->thread->steps as $i => $step) {
            $holds = $this->thread->holds($step);
            $arcs->add($i, $holds);
            $this->tasks->passes[$i] = array_map($this->ofBuild(...), $this->thread->gates->passedBy($step));
            $this->tasks->air[$i] = array_values(array_filter($this->tasks->passes[$i], static fn (string $gate): bool => str_ends_with($gate, Tasks::AIR)));
            $shut = array_values(array_filter($holds, static fn (Hold $h): bool => $h->untilEpoch > $h->fromEpoch));
            $now = PlannedStep::firstFree($shut, $now);
            if ($step->isSprayed()) {
                $now = $room->fitFrom($now, self::isGloss($step)) ?? $now;
            }
            $now += $this->tasks->seconds[$i];
            $this->thread->do($step, $now);
            $this->tasks->shuts[$i] = array_map(fn (array $shut): array => [$this->ofBuild($shut[0]), $shut[1], $shut[2]], $this->thread->gates->shutBy($step));
        }
    }

    /** Two builds may give a piece the same id, as a copy of one does. */
    private function ofBuild(string $name): string
    {
        return $this->build.' '.$name;
    }
}
