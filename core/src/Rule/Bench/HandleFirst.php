<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Bench;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\OwnedHolders;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\PieceLabel;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\HolderNeed;
use AmberStep\Core\Layering\Holding;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Count what each piece needs to stand on before mixing any paint: fingers in paint otherwise.',
    speaks: [Severity::Think],
    rests: 'Holders needed at once, against those owned',
)]
final class HandleFirst implements Judges
{
    public function id(): string
    {
        return 'handle-first';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->breakdown->pieces as $piece) {
            if (! self::isHeld($piece, $context) && HolderNeed::stillWants($outlook->leftOfPiece($piece->id)) && Holding::of($piece, $context)->holder === null) {
                yield new Finding($this->id(), Severity::Think, "{$piece->name} has no place to hold it by", 'Nothing of it is glued or hidden later, and nobody said what it is held by.', [$piece->id], [], [
                    new Fix('Putty on a stick, on a face that will not show', [self::held($piece, $context, Holder::Stick)]),
                    new Fix('Lay it on a board, one side after the other', [self::held($piece, $context, Holder::Board)]),
                ]);
            }
        }
        foreach (HolderNeed::all($context, $outlook->left) as $need) {
            if ($need->short() > 0) {
                yield $this->tooFew($context, $need);
            }
        }
    }

    /** What was put on a holder, or sprayed already, is held by something. */
    private static function isHeld(Piece $piece, Context $context): bool
    {
        foreach ($piece->areas as $area) {
            if ($context->surface->area($area->id)->layers !== []) {
                return true;
            }
        }

        return $context->surface->piece($piece->id)->count(Operation::Mount, 'all') > 0;
    }

    private function tooFew(Context $context, HolderNeed $need): Finding
    {
        $plural = $need->holder->plural();
        $known = array_values(array_filter($context->kit->holders, static fn (OwnedHolders $o): bool => $o->holder === $need->holder))[0] ?? null;
        $makeMore = $known === null ? Edit::add('holders', (new OwnedHolders(Id::from('holders', $need->holder->value), $need->holder, $need->atOnce))->toArray()) : Edit::set('holders', $known->id, 'owned', $need->atOnce);
        $fixes = [new Fix("Get {$need->short()} more: there are {$need->atOnce} then", [$makeMore])];
        $moved = $this->onABoard($context, $need);
        if ($moved !== []) {
            $fixes[] = new Fix('Lay '.Names::listed(array_map(static fn (Piece $p): string => $p->name, $moved)).' on a board instead', array_map(fn (Piece $p): Edit => self::held($p, $context, Holder::Board), $moved));
        }

        return new Finding($this->id(), Severity::Think, "{$need->short()} {$plural} too few", "{$need->atOnce} {$plural} are needed at one time, for ".Names::listed($need->shortNames()).", and there are {$need->owned}.", [Id::from('holders', $need->holder->value)], [], $fixes, rests: "{$need->atOnce}/{$need->owned}");
    }

    /**
     * Small pieces, most alike first, until the rest has enough.
     *
     * @return list<Piece> none where that does not settle it
     */
    private function onABoard(Context $context, HolderNeed $need): array
    {
        if (! in_array($need->holder, [Holder::Stick, Holder::Clip, Holder::Peg], true)) {
            return [];
        }
        $short = $need->short();
        $moved = [];
        $pieces = $need->pieces;
        uasort($pieces, static fn (int $a, int $b): int => $b <=> $a);
        foreach ($pieces as $id => $count) {
            $piece = $context->breakdown->byId[$id];
            $small = max([0, ...array_map(static fn ($a): float => $a->cm2(), $piece->areas)]) / $count < 25;
            if ($short > 0 && $small) {
                $moved[] = $piece;
                $short -= $count;
            }
        }

        return $short > 0 ? [] : $moved;
    }

    private static function held(Piece $piece, Context $context, Holder $holder): Edit
    {
        return isset($context->kit->labelsById[$piece->id]) ? Edit::set('pieces', $piece->id, 'holder', $holder->value) : Edit::add('pieces', (new PieceLabel($piece->id, $piece->name, null, $holder))->toArray());
    }
}
