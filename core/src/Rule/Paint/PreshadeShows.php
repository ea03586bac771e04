<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\Grounds;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Pre-shade nobody will see: under a dark colour, or under more coats than it takes to hide it.',
    speaks: [Severity::Note],
    rests: 'L* 35, and half of what one coat hides',
)]
final class PreshadeShows implements Judges
{
    /** CIE L*: darker than this, a dark line under it does not show. */
    private const DARK = 35;

    /** CIEDE2000 under which nobody tells the line from the field beside it. */
    private const SEEN = 0.5;

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
        $stack = $outlook->stack($areaId);
        foreach ($stack as $i => $layer) {
            if ($layer->operation === Operation::Colour && $layer->product !== null) {
                return match (true) {
                    ColourOrder::lightness($layer->product) < self::DARK => "{$layer->word()} is as dark as the lines under it",
                    self::hides($layer, array_slice($stack, 0, $i), $outlook) => self::coats($layer)." of {$layer->word()} hide what is under ".(count($layer->coats) === 1 ? 'it' : 'them'),
                    default => null,
                };
            }
        }

        return null;
    }

    private static function coats(Layer $layer): string
    {
        return count($layer->coats).(count($layer->coats) === 1 ? ' coat' : ' coats');
    }

    /**
     * Through the film planned, the pre-shaded line and the plain ground look the same.
     *
     * @param  list<Layer>  $below
     */
    private static function hides(Layer $layer, array $below, Outlook $outlook): bool
    {
        $shades = array_values(array_filter($below, static fn (Layer $l): bool => $l->operation === Operation::Preshade));
        $shade = $shades[0]->product ?? null;
        $ground = Grounds::under($below)?->product;
        if ($layer->product?->swatch === null || $shade?->swatch === null || $ground?->swatch === null) {
            return false;
        }
        $film = $layer->filmMicrons() / $layer->product->family->figures()->referenceFilmMicrons;
        $coverage = new Coverage($layer->product);
        // The shade itself is a mist over the ground.
        $lines = (new Coverage($shade))->after(0.5, $ground->spectrum());

        return $coverage->after($film, $lines)->lab()->deltaE($coverage->after($film, $ground->spectrum())->lab()) < self::SEEN;
    }
}
