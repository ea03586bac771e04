<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

#[Says(
    'Plugs come out, and painted faces are scraped, just before their joint is glued: no coat reaches the face after it.',
    speaks: [],
    rests: 'Handbook 3, plug-out',
)]
final class PlugOut implements OrdersSteps
{
    public function id(): string
    {
        return 'plug-out';
    }

    /** @return list<Step> what is still sprayed on the piece it is glued to */
    private function otherSide(Step $bare, Context $context): array
    {
        $sprays = [];
        foreach ($bare->phase === '' ? $context->breakdown->sides($context->kit->jointsById[$bare->counted()]) : [] as $piece) {
            foreach ($piece->id === $bare->pieceId ? [] : $context->steps->ofPiece($piece->id) as $step) {
                if ($step->isSprayed() && ! $step->isRemedy()) {
                    $sprays[] = $step;
                }
            }
        }

        return $sprays;
    }

    public function order(Context $context): iterable
    {
        foreach ([Operation::Unplug, Operation::Scrape] as $operation) {
            foreach ($context->steps->with($operation) as $bare) {
                $name = $context->kit->jointsById[$bare->counted()]->name;
                $joint = $context->kit->jointsById[$bare->counted()];
                $sprays = array_values(array_filter($context->steps->ofPiece($bare->pieceId), static fn (Step $s): bool => $s->operation->sprays() && ! $s->isRemedy() && ($s->phase === $bare->phase || ($bare->phase !== '' && $s->phase !== '' && JointFacesBare::isOn($s, $joint, $context)))));
                yield from Say::all($sprays, [$bare], $this, "A coat would reach the bared faces of {$name}.");
                yield from Say::all($this->otherSide($bare, $context), [$bare], $this, "{$name} is bared just before it is glued, and its other side is not finished.");
                foreach (['glue', 'attach'] as $join) {
                    $glue = $context->steps->find("{$bare->counted()}/{$join}/all/1");
                    if ($glue !== null) {
                        yield Say::must($bare, $glue, $this, $bare->operation === Operation::Unplug ? "Glue wants the bare faces of {$name}, not their plugs." : "Painted faces are scraped just before {$name} is glued.");
                    }
                }
                $plug = $context->steps->find("{$bare->target}/mask-faces/{$bare->purpose}/1");
                if ($plug !== null && $operation === Operation::Unplug) {
                    yield Say::must($plug, $bare, $this, 'What is plugged is unplugged.');
                }
            }
        }
    }
}
