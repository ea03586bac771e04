<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Work\Operation;

/** Folds one event after the other into the state of the model. The planner folds imaginary events the same way. */
final class Fold
{
    /** Purpose of a mask or coat nobody gave a purpose. */
    public const ANY = '*';

    private readonly PlaceFold $places;

    private readonly CabinetFold $cabinet;

    private readonly CoatFold $coats;

    public function __construct(private readonly Kit $kit, private readonly Shelf $shelf, public readonly ModelState $surface)
    {
        $this->places = new PlaceFold($kit, $surface);
        $this->cabinet = new CabinetFold($kit, $surface);
        $this->coats = new CoatFold($kit);
    }

    public function apply(Event $event): void
    {
        foreach ($event->targets as $target) {
            $this->surface->lastAt[$target] = $event->atEpoch;
        }
        if ($event->stepKey !== null) {
            $this->surface->answered[$event->stepKey] = [$event->atEpoch, $event->id];
        }
        if (in_array($event->kind, [EventKind::Done, EventKind::MaskOn, EventKind::MaskOff, EventKind::Glued], true)) {
            $this->surface->lastDone = [$event->atEpoch, $event->operation->value ?? ''];
            $this->cabinet->takeOut($event);
        }
        match ($event->kind) {
            EventKind::Done => $this->done($event),
            EventKind::MaskOn => $this->maskOn($event),
            EventKind::MaskOff => $this->maskOff($event),
            EventKind::Glued => $this->glued($event),
            EventKind::IntoCabinet => $this->cabinet->into($event),
            EventKind::OutOfCabinet => $this->cabinet->outOf($event),
            EventKind::Mixed => $this->mixed($event),
            EventKind::Fault => $this->fault($event),
            EventKind::Verdict => $this->verdict($event),
            EventKind::Ticked => $this->ticked($event),
            EventKind::Fitted => $this->fitted($event),
            EventKind::Reading, EventKind::Note, EventKind::TakeBack => null,
        };
        if ($event->stepKey !== null && str_contains($event->stepKey, '/fault+')) {
            $this->remedyDone($event->stepKey);
        }
    }

    /** The purpose a fact is counted under: a phase's own mark is part of the step's key, not of the fact. */
    public static function counted(string $purpose): string
    {
        return explode('+', $purpose, 2)[0];
    }

    private function mixed(Event $event): void
    {
        // What it took is written down once it is on the model: no cup is mixed by that.
        if ($event->usedMl === null) {
            $this->surface->mixes[] = new Mix($event->id, (string) $event->product, $event->atEpoch, $event->potLifeMinutes ?? 0, $event->poured);
        }
    }

    private function ticked(Event $event): void
    {
        foreach ($event->targets as $target) {
            $this->surface->ticks["{$target}/{$event->purpose}"] = $event->id;
        }
    }

    private function fitted(Event $event): void
    {
        foreach ($event->targets as $target) {
            $this->surface->fitted[$target][] = [$event->place ?? '', $event->id];
        }
    }

