<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Piece;

/**
 * How well a joint fits by itself. Among joints the booklet leaves free, the poorest goes first: it needs
 * clamping, tabs and a look at both sides, and every joint closed before it takes away a side to reach it from.
 */
final class Fit
{
    /** mm: from here two halves do not meet by themselves, and one is coaxed. */
    public const POOR_MM = 0.3;

    /** 0: it falls into place; 1: nothing aligns it; 2: it gapes; 3: it gapes and nothing aligns it. */
    public static function trouble(Joint $joint): int
    {
        return ($joint->gapMm >= self::POOR_MM ? 2 : 0) + ($joint->pins ? 0 : 1);
    }

    /** What is wrong with it, as half a sentence; '' where nothing is. */
    public static function words(Joint $joint): string
    {
        return match (self::trouble($joint)) {
            0 => '',
            1 => 'has no pins',
            2 => sprintf('gapes %g mm', $joint->gapMm),
            default => sprintf('gapes %g mm and has no pins', $joint->gapMm),
        };
    }

    /**
     * Joints that go after this one because of how it fits: the same booklet step (or none), on a piece they share, better fitting.
     *
     * @return list<Joint>
     */
    public static function waiting(Joint $joint, Context $context): array
    {
        $trouble = self::trouble($joint);
        if ($trouble === 0) {
            return [];
        }
        $step = $joint->stepIn($context->kit);
        $before = $context->breakdown->closesBeforePaint($joint->id);
        $pieces = self::pieces($joint, $context);

        return array_values(array_filter($context->kit->joints, static fn (Joint $o): bool => self::trouble($o) < $trouble
            && $o->stepIn($context->kit) === $step
            && $context->breakdown->closesBeforePaint($o->id) === $before
            // Blocked access comes before fit: what closes over something waits for what it would shut in.
            && ($joint->blocks === [] || $o->blocks !== [])
            && $context->surface->joint($o->id)->closedAt === null
            && array_intersect($pieces, self::pieces($o, $context)) !== []));
    }

    /** @return list<string> */
    private static function pieces(Joint $joint, Context $context): array
    {
        return array_map(static fn (Piece $p): string => $p->id, $context->breakdown->sides($joint));
    }
}
