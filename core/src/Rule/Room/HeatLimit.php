<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Room;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A cabinet above the plastic\'s limit warps it; wet solvent in the warm burns.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Plastics and heat',
)]
final class HeatLimit implements Judges, OrdersHolds
{
    /** Seconds in the closed box before the heat: a night. */
    private const NIGHT = 8 * 3600;

    public function id(): string
    {
        return 'heat-limit';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Cabinet;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            if ($top?->product !== null) {
                $wait = $world->waits->of($top, WaitKind::TouchDry, $state);
                $until = $wait->untilEpoch + 3600 * self::hoursMore($top->product->family);
                $box = $step->cabinetC !== null && $world->house->says('drying', 'box-then-cabinet') ? $wait->fromEpoch + self::NIGHT : 0;
                yield new Hold(HoldKind::Touch, $target, $wait->fromEpoch, max($until, $box), $this->id(), 'solvent still leaving '.$top->word(), $wait);
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                foreach ($context->surface->area($area->id)->stays as $stay) {
                    if ($stay->temperatureC > $piece->highestCabinetC()) {
                        $key = (new Finding($this->id(), Severity::Stop, '', '', [$piece->id]))->key;
                        yield $this->finding($piece, $stay->temperatureC, [], [
                            Say::look($outlook, $key, [$area->id], 'Take it out; check it for warping against a flat edge', null),
                        ]);

                        continue 3;
                    }
                }
            }
        }
        foreach ($context->kit->inserted as $inserted) {
            $piece = $context->breakdown->pieceAt($inserted->targets[0]);
            $key = $piece?->id.'/cabinet/insert+'.$inserted->id.'/1';
            if ($inserted->operation === Operation::Cabinet && $piece !== null && $inserted->cabinetC !== null && $inserted->cabinetC > $piece->highestCabinetC() && $outlook->isLeft($key)) {
                yield $this->finding($piece, $inserted->cabinetC, [$key], [
                    new Fix(sprintf('Set the cabinet to %g °C', $piece->highestCabinetC()), [Edit::set('inserted', $inserted->id, 'cabinetC', $piece->highestCabinetC())]),
                    new Fix('Let it dry in the room', [Edit::remove('inserted', $inserted->id)]),
                ]);
            }
        }
    }

    /**
     * @param  list<string>  $steps
     * @param  list<Fix>  $fixes
     */
    private function finding(Piece $piece, float $temperatureC, array $steps, array $fixes): Finding
    {
        return new Finding($this->id(), Severity::Stop, sprintf('%g °C is too hot for %s', $temperatureC, $piece->name), sprintf('Its plastic takes %g °C at most: above that it warps, and seams open.', $piece->highestCabinetC()), [$piece->id], $steps, $fixes, acceptable: false);
    }

    /** In no sooner than touch dry plus so many hours (handbook 2, Plastics and heat). */
    private static function hoursMore(Family $family): int
    {
        return match ($family) {
            Family::Aerosol, Family::TwoPart => 3,
            Family::Enamel, Family::HardenedEnamel, Family::ArtistOil => 6,
            default => 1,
        };
    }
}