    private function done(Event $event): void
    {
        $operation = $event->operation ?? Operation::Look;
        if ($operation === Operation::CloseColour) {
            $this->surface->closed[self::counted($event->purpose)] = $event->atEpoch;

            return;
        }
        if ($operation === Operation::Discard) {
            $this->surface->discarded[$event->purpose] = $event->atEpoch;

            return;
        }
        if ($operation->joins()) {
            $this->glued($event);

            return;
        }
        if ($operation->cleansTheGun()) {
            $this->surface->gunCleaned[(string) $event->product] = $event->atEpoch;
            $this->surface->cleanings[(string) $event->product] = ($this->surface->cleanings[(string) $event->product] ?? 0) + 1;

            return;
        }
        $purpose = $event->purpose === '' ? $this->coats->guessPurpose($event) : self::counted($event->purpose);
        $product = $operation->leavesLayer() ? ($this->shelf->find($event->product) ?? CoatFold::unknown($event->product)) : null;
        $product = $event->hardened ? $product?->hardened() : $product;
        foreach ($event->targets as $target) {
            if (isset($this->kit->featuresById[$target])) {
                $this->surface->features[$target] = $event->id;

                continue;
            }
            if (isset($this->kit->jointsById[$target]) || isset($this->kit->flawsById[$target])) {
                $this->places->done($target, $operation, $purpose, $event);

                continue;
            }
            $state = isset($this->kit->areasById[$target]) ? $this->surface->area($target) : $this->surface->piece($target);
            $state->note($operation, $purpose, $event->atEpoch);
            $this->coats->onArea($state, $operation, $purpose, $product, $event);
        }
        if ($operation === Operation::Wipe && $event->wipe !== null) {
            $this->surface->wipes[] = new Wiped($event->id, $event->atEpoch, $event->wipe, $event->targets);
        }
        if ($operation === Operation::Inspect) {
            foreach ($event->targets as $target) {
                $this->surface->inspections[$target][] = [$event->atEpoch, $event->found ?? 0, $purpose];
            }
        }
    }

    private function glued(Event $event): void
    {
        foreach ($event->targets as $target) {
            $joint = $this->kit->jointsById[$target] ?? null;
            if ($joint !== null) {
                $state = $this->surface->joint($target);
                $state->closedAt = $event->atEpoch;
                $state->closedBy = $event->id;
                $state->glue = $event->glue ?? $joint->glue;
            }
        }
    }

    private function maskOn(Event $event): void
    {
        $purpose = $event->purpose === '' ? self::ANY : self::counted($event->purpose);
        foreach ($event->targets as $target) {
            $state = $this->surface->area($target);
            $state->note(Operation::Mask, $purpose, $event->atEpoch);
            $state->bare($purpose, $event->atEpoch, $event->stepKey);
            $state->masks[$purpose] = new MaskOn($event->medium ?? \AmberStep\Core\Material\Medium::PaperTape, $event->atEpoch, $purpose, $event->id, $event->stepKey);
        }
    }

    private function maskOff(Event $event): void
    {
        $purpose = $event->purpose === '' ? self::ANY : self::counted($event->purpose);
        foreach ($event->targets as $target) {
            $state = $this->surface->area($target);
            $state->note(Operation::Unmask, $purpose, $event->atEpoch);
            foreach ($purpose === self::ANY ? array_keys($state->masks) : [$purpose, self::ANY, 'insert'] as $gone) {
                $state->bare((string) $gone, $event->atEpoch, $event->stepKey);
            }
        }
    }

    private function fault(Event $event): void
    {
        $first = $event->targets[0] ?? '';
        $state = $this->surface->area($first);
        $this->surface->faults[$event->id] = new OpenFault($event->id, $event->fault ?? Fault::Dust, $event->targets, $event->atEpoch, $event->product ?? $state->top()?->product?->id, Seen::at($state, $event->product));
    }

    /** A fault is closed by the last step of its remedy. */
    private function remedyDone(string $stepKey): void
    {
        if (preg_match('~/fault\+([0-9A-Z]{26})/(\d+)\z~', $stepKey, $m) === 1) {
            $fault = $this->surface->faults[$m[1]] ?? null;
            if ($fault !== null && (int) $m[2] >= count($fault->fault->remedy($fault->seen))) {
                $this->surface->faultClosed($m[1]);
            }
        }
    }

    private function verdict(Event $event): void
    {
        if ($event->verdict === null) {
            return;
        }
        if ($event->wait === null) {
            $this->places->judged($event, $event->verdict);

            return;
        }
        foreach ($event->targets as $target) {
            $timed = Timed::on($target, $event->wait, $this->surface, $this->kit);
            if ($timed !== null) {
                $this->surface->learned->hear($timed->subject, $event->wait->value, $event->verdict, ($event->atEpoch - $timed->sinceEpoch) / 60 / $timed->typicalMinutes);
            }
        }
    }
}
