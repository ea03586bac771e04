<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\PartSteps;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Parts that fit either way round, or in one of several slots: tried and marked before glue, ticked off as they are fitted.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'Slots and hands of the parts',
)]
final class HandedPart implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'handed-part';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::TestFit) as $fit) {
            $part = $context->kit->partsById[$fit->purpose] ?? null;
            if ($part === null) {
                continue;
            }
            $joins = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => $s->operation->joins() && in_array($part->id, $context->kit->jointsById[(string) $s->jointId]->parts ?? [], true)));
            $wash = array_values(array_filter($context->steps->ofPiece($fit->pieceId), static fn (Step $s): bool => $s->operation->cleans() && ! $s->isRemedy() && $s->counted() !== PartSteps::RELEASE));
            yield from Say::all([$fit], [...$joins, ...$wash], $this, "{$part->name} fits in more than one way: it is tried and marked first.");
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->parts as $part) {
            foreach ($context->surface->fitted[$part->id] ?? [] as [$place]) {
                if ($part->isHanded() && $place !== '' && ! $part->isPlace($place)) {
                    yield $this->wrongPlace($outlook, $part, $place);
                }
            }
        }
        yield from $this->leftOver($context);
    }

    private function wrongPlace(Outlook $outlook, Part $part, string $place): Finding
    {
        $key = (new Finding($this->id(), Severity::Stop, '', '', [$part->id]))->key;
        $joint = array_values(array_filter($outlook->context->kit->joints, static fn (Joint $j): bool => in_array($part->id, $j->parts, true)))[0] ?? null;

        return new Finding($this->id(), Severity::Stop, "{$part->name} sits in the wrong place", "It belongs {$part->place()} and was fitted {$place}: what it meets there will not line up.", [$part->id], [], [
            Say::look($outlook, $key, [$joint->id ?? $part->id], "Take {$part->name} off and fit it {$part->place()}", null, Operation::Look),
        ], rests: $place);
    }

    /**
     * All joints are closed, and parts lie on the bench.
     *
     * @return iterable<Finding>
     */
    private function leftOver(Context $context): iterable
    {
        $left = self::notFitted($context);
        $open = array_filter($context->kit->joints, static fn (Joint $j): bool => $context->surface->joint($j->id)->closedAt === null);
        if ($left === [] || $open !== [] || $context->kit->joints === []) {
            return;
        }
        $count = array_sum($left);
        $names = Names::listed(array_map(static fn (string $id): string => ($left[$id] > 1 ? "{$left[$id]} × " : '').$context->kit->partsById[$id]->name, array_keys($left)));
        $first = array_key_first($left);
        yield new Finding($this->id(), Severity::Think, $count === 1 ? "{$names} is left over" : "{$count} parts are left over", "Everything is glued, and {$names} was not fitted.", array_keys($left), [], [
            new Fix($count === 1 ? 'It is a spare' : 'They are spares', self::spared($context, $left)),
        ], rests: (string) $first.$count);
    }

    /**
     * Parts of which none is fitted leave the kit; of the others so many fewer are counted.
     *
     * @param  non-empty-array<string, int>  $left
     * @return non-empty-list<Edit>
     */
    private static function spared(Context $context, array $left): array
    {
        $edits = [];
        foreach ($left as $id => $missing) {
            $part = $context->kit->partsById[$id];
            array_push($edits, ...($missing === $part->count ? Removal::of($context->kit, 'parts', $id) : [Edit::set('parts', $id, 'count', $part->count - $missing)]));
        }

        return $edits === [] ? throw new \LogicException('nothing is left over') : $edits;
    }

    /** @return array<string, int> parts that are neither glued nor ticked off as fitted, and how many of each */
    public static function notFitted(Context $context): array
    {
        $left = [];
        $glued = [];
        foreach ($context->kit->joints as $joint) {
            foreach ($context->surface->joint($joint->id)->closedAt === null ? [] : $joint->parts as $part) {
                $glued[$part] = true;
            }
        }
        foreach ($context->kit->parts as $part) {
            $fitted = count($context->surface->fitted[$part->id] ?? []);
            // One joint stands for all alike; each of several is ticked off by itself where any was.
            $missing = isset($glued[$part->id]) && $fitted === 0 ? 0 : max(0, $part->count - $fitted);
            if ($missing > 0) {
                $left[$part->id] = $missing;
            }
        }

        return $left;
    }
}
