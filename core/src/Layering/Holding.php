<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Grip;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\ShowDemand;
use AmberStep\Core\Material\Substrate;

/** What a piece is held by while it is painted, where, and why (handbook 1, steps 3 and 6). */
final readonly class Holding
{
    /** cm²: a piece with this much outside is too heavy for a clip. */
    private const HEAVY_CM2 = 150;

    /**
     * @param  Holder|null  $holder  null: there is nothing to hold it by
     * @param  string  $where  in words, such as "on the face that is glued at wheels"
     * @param  int  $pieces  how many are held: parts alike each on their own
     */
    private function __construct(public ?Holder $holder, public string $where, public string $because, public int $pieces, public bool $chosen)
    {
    }

    public static function of(Piece $piece, Context $context): self
    {
        $alike = count($piece->parts) === 1 ? $piece->parts[0]->count : 1;
        $label = $context->kit->labelsById[$piece->id] ?? null;
        if ($label?->holder !== null) {
            return new self($label->holder, $label->heldBy ?? 'where it will not show', 'you chose it', $alike, true);
        }
        [$holder, $where, $because] = self::byGrip($piece) ?? self::byShape($piece, $context) ?? [null, '', ''];
        if ($label?->heldBy !== null) {
            return new self($holder ?? self::named($label->heldBy), $label->heldBy, 'you said so', $alike, true);
        }

        return new self($holder, $where, $because, $alike, false);
    }

    /** @return array{Holder|null, string, string}|null */
    private static function byGrip(Piece $piece): ?array
    {
        foreach ($piece->parts as $part) {
            $found = match ($part->grip) {
                Grip::Hole => [Holder::Peg, "in the hole of {$part->name}", 'a peg with putty turns it round without a finger on it'],
                Grip::Tab => [Holder::Clip, "on the tab of {$part->name}", 'the tab is glued or hidden later'],
                Grip::FlatBack => [Holder::Board, 'flat on its back, on tape', 'nobody sees its back'],
                Grip::Open => [Holder::Stick, "in {$part->name}, from below", 'it is hollow from below'],
                Grip::None => count($piece->parts) === 1 ? [null, '', ''] : null,
                null => null,
            };
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** @return array{Holder|null, string, string}|null */
    private static function byShape(Piece $piece, Context $context): ?array
    {
        $cm2 = array_sum(array_map(static fn ($a): float => $a->cm2(), $piece->areas));
        $isMain = ($context->breakdown->pieces[0]->id ?? '') === $piece->id;
        if ($isMain || $cm2 > self::HEAVY_CM2) {
            return $isMain && $context->kit->demands(ShowDemand::NoBase)
                ? [Holder::Keel, 'screwed on below, off before the show', "the show's rule: no base, so it has nothing to be held by later"]
                : [Holder::Stand, 'from below', 'it is too large for a clip'];
        }
        if ($piece->parts[0]->substrate === Substrate::SoftVinyl && ! $piece->parts[0]->hollow) {
            return [Holder::Clip, 'on its inner face, which sits on the rim or the rollers', 'that face is hidden once it is fitted'];
        }
        $face = self::faceGluedLater($piece, $context);
        if ($piece->parts[0]->substrate->isMetal() && count($piece->parts) === 1 && $cm2 / $piece->parts[0]->count < 9) {
            return [Holder::Board, 'flat, on tape', 'thin metal bends in a clip'];
        }
        if ($face !== null) {
            return $cm2 / (count($piece->parts) === 1 ? $piece->parts[0]->count : 1) < 2
                ? [Holder::Stick, "on the face that is glued at {$face->name}", 'putty on a stick holds what is too small for a clip']
                : [Holder::Clip, "on the face that is glued at {$face->name}", 'that face is bare or hidden once it is glued'];
        }

        return null;
    }

    private static function faceGluedLater(Piece $piece, Context $context): ?Joint
    {
        foreach ($context->breakdown->jointsOf($piece->id) as $joint) {
            if (! $context->breakdown->closesBeforePaint($joint->id)) {
                return $joint;
            }
        }

        return null;
    }

    /** The kind of holder the user's own words name. */
    private static function named(string $words): Holder
    {
        foreach (Holder::cases() as $holder) {
            if (str_contains(mb_strtolower($words), $holder->value)) {
                return $holder;
            }
        }

        return Holder::Stick;
    }
}
