<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Water putty drinks paint: without primer or a sealing coat over it, it shows as a dull patch.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Fillers: water putty',
)]
final class PorousFillerSealed implements Judges
{
    private const SEALING = [Operation::Prime, Operation::Barrier, Operation::Seal, Operation::Gloss];

    public function id(): string
    {
        return 'porous-filler-sealed';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach (array_keys($context->steps->courses) as $id) {
            $place = Place::find((string) $id, $context->kit);
            $state = $context->surface->joint((string) $id);
            $filled = $state->filler ?? ($context->steps->find("{$id}/fill/all/1") === null ? null : $place?->filler());
            $open = $place === null || $filled !== Filler::WaterPutty ? [] : $this->unsealed($outlook, $place->parts);
            if ($place === null || $open === []) {
                continue;
            }
            $key = (new Finding($this->id(), Severity::Think, '', '', [$place->id]))->key;
            $first = $outlook->stack($open[0])[0] ?? null;
            $fixes = $first?->isPlanned() === true ? [
                new Fix('A sealing coat first', [Edit::insert(new Inserted(Id::from('seal', $place->id), Operation::Barrier, $open, "Seal the putty at {$place->name}", $first->operation->value, product: $first->product?->id, answers: $key))]),
                ...($state->filledAt === null && ! isset($context->kit->jointsById[$place->id]) ? [new Fix('Solvent putty in thin layers', [Edit::set('flaws', $place->id, 'filler', Filler::SolventPutty->value)])] : []),
                ...($state->filledAt === null && isset($context->kit->jointsById[$place->id]) ? [new Fix('Solvent putty in thin layers', [Edit::set('joints', $place->id, 'filler', Filler::SolventPutty->value)])] : []),
            ] : [];
            yield new Finding($this->id(), Severity::Think, ucfirst("{$place->name}: water putty under paint, unsealed"), 'It is porous and drinks the paint: it shows through as a dull patch.', [$place->id], [], $fixes);
        }
    }

    /**
     * @param  non-empty-list<string>  $parts
     * @return list<string> outer areas whose first coat seals nothing
     */
    private function unsealed(Outlook $outlook, array $parts): array
    {
        $areas = array_filter($outlook->context->kit->areas, static fn (Area $a): bool => $a->face === Face::Outside && in_array($a->part, $parts, true));
        $open = array_filter($areas, static fn (Area $a): bool => $outlook->stack($a->id) !== [] && array_filter($outlook->stack($a->id), static fn (Layer $l): bool => in_array($l->operation, self::SEALING, true) && array_search($l, $outlook->stack($a->id), true) === 0) === []);

        return array_values(array_map(static fn (Area $a): string => $a->id, $open));
    }
}
