<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\CabinetStay;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Tape bakes on in a cabinet: its glue flows and stays.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Mask media',
)]
final class MaskInHeat implements Judges
{
    public function id(): string
    {
        return 'mask-in-heat';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $planned) {
            if ($planned->step->operation !== Operation::Cabinet || $planned->step->inserted === null) {
                continue;
            }
            $masked = $this->maskedAt($outlook, $planned->step->pieceId, $planned->endEpoch);
            if ($masked !== []) {
                yield $this->finding($outlook, $planned->step->pieceId, $masked, [$planned->step->key], [new Fix('Let it dry in the room', [Edit::remove('inserted', $planned->step->inserted->id)])]);
            }
        }
        foreach ($context->breakdown->pieces as $piece) {
            $inNow = array_filter($piece->areas, static fn (Area $a): bool => array_filter($context->surface->area($a->id)->stays, static fn (CabinetStay $s): bool => $s->untilEpoch === null) !== []);
            $masked = $inNow === [] ? [] : $this->maskedAt($outlook, $piece->id, $context->nowEpoch);
            if ($masked !== []) {
                $key = (new Finding($this->id(), Severity::Think, '', '', [$piece->id]))->key;
                yield $this->finding($outlook, $piece->id, $masked, [], [Say::look($outlook, $key, $masked, 'Take it out, let it cool, lift a corner of the mask and look', null)]);
            }
        }
    }

    /**
     * @param  non-empty-list<string>  $masked
     * @param  list<string>  $steps
     * @param  non-empty-list<Fix>  $fixes
     */
    private function finding(Outlook $outlook, string $pieceId, array $masked, array $steps, array $fixes): Finding
    {
        $names = Names::listed(array_map($outlook->context->areaName(...), $masked));

        return new Finding($this->id(), Severity::Think, "{$outlook->context->pieceName($pieceId)} goes into the warm masked", "The glue of the mask on {$names} bakes on.", [$pieceId], $steps, $fixes);
    }

    /** @return list<string> areas of a piece that are masked at a moment */
    private function maskedAt(Outlook $outlook, string $pieceId, int $atEpoch): array
    {
        $masked = [];
        foreach ($outlook->context->breakdown->byId[$pieceId]->areas as $area) {
            $state = $outlook->final->area($area->id);
            foreach ($state->masks as $mask) {
                $masked[$area->id] = ($masked[$area->id] ?? false) || $mask->atEpoch < $atEpoch;
            }
            foreach ($state->masksPast as $stay) {
                $masked[$area->id] = ($masked[$area->id] ?? false) || ($stay->mask->atEpoch < $atEpoch && $atEpoch < $stay->offEpoch);
            }
        }

        return array_map(strval(...), array_keys(array_filter($masked)));
    }
}
