<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Part;
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
    'Hollow vinyl is stuffed before it is formed or glued: empty it collapses.',
    speaks: [Severity::Stop],
    rests: 'Parts said to be hollow',
)]
final class VinylStuffed implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'vinyl-stuffed';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::Stuff) as $stuff) {
            $part = $context->kit->partsById[$stuff->purpose] ?? null;
            if ($part === null) {
                continue;
            }
            $key = static fn (Operation $o): string => "{$stuff->pieceId}/{$o->value}/{$part->id}/1";
            $chain = array_values(array_filter(array_map(static fn (Operation $o): ?Step => $context->steps->find($key($o)), [Operation::Soften, Operation::Trim, Operation::Stuff, Operation::FitWarm])));
            $release = $context->steps->find("{$stuff->pieceId}/wash/".PartSteps::RELEASE.'/1');
            if ($release !== null && $chain !== []) {
                yield Say::must($release, $chain[0], $this, 'The release agent comes off vinyl before anything is done to it.');
            }
            for ($i = 1; $i < count($chain); $i++) {
                yield Say::must($chain[$i - 1], $chain[$i], $this, $chain[$i]->operation === Operation::FitWarm ? "{$part->name} is stuffed before it is heated: empty it collapses." : 'Vinyl is softened, trimmed, stuffed, then formed.');
            }
            $after = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => ! $s->isRemedy() && (($s->operation->joins() && in_array($part->id, $context->kit->jointsById[(string) $s->jointId]->parts ?? [], true)) || ($s->operation->cleans() && $s->counted() !== PartSteps::RELEASE && $s->pieceId === $stuff->pieceId))));
            yield from Say::all($chain === [] ? [] : [$chain[count($chain) - 1]], $after, $this, "{$part->name} has its shape before it is glued or painted.");
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->parts as $part) {
            if (! $part->hollow || $part->substrate !== \AmberStep\Core\Material\Substrate::SoftVinyl) {
                continue;
            }
            $piece = $context->breakdown->pieceAt($part->id);
            $empty = $piece !== null && $context->surface->piece($piece->id)->count(Operation::Stuff, $part->id) === 0;
            $why = $empty ? $this->heatedOrGlued($context, $part, $piece->id) : null;
            if ($why !== null) {
                yield $this->finding($outlook, $part, $why);
            }
        }
    }

    private function heatedOrGlued(Context $context, Part $part, string $pieceId): ?string
    {
        if ($context->surface->piece($pieceId)->count(Operation::FitWarm, $part->id) > 0) {
            return 'was formed in hot water';
        }
        foreach ($context->kit->joints as $joint) {
            if (in_array($part->id, $joint->parts, true) && $context->surface->joint($joint->id)->closedAt !== null) {
                return 'was glued';
            }
        }

        return null;
    }

    private function finding(Outlook $outlook, Part $part, string $why): Finding
    {
        $key = (new Finding($this->id(), Severity::Stop, '', '', [$part->id]))->key;
        $joint = array_values(array_filter($outlook->context->kit->joints, static fn ($j): bool => in_array($part->id, $j->parts, true)))[0] ?? null;
        $target = $joint->id ?? $outlook->context->breakdown->pieceAt($part->id)->id ?? $part->id;

        return new Finding($this->id(), Severity::Stop, "{$part->name} is empty", "It {$why} and nobody stuffed it: the next heat, or a year on the shelf, collapses it.", [$part->id], [], [
            new Fix("Stuff {$part->name} through a hole that will not show, form it again", [Edit::insert(new Inserted(Id::from($key, 'stuff'), Operation::Stuff, [$target], "Stuff {$part->name} through a hole that will not show", null, answers: $key))]),
        ], rests: $why);
    }
}
