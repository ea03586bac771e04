<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A mixed colour is never matched again: a fifth is kept for touch-ups while masking or assembly is still to come.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Parts: a fifth is kept',
)]
final class Reserve implements Judges
{
    public function id(): string
    {
        return 'reserve';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->colours as $colour) {
            $product = $context->shelf->find($colour->product);
            if ($product === null || ! $product->isOwnMix() || ($product->levelMl ?? 0) > 0) {
                continue;
            }
            $coats = array_values(array_filter($outlook->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour && $p->step->counted() === $colour->id && ! $p->step->isRemedy()));
            $touched = $this->touched($outlook, $colour->id, $coats === [] ? null : $coats[count($coats) - 1]->step->key);
            if ($touched === null) {
                continue;
            }
            $key = (new Finding($this->id(), Severity::Think, '', '', [$colour->id]))->key;
            $first = $coats[0]->step ?? $touched->step;
            yield new Finding($this->id(), Severity::Think, "Nothing of {$product->name} is kept", "It is mixed from {$product->mix?->says()}, and nobody matches it again; after it still comes: {$touched->step->operation->word()} on {$context->pieceName($touched->step->pieceId)}.", [$colour->id], [$first->key], [
                Say::insertBefore($key, $first->targets[0], $coats === [] ? "Mix a spare of {$product->name} and hold a spoon of it against the model" : "Set a fifth of {$product->name} aside, capped, before hardener goes in", $first->operation->value.'/'.$first->counted(), Operation::Look),
            ]);
        }
    }

    /** The first masking or assembly after the colour is on, on a piece that carries it. */
    private function touched(Outlook $outlook, string $colour, ?string $after): ?PlannedStep
    {
        $passed = $after === null;
        $pieces = [];
        foreach ($outlook->context->kit->areas as $area) {
            if ($area->intent->colour === $colour) {
                $pieces[$outlook->context->breakdown->pieceOfArea[$area->id] ?? ''] = true;
            }
        }
        foreach ($outlook->left as $planned) {
            $touches = $planned->step->operation === Operation::Mask || $planned->step->operation->joins();
            if ($passed && $touches && ! $planned->step->isRemedy() && array_intersect_key($pieces, array_flip(self::piecesOf($planned->step, $outlook))) !== []) {
                return $planned;
            }
            $passed = $passed || $planned->step->key === $after;
        }

        return null;
    }

    /** @return list<string> the piece a step is on, and those its joint holds together */
    private static function piecesOf(Step $step, Outlook $outlook): array
    {
        $pieces = [$step->pieceId];
        foreach ($step->operation->joins() ? $step->targets : [] as $target) {
            foreach ($outlook->context->kit->jointsById[$target]->parts ?? [] as $part) {
                $pieces[] = $outlook->context->breakdown->pieceAt($part)->id ?? '';
            }
        }

        return $pieces;
    }
}
