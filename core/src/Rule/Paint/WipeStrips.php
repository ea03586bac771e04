<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\Wiped;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Alcohol, cleaner or solvent on acrylic paint, acrylic sheet or clear parts takes off what it should clean.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, What attacks what',
)]
final class WipeStrips implements Judges
{
    public function id(): string
    {
        return 'wipe-strips';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->context->kit->inserted as $inserted) {
            $key = $outlook->context->breakdown->pieceAt($inserted->targets[0])?->id.'/wipe/insert+'.$inserted->id.'/1';
            if ($inserted->operation !== Operation::Wipe || $inserted->wipe === null || ! $outlook->isLeft($key)) {
                continue;
            }
            foreach ($inserted->targets as $area) {
                $what = $this->stripped($outlook, $area, $inserted->wipe, $outlook->context->surface->area($area)->top() ?? $this->planned($outlook, $area, $inserted->before));
                if ($what !== null) {
                    yield new Finding($this->id(), Severity::Stop, "This wipe strips {$what}", ucfirst($inserted->wipe->value)." dissolves {$what}; soapy water does not.", [$area], [$key], [
                        new Fix('Wipe with soapy water', [Edit::set('inserted', $inserted->id, 'wipe', Liquid::WaterAcrylic->value)]),
                    ], rests: $inserted->id);
                }
            }
        }
        yield from $this->logged($outlook);
    }

    /** @return iterable<Finding> */
    private function logged(Outlook $outlook): iterable
    {
        foreach ($outlook->context->surface->wipes as $event) {
            foreach ($event->targets as $area) {
                if (! isset($outlook->context->kit->areasById[$area])) {
                    continue;
                }
                $what = $this->stripped($outlook, $area, $event->liquid, $this->topAt($outlook, $area, $event));
                if ($what !== null) {
                    $key = (new Finding($this->id(), Severity::Stop, '', '', [$area, $event->eventId]))->key;
                    yield new Finding($this->id(), Severity::Stop, "The wipe strips {$what}", ucfirst($event->liquid->value)." was wiped over {$what} on {$outlook->context->areaName($area)}: what it softened will not hold the next coat.", [$area, $event->eventId], [], [
                        Say::look($outlook, $key, [$area], 'Look for bare and dull places; wash with soapy water and spot prime', null),
                    ]);
                }
            }
        }
    }

    private function topAt(Outlook $outlook, string $area, Wiped $event): ?Layer
    {
        foreach ($outlook->context->surface->area($area)->fromTop() as $layer) {
            if ($layer->firstCoat()->atEpoch < $event->atEpoch) {
                return $layer;
            }
        }

        return null;
    }

    /** The coat an inserted wipe will land on, where it stands in front of a later one. */
    private function planned(Outlook $outlook, string $area, ?string $before): ?Layer
    {
        $last = null;
        foreach ($outlook->stack($area) as $layer) {
            if ($before !== null && str_starts_with($before, $layer->operation->value)) {
                return $last;
            }
            $last = $layer;
        }

        return null;
    }

    private function stripped(Outlook $outlook, string $area, Liquid $wipe, ?Layer $top): ?string
    {
        if ($wipe === Liquid::WaterAcrylic) {
            return null;
        }
        if ($top === null) {
            $substrate = $outlook->context->kit->partsById[$outlook->context->kit->areasById[$area]->part]->substrate;

            return $wipe !== Liquid::WhiteSpirit && ($substrate === Substrate::AcrylicSheet || $substrate === Substrate::ClearStyrene) ? $substrate->word() : null;
        }
        $soft = match ($top->below()) {
            Below::WaterAcrylic, Below::AlcoholAcrylic => $wipe !== Liquid::WhiteSpirit,
            Below::Lacquer => $wipe === Liquid::Lacquer || $wipe === Liquid::TwoPart,
            Below::Enamel, Below::ArtistOil => true,
            default => false,
        };

        return $soft ? $top->below()->value : null;
    }
}
