<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Booklet\ListItem;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Callout;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Layering\Context;
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
    'Mirrors, lamp bases, filler caps: what is forgotten while the colour is in the gun comes out in another shade.',
    speaks: [Severity::Stop, Severity::Think],
    rests: 'The call-outs of the booklet',
)]
final class ForgottenPart implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'forgotten-part';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::CloseColour) as $close) {
            // One put in by hand names no colour, and waits for nothing.
            $sprays = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => in_array($s->operation, [Operation::Colour, Operation::InsideColour], true) && $s->counted() === $close->counted() && ! $s->isRemedy()));
            yield from Say::all($sprays, [$close], $this, 'A colour is closed when all that gets it has it.');
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ([...$context->kit->colours, null] as $colour) {
            yield from $this->onNoPiece($context, $colour);
        }
        yield from $this->withoutFinish($context);
        $lists = ColourLists::of($context->kit, $context->breakdown, $context->surface);
        foreach ($context->kit->colours as $colour) {
            yield from $this->unticked($outlook, $colour, $lists->open($colour->id));
        }
    }

    /**
     * The booklet calls parts out that no piece has, or that have another colour there.
     *
     * @param  Colour|null  $colour  null: what is clear
     * @return iterable<Finding>
     */
    private function onNoPiece(Context $context, ?Colour $colour): iterable
    {
        $called = $colour->name ?? 'Clear';
        $lost = array_values(array_filter($context->kit->callouts, static fn (Callout $c): bool => ($colour === null ? $c->clear : $c->colour === $colour->id) && ColourLists::areasOf($context->kit, $c) === []));
        if ($lost === []) {
            return;
        }
        $names = Names::listed(array_map(static fn (Callout $c): string => $c->called(), array_slice($lost, 0, 6))).(count($lost) > 6 ? ' and '.(count($lost) - 6).' more' : '');
        $verb = count($lost) === 1 ? 'is' : 'are';
        yield new Finding($this->id(), Severity::Stop, "{$called}: {$names} {$verb} on no piece", $colour === null ? "The booklet has {$names} clear, and the plan knows no such pane." : "The booklet calls {$names} out in {$called}, and the plan paints no such thing.", [Id::from('on no piece', $colour->id ?? 'clear')], [], Say::fixes([
            self::bringIn($context, $lost),
            new Fix('Strike it from the booklet: it is not built', array_map(static fn (Callout $c): Edit => Edit::remove('callouts', $c->id), $lost)),
        ]), rests: $names);
    }

    /** @param  non-empty-list<Callout>  $lost */
    private static function bringIn(Context $context, array $lost): ?Fix
    {
        $edits = BringIn::asFix($context->kit, $lost);

        return $edits === [] ? null : new Fix(count($lost) === 1 ? "Bring {$lost[0]->called()} into the kit" : 'Bring them into the kit', $edits);
    }

    /**
     * A part of the booklet nobody gave a finish.
     *
     * @return iterable<Finding>
     */
    private function withoutFinish(Context $context): iterable
    {
        if ($context->kit->callouts === []) {
            return;
        }
        foreach ($context->kit->parts as $part) {
            $areas = array_filter($context->kit->areas, static fn (Area $a): bool => $a->part === $part->id);
            $called = array_filter($context->kit->callouts, static fn (Callout $c): bool => $part->number !== null && strcasecmp($c->number, $part->number) === 0);
            $inside = array_filter($context->kit->joints, static fn ($j): bool => in_array($part->id, $j->parts, true)) === [];
            if ($areas !== [] || $called !== [] || $part->isClear() || $inside) {
                continue;
            }
            yield new Finding($this->id(), Severity::Think, "{$part->name} has no finish", "{$part->name} is glued on and neither the booklet nor the kit says what colour it gets.", [$part->id], [], MissingFinish::fixes($context, $part));
        }
    }

    /**
     * Once the last coat of a colour is on, or the colour was closed, its list is through or it says what is not.
     *
     * @param  list<ListItem>  $open
     * @return iterable<Finding>
     */
    private function unticked(Outlook $outlook, Colour $colour, array $open): iterable
    {
        $context = $outlook->context;
        $close = $context->steps->find("{$colour->id}/close-colour/{$colour->id}/1");
        $closed = isset($context->surface->closed[$colour->id]);
        $open = array_values(array_filter($open, static fn (ListItem $i): bool => $i->isCallout && $i->piece !== null));
        $last = $closed || ($close !== null && array_filter($outlook->left, static fn ($p): bool => $p->step->operation->sprays() && $p->step->counted() === $colour->id && ! $p->step->isRemedy()) === []);
        if ($open === [] || $close === null || ! $last) {
            return;
        }
        $names = Names::listed(array_map(static fn (ListItem $i): string => $i->words(), array_slice($open, 0, 6))).(count($open) > 6 ? ' and '.(count($open) - 6).' more' : '');
        yield new Finding($this->id(), Severity::Stop, $closed ? "{$colour->name} is closed without {$names}" : "{$colour->name} cannot be closed yet: {$names}", 'Not ticked on its list. Painted another day it comes out in a slightly different shade.', [$colour->id], [$close->key], [
            new Fix(count($open) === 1 ? 'Strike it from the list: it gets none of it' : 'Strike them from the list: they get none of it', array_map(static fn (ListItem $i): Edit => Edit::remove('callouts', $i->id), $open)),
        ], rests: $names);
    }
}
