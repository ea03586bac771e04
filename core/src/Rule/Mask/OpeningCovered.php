<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use AmberStep\Core\Work\Strength;

#[Says(
    'A finished inside that lies open is covered from the first sanding after it to the last coat on the outside.',
    speaks: [Severity::Think],
    rests: 'Handbook 3, opening-covered',
)]
final class OpeningCovered implements OrdersSteps, SeesDeeds
{
    public function id(): string
    {
        return 'opening-covered';
    }

    public function deeds(Step $step, World $before): iterable
    {
        if (! $step->isSprayed() || $step->phase !== '') {
            return;
        }
        foreach ($before->breakdown->byId[$step->pieceId]->areas ?? [] as $area) {
            $state = $before->state($area->id);
            if ($state->layers !== [] && ! $state->isMasked() && ! in_array($area->id, $step->targets, true) && $before->breakdown->enclosure->staysOpen($area, $before->breakdown)) {
                yield new Misdeed(Severity::Think, "the outside sprayed over {$area->name}, which lay open", 'Overspray settles on the finished inside as a rough grey film.', $area->id, "Look into {$area->name}; wipe off or respray what settled");

                return;
            }
        }
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Mask) as $cover) {
            $off = $context->steps->find("{$cover->target}/unmask/{$cover->purpose}/1");
            if ($cover->purpose !== MaskFor::OPENING || $off === null) {
                continue;
            }
            yield Say::must($cover, $off, $this, 'What is put on is taken off.');
            foreach ($this->inside($cover, $context) as $step) {
                yield Say::must($step, $cover, $this, 'What lies inside is finished, and in, before it is covered.');
            }
            foreach ($context->steps->ofPiece($cover->pieceId) as $step) {
                yield from $this->meanwhile($step, $cover, $off);
            }
        }
    }

    /** @return list<Step> all that is done to the inside, and the gluing of what lies in it */
    private function inside(Step $cover, Context $context): array
    {
        $steps = [];
        foreach ($cover->targets as $area) {
            array_push($steps, ...array_filter($context->steps->on($area), static fn (Step $s): bool => $s->phase !== '' && ! $s->isRemedy()));
            $joint = $context->breakdown->blocks($area);
            $steps[] = $context->steps->find(($joint->id ?? '').'/glue/all/1');
        }

        return array_values(array_filter($steps));
    }

    /** @return iterable<Constraint> */
    private function meanwhile(Step $step, Step $cover, Step $off): iterable
    {
        if ($step->phase !== '' || $step->key === $cover->key || $step->key === $off->key || $step->isRemedy()) {
            return;
        }
        if ($step->isSprayed() || $step->operation === Operation::Polish) {
            yield Say::must($cover, $step, $this, 'The open inside is covered before anything is sprayed round it.');
            yield Say::must($step, $off, $this, 'The cover stays in until the last coat is on.');
        } elseif ($step->operation->sands()) {
            yield new Constraint($cover->key, $step->key, Strength::Fit, $this->id(), 'Dust gets into the open inside: it is covered first.');
        } elseif ($step->operation === Operation::Attach) {
            yield Say::must($off, $step, $this, 'The cover comes out before anything closes over it.');
        }
    }
}
