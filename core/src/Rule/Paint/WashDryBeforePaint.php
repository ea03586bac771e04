<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

#[Says(
    'A piece is washed after sanding and dry before paint: 24 h in the room, 4 h once blown off.',
    speaks: [],
    rests: '24 h in the room, 4 h once blown off',
)]
final class WashDryBeforePaint implements OrdersHolds, OrdersSteps
{
    private const DRY_MINUTES = 24 * 60;

    private const BLOWN_OFF_MINUTES = 4 * 60;

    public function id(): string
    {
        return 'wash-dry-before-paint';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Wash) as $wash) {
            $sprays = array_values(array_filter(
                $context->steps->ofPiece($wash->pieceId),
                static fn (Step $s): bool => $s->operation->sprays() && $s->phase === $wash->phase && ! $s->isRemedy() && array_intersect($s->targets, $wash->targets) !== [],
            ));
            yield from Say::all([$wash], $sprays, $this, 'Dust and grease are washed off before paint.');
        }
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->sprays();
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            if ($state->washedAt !== null && $state->layers === []) {
                $wait = $world->waits->plain($state->washedAt, $state->blownOff ? self::BLOWN_OFF_MINUTES : self::DRY_MINUTES, DriesBy::Water, $state->stays, $state->washedBy);
                yield new Hold(HoldKind::Dry, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'wash water', $wait);
            }
        }
    }
}
