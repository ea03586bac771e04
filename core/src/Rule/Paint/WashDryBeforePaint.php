<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\PartSteps;
use AmberStep\Core\Log\Timed;
use AmberStep\Core\Material\DriesBy;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'A piece is washed after sanding and dry before paint: 24 h in the room, 4 h once blown off; 1 h where it is only wiped damp.',
    speaks: [Severity::Think],
    rests: 'Handbook 3: 24 h in the room, 4 h once blown off, 1 h wiped damp, 4 h over bare filler',
)]
final class WashDryBeforePaint implements OrdersHolds, OrdersSteps, SeesDeeds
{
    public function id(): string
    {
        return 'wash-dry-before-paint';
    }

    public function order(Context $context): iterable
    {
        foreach ([...$context->steps->with(Operation::Wash), ...$context->steps->with(Operation::Wipe)] as $wash) {
            if ($wash->isRemedy()) {
                continue;
            }
            $release = $wash->counted() === PartSteps::RELEASE;
            $sprays = array_values(array_filter(
                $context->steps->ofPiece($wash->pieceId),
                static fn (Step $s): bool => $s->operation->sprays() && ($release || ($s->phase === $wash->phase && array_intersect($s->targets, $wash->targets) !== [])) && ! $s->isRemedy(),
            ));
            yield from Say::all([$wash], $sprays, $this, 'Dust and grease are washed off before paint.');
            $plugs = array_values(array_filter($context->steps->ofPiece($wash->pieceId), static fn (Step $s): bool => $s->operation === Operation::MaskFaces && $s->phase === $wash->phase));
            yield from Say::all($wash->operation === Operation::Wash ? [$wash] : [], $plugs, $this, 'Plugs do not go into the bath.');
            foreach ($wash->phase === '' ? [] : $context->steps->with(Operation::CutBack) as $cut) {
                if ($cut->pieceId === $wash->pieceId && $cut->jointId === null && ! $cut->throughPaint) {
                    yield new Constraint($cut->key, $wash->key, Strength::Fit, $this->id(), 'Sanding soils it again: flaws are cut back first.');
                }
            }
            if ($release) {
                $work = array_values(array_filter($context->steps->ofPiece($wash->pieceId), static fn (Step $s): bool => $s->key !== $wash->key && ! $s->isRemedy() && (in_array($s->operation, [Operation::Glue, Operation::Fill, Operation::CutBack, Operation::TestFit], true) || $s->operation->cleans())));
                yield from Say::all([$wash], $work, $this, 'Release agent comes off before anything is glued to it or filled.');
            }
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
                $minutes = $state->wipedDamp && self::hasBareFiller($target, $world) ? Timed::BLOWN_OFF : Timed::water($state);
                $wait = $world->waits->plain($state->washedAt, $minutes, DriesBy::Water, $state->stays, $state->washedBy, 'water/'.HoldKind::Dry->value);
                yield new Hold(HoldKind::Dry, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), 'wash water', $wait);
            }
        }
    }

    public function deeds(Step $step, World $before): iterable
    {
        foreach ($step->isSprayed() ? $step->targets : [] as $target) {
            $area = $before->kit->areasById[$target] ?? null;
            $state = $before->state($target);
            if ($area !== null && $state->layers === [] && ! $state->isClean()) {
                $why = $state->washedAt === null ? 'it was not washed' : 'it was sanded and not washed since';
                yield new Misdeed(Severity::Think, "{$area->name} sprayed unwashed", "The first coat went on it though {$why}: dust and grease show as specks and craters.", $target, 'Look for craters and specks before the next coat');
            }
        }
    }

    /** Bare filler drinks water: it dries as long as what was bathed and blown off. */
    private static function hasBareFiller(string $areaId, World $world): bool
    {
        $part = $world->kit->areasById[$areaId]->part ?? null;
        foreach (Place::all($world->kit) as $place) {
            if (in_array($part, $place->parts, true) && $world->surface->joint($place->id)->filledAt !== null) {
                return true;
            }
        }

        return false;
    }
}
