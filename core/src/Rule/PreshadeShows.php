<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\ColourOrder;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Outlook;

/** Pre-shade nobody will see: under a dark colour, or under more coats than the colour needs to hide. */
final class PreshadeShows implements Judges
{
    /** CIE L*: darker than this, a dark line under it does not show. */
    private const DARK = 35;

    public function id(): string
    {
        return 'preshade-shows';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Preshade || $step->isRemedy()) {
                continue;
            }
            $lost = [];
            foreach ($step->targets as $area) {
                $why = $this->why($outlook, $area);
                if ($why !== null) {
                    $lost[$why][] = $area;
                }
            }
            foreach ($lost as $why => $areas) {
                yield new Finding($this->id(), Severity::Note, 'Pre-shade that will not show', ucfirst($why).': it is work nobody sees.', $areas, [$step->key], [
                    new Fix('Leave it out there', array_map(static fn (string $area): Edit => Edit::set('areas', $area, 'intent.preshade', null), $areas)),
                ]);
            }
        }
    }

    private function why(Outlook $outlook, string $areaId): ?string
    {
        foreach ($outlook->stack($areaId) as $layer) {
            if ($layer->operation === Operation::Colour && $layer->product !== null) {
                return match (true) {
                    ColourOrder::lightness($layer->product) < self::DARK => "{$layer->word()} is as dark as the lines under it",
                    count($layer->coats) > $layer->product->coats() => count($layer->coats)." coats of {$layer->word()} hide what is under them",
                    default => null,
                };
            }
        }

        return null;
    }
}
