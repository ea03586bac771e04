<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\MouldedColour;
use AmberStep\Core\Log\Coat;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A heavy coat of solvent primer checks coloured and soft plastic: thin coats do not.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, What attacks what',
)]
final class PrimerOnColouredPlastic implements Judges
{
    public function id(): string
    {
        return 'primer-on-coloured-plastic';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        $found = [];
        foreach (Stacks::firstLayers($outlook) as [$area, $substrate, $first]) {
            $touchy = $substrate === Substrate::SoftVinyl || ($substrate->takesCement() && MouldedColour::isStrong($context->kit->partsById[$area->part]->mouldedColour));
            $heavy = array_filter($first->coats, static fn (Coat $c): bool => $c->kind === CoatKind::Wet || $c->kind === CoatKind::Heavy) !== [];
            if ($touchy && $heavy && $first->operation === Operation::Prime && $first->product?->liquid() === Liquid::Lacquer) {
                $found[$context->breakdown->pieceOfArea[$area->id] ?? ''][] = [$area->id, $first];
            }
        }
        foreach ($found as $piece => $group) {
            $areas = array_column($group, 0);
            $first = $group[0][1];
            $key = (new Finding($this->id(), Severity::Think, '', '', $areas))->key;
            $fix = $first->isPlanned()
                ? new Fix('Prime in thin coats', [...Stacks::unpins($context, Operation::Prime, 'all', (string) $piece, $areas), Edit::pin(new Pin(Id::from('thin', (string) $piece), Operation::Prime, (string) $piece, 'all', coatKind: CoatKind::Light))])
                : Say::look($outlook, $key, $areas, 'Look for fine cracks in the plastic once it is cured', WaitKind::Cured);
            yield new Finding($this->id(), Severity::Think, "{$first->word()} goes on wet on touchy plastic", 'Coloured and soft plastic checks under a wet coat of solvent primer: thin coats flash before they bite.', $areas, $outlook->stepsOf($first), [$fix]);
        }
    }
}
