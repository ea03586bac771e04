<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Hand;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Mask;
use AmberStep\Core\Log\ModelState;

/** What the register of masks knows: which are spare, on, spent or lost, what has no mask, what has no place, which hands are wrong. */
final readonly class Register
{
    public function __construct(private Kit $kit, private ModelState $surface)
    {
    }

    /** spare: it waits; on: it lies; spent: it has lain; lost: it is gone */
    public function state(Mask $mask): string
    {
        $state = $mask->area === null ? null : $this->surface->area($mask->area);

        return match (true) {
            $mask->lost => 'lost',
            $state !== null && $state->masks !== [] => 'on',
            $state !== null && $state->masksPast !== [] => 'spent',
            default => 'spare',
        };
    }

    /** @return list<Mask> that lie on an area, or will; lost ones left out */
    public function on(string $area): array
    {
        return array_values(array_filter($this->kit->masks, static fn (Mask $m): bool => $m->area === $area && ! $m->lost));
    }

    /**
     * @param  list<string>  $areas  that are masked in one go
     * @param  string  $purpose  colour it is laid for, or what else
     * @return list<Mask> that are laid then
     */
    public function laid(array $areas, string $purpose): array
    {
        $laid = [];
        foreach ($areas as $area) {
            array_push($laid, ...array_filter($this->on($area), static fn (Mask $m): bool => $m->stage === null || $m->stage === $purpose || MaskFor::all($purpose)));
        }

        return $laid;
    }

    /** The other of a pair, for the other hand. */
    public function other(Mask $mask): ?Mask
    {
        foreach ($this->kit->masks as $other) {
            if ($mask->pair !== '' && $other->id !== $mask->id && ! $other->lost && [$other->sheet, $other->pair, $other->what] === [$mask->sheet, $mask->pair, $mask->what]) {
                return $other;
            }
        }

        return null;
    }

    /** @return list<Area> panes without a mask, where any pane has one of the register */
    public function panesWithout(): array
    {
        $panes = array_values(array_filter($this->kit->areas, static fn (Area $a): bool => $a->isPane()));
        $with = array_filter($panes, fn (Area $a): bool => $this->on($a->id) !== []);

        return $with === [] ? [] : array_values(array_filter($panes, fn (Area $a): bool => $this->on($a->id) === []));
    }

    /**
     * Typed masks as they come into the register: those of panes on the panes that have none yet, in the kit's order.
     *
     * @param  list<array{sheet: string, label: string, what: string, hand: Hand, pair: string}>  $typed
     * @param  callable(): string  $newId
     * @return list<Mask>
     */
    public function taken(array $typed, callable $newId): array
    {
        $free = array_values(array_filter($this->kit->areas, fn (Area $a): bool => $a->isPane() && $this->on($a->id) === []));
        $masks = [];
        foreach ($typed as $i => $one) {
            $isPane = preg_match('/\Apanes?\z/i', $one['what']) === 1;
            $masks[] = new Mask($newId(), count($this->kit->masks) + $i, $one['label'], $one['sheet'], rtrim($one['what'], 's'), area: $isPane ? array_shift($free)?->id : null, hand: $one['hand'], pair: $one['pair']);
        }

        return $masks;
    }

    /** @return list<array{Mask, Mask}> two of one pair for the same hand */
    public function sameHandTwice(): array
    {
        $pairs = [];
        foreach ($this->kit->masks as $mask) {
            if ($mask->pair !== '' && ! $mask->lost) {
                $pairs["{$mask->sheet}/{$mask->pair}/{$mask->what}"][] = $mask;
            }
        }
        $twice = [];
        foreach ($pairs as $masks) {
            foreach ($masks as $i => $one) {
                foreach (array_slice($masks, $i + 1) as $other) {
                    if ($one->hand === $other->hand && $one->hand !== Hand::None && $one->label !== $other->label) {
                        $twice[] = [$one, $other];
                    }
                }
            }
        }

        return $twice;
    }

    /**
     * @param  list<Mask>  $masks
     * @return array<string, array<string, list<string>>> labels, by sheet and by what they are
     */
    private static function bySheet(array $masks): array
    {
        $by = [];
        foreach ($masks as $mask) {
            $by[$mask->sheet][$mask->what][] = $mask->label;
        }

        return $by;
    }

    /** @return list<string> what there is to say of it, in sentences */
    public function says(): array
    {
        $loose = array_values(array_filter($this->kit->masks, static fn (Mask $m): bool => $m->area === null && ! $m->lost));
        $lost = array_values(array_filter($this->kit->masks, static fn (Mask $m): bool => $m->lost));
        $says = [];
        foreach ($this->panesWithout() as $pane) {
            $says[] = "{$pane->name} has no mask.";
        }
        foreach ($this->sameHandTwice() as [$one, $other]) {
            $says[] = "{$one->name()} and {$other->name()} are one pair, and both for {$one->hand->word()}.";
        }
        foreach (self::bySheet($loose) as $sheet => $masks) {
            $says[] = 'Left over'.($sheet === '' ? '' : " of sheet {$sheet}").', without a place: '.implode(', ', array_map(static fn (string $what, array $labels): string => Names::listed($labels).($what === '' ? '' : " ({$what})"), array_keys($masks), $masks)).'.';
        }
        if ($lost !== []) {
            $says[] = 'Lost: '.Names::listed(array_map(static fn (Mask $m): string => $m->name(), $lost)).'.';
        }

        return $says;
    }
}
