<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Pins;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Masking\MediumAdvice;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Stages\Frame;
use AmberStep\Core\Section\Stages\Plate;
use AmberStep\Core\Section\Stages\Shown;
use AmberStep\Core\Section\Stages\Strip;
use AmberStep\Core\Telling\MaskCard;
use AmberStep\Core\Work\Operation;

/** The story of the masks: a frame a colour, what is laid for it and lifted after it, and the orders there could be. */
final readonly class MasksPresenter
{
    private Strip $strip;

    private Pins $pins;

    public function __construct(private Plan $plan)
    {
        $this->strip = new Strip($plan);
        $this->pins = new Pins($plan->context->kit);
    }

    /** @return array<string, mixed> */
    public static function page(Plan $plan): array
    {
        return (new self($plan))->whole() + ['orders' => OrdersPresenter::of($plan), 'register' => RegisterPresenter::of($plan)];
    }

    /** @return array<string, mixed> */
    public function whole(): array
    {
        $masks = [];
        foreach ($this->strip->frames as $frame) {
            foreach ($frame->on as $key => $caps) {
                $masks[$key] = $this->mask((string) $key, $caps);
            }
        }
        $frames = array_values(array_map($this->frame(...), $this->strip->frames));

        return [
            'head' => ['colours' => count(array_filter($frames, static fn (array $f): bool => $f['colour'] !== null && $f['varnish'] === false)), 'masks' => count($masks), 'edgeCm' => round(array_sum(array_column($masks, 'edgeCm')), 1), 'evenings' => $this->evenings()],
            'aspect' => Plate::ASPECT,
            'plates' => $this->plates(),
            'frames' => $frames,
            'masks' => array_values($masks),
            'alone' => array_map($this->colour(...), $this->strip->alone),
            'findings' => array_values(array_filter(PlanPresenter::findings($this->plan), static fn (array $f): bool => in_array($f['rule'], ['uncovered', 'tape-safe', 'tape-overstays', 'unmask-when', 'mask-reacts', 'edge-fits-scale', 'light-then-dark', 'varnish-edge', 'score-before-lift', 'panes-last', 'clear-glue-then-mask', 'mask-in-heat', 'opening-covered', 'mask-hand', 'paper-tape-on-curve'], true))),
        ];
    }

    /** @return array<string, mixed> */
    private function frame(Frame $frame): array
    {
        $last = [];
        foreach ($frame->pieces as $plate => $shown) {
            foreach ($shown as $one) {
                $last[] = ['plate' => (string) $plate, 'area' => $one->area->id, 'as' => $one->as->value, 'word' => $one->as->word(), 'under' => $one->under?->word()];
            }
        }

        return [
            'colour' => $frame->colour === null ? null : $this->colour($frame->colour), 'inside' => $frame->inside, 'varnish' => $frame->colour !== null && MaskFor::sheen($frame->colour->id), 'coats' => $frame->coats,
            'from' => Time::utc($frame->fromEpoch), 'until' => Time::utc($frame->untilEpoch), 'done' => $frame->isDone, 'oneSitting' => $frame->inOne,
            'tiles' => $last, 'on' => array_map(strval(...), array_keys($frame->on)), 'off' => array_map(fn (string $key, array $caps): array => ['mask' => $key, 'name' => $this->names($caps), 'medium' => $caps[0]->medium->word(), 'at' => Time::utc($caps[0]->offEpoch), 'isOff' => $caps[0]->off], array_map(strval(...), array_keys($frame->off)), array_values($frame->off)),
            'open' => Names::listed(array_map(static fn (Shown $s): string => $s->area->name, $frame->open())),
        ];
    }

    /** @return array{id: string, name: string, swatch: string|null} */
    private function colour(Colour $colour): array
    {
        return ['id' => $colour->id, 'name' => $colour->name, 'swatch' => $this->plan->context->shelf->find($colour->product)?->swatch];
    }

    /** @return list<array<string, mixed>> the largest first */
    private function plates(): array
    {
        $plates = $this->strip->plates;
        uasort($plates, static fn (array $a, array $b): int => array_sum(array_map(static fn (Area $x): float => $x->cm2(), $b)) <=> array_sum(array_map(static fn (Area $x): float => $x->cm2(), $a)));

        return array_map(fn (int|string $id, array $areas): array => $this->plate((string) $id, $areas), array_keys($plates), array_values($plates));
    }

    /**
     * @param  non-empty-list<Area>  $areas
     * @return array<string, mixed>
     */
    private function plate(string $id, array $areas): array
    {
        return [
            'id' => $id, 'name' => $this->plan->context->pieceName(Strip::pieceOf($id)).(Strip::isInside($id) ? ', inside' : ''),
            'piece' => Strip::pieceOf($id), 'photo' => Strip::isInside($id) ? null : $this->photo(Strip::pieceOf($id)),
            'tiles' => PlatePresenter::tiles($areas, $this->plan),
        ];
    }

    /** @return array<string, mixed>|null what is laid under its plate, with the areas that were named on it */
    private function photo(string $piece): ?array
    {
        foreach ($this->plan->context->kit->photos as $photo) {
            if ($photo->target === $piece) {
                return $photo->toArray();
            }
        }

        return null;
    }

    /**
     * @param  list<Cap>  $caps  laid in one go
     * @return array<string, mixed>
     */
    private function mask(string $key, array $caps): array
    {
        $context = $this->plan->context;
        $cap = $caps[0];
        $areas = array_map(static fn (Cap $c): string => $c->areaId, $caps);
        $piece = Strip::pieceOf(explode(' ', $key)[0]);
        $edges = $context->kit->edgesRound($areas);
        $chosen = $this->pins->find(static fn (Pin $p): mixed => $p->medium, Operation::Mask, $cap->purpose, $piece, ...$areas);
        $advice = new MediumAdvice($cap->medium, $edges, $cap->purpose, $context->house, $chosen !== null);
        $on = $cap->onKey === null ? null : $context->steps->find($cap->onKey);
        $off = $cap->offKey === null ? null : $context->steps->find($cap->offKey);
        $bare = in_array($cap->purpose, [MaskFor::PANES, MaskFor::BARE], true);
        $planned = $this->plan->left[$cap->onKey ?? ''] ?? null;

        return [
            'key' => $key, 'step' => $cap->onKey, 'name' => $this->names($caps), 'piece' => $context->pieceName($piece), 'pieceId' => $piece, 'purpose' => $cap->purpose,
            'medium' => ['medium' => $cap->medium->value, 'word' => $cap->medium->word()], 'why' => $advice->why, 'chosen' => $chosen !== null,
            'runnerUp' => $advice->runnerUp === null ? null : ['medium' => $advice->runnerUp[0]->value, 'word' => $advice->runnerUp[0]->word(), 'why' => $advice->runnerUp[1]],
            'areas' => $areas, 'edgeCm' => round(array_sum(array_map(static fn (Edge $e): float => $e->mm / 10, $edges)), 1), 'cm2' => round(array_sum(array_map(static fn (string $a): float => $context->kit->areasById[$a]->cm2(), $areas)), 1),
            'minutes' => $planned === null ? null : round($planned->minutes, 1), 'softMm' => self::softMm($edges),
            'laid' => $on === null ? [] : MaskCard::laid($on, $context), 'lifted' => $off === null ? [] : MaskCard::lifted($off, $context),
            'on' => Time::utc($cap->onEpoch), 'isOn' => $cap->on, 'off' => Time::utc($cap->offEpoch), 'isOff' => $cap->off,
            'latestOff' => Time::utc($cap->onEpoch + 60 * $cap->medium->longestStayMinutes($bare)),
        ];
    }

    /** @param  list<Cap>  $caps */
    private function names(array $caps): string
    {
        return Names::listed(array_map(fn (Cap $c): string => $this->plan->context->areaName($c->areaId), $caps));
    }

    /**
     * @param  list<Edge>  $edges
     * @return float|null mm, the widest of the soft ones
     */
    private static function softMm(array $edges): ?float
    {
        $soft = array_map(static fn (Edge $e): float => $e->softMm, array_filter($edges, static fn (Edge $e): bool => $e->kind !== \AmberStep\Core\Kit\EdgeKind::Hard));

        return $soft === [] ? null : max($soft);
    }

    /** Days on which a mask is laid or lifted or a colour is sprayed between masks, that are still to come. */
    private function evenings(): int
    {
        $days = [];
        $pieces = array_fill_keys(array_map(Strip::pieceOf(...), array_map(strval(...), array_keys($this->strip->plates))), true);
        foreach ($this->plan->left as $planned) {
            if (isset($pieces[$planned->step->pieceId]) && in_array($planned->step->operation, [Operation::Mask, Operation::Unmask, Operation::Colour, Operation::Ground], true)) {
                $days[(new \DateTimeImmutable('@'.$planned->startEpoch))->setTimezone($this->plan->context->kit->zone)->format('Y-m-d')] = true;
            }
        }

        return count($days);
    }
}
