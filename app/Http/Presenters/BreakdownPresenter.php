<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\HolderNeed;
use AmberStep\Core\Layering\Holding;
use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Plan\JointAdvice;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Rule\Glue\HandedPart;

/** The break-down: what is glued when and with what, and what each piece is held by. For the screen and amber:breakdown. */
final class BreakdownPresenter
{
    private const RULES = ['handle-first', 'joint-faces-bare', 'glue-fits', 'clear-no-fog', 'blocked-by-assembly', 'fragile-last', 'hidden-light', 'handed-part', 'option-parts', 'vinyl-stuffed', 'ballast', 'clean-gear', 'order', 'forgotten-part'];

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        $context = $plan->context;
        $order = self::order($plan);
        $stop = Gluing::of($context->kit, $context->breakdown, $context->surface)->deadStop();

        return [
            'deadStop' => $stop?->planned,
            'pieces' => array_map(static fn (Piece $p): array => self::piece($p, $context), $context->breakdown->pieces),
            'joints' => array_map(static fn ($j): array => self::joint(JointAdvice::of($j, $context), $order[$j->id] ?? null, $plan), self::inOrder($context, $order)),
            'holders' => array_map(static fn (HolderNeed $n): array => ['holder' => $n->holder->value, 'word' => $n->atOnce === 1 ? $n->holder->word() : $n->holder->plural(), 'atOnce' => $n->atOnce, 'owned' => $n->owned, 'short' => $n->short(), 'for' => $n->shortNames()], HolderNeed::all($context, $plan->left)),
            'fitting' => array_map(static fn (Part $p): array => self::handed($p, $context), array_values(array_filter($context->kit->parts, static fn (Part $p): bool => $p->isHanded()))),
            'findings' => array_values(array_filter(PlanPresenter::findings($plan), static fn (array $f): bool => in_array($f['rule'], self::RULES, true))),
        ];
    }

    /** @return array<string, mixed> */
    private static function piece(Piece $piece, Context $context): array
    {
        $holding = Holding::of($piece, $context);
        $colours = [];
        foreach ($piece->areas as $area) {
            $colour = $context->kit->colour($area->intent->colour);
            if ($colour !== null) {
                $colours[$colour->id] = ['name' => $colour->name, 'swatch' => $context->shelf->find($colour->product)?->swatch];
            }
        }

        return [
            'id' => $piece->id, 'name' => $piece->name,
            'parts' => array_map(static fn (Part $p): array => ['id' => $p->id, 'name' => $p->name, 'number' => $p->number, 'count' => $p->count, 'place' => $p->place(), 'material' => $p->substrate->word()], $piece->parts),
            'colours' => array_values($colours),
            'cm2' => round(array_sum(array_map(static fn ($a): float => $a->cm2(), $piece->areas)), 1),
            'holder' => $holding->holder?->value, 'holderWord' => $holding->holder?->word(), 'where' => $holding->where, 'because' => $holding->because, 'held' => $holding->pieces, 'chosen' => $holding->chosen,
            'painted' => $piece->hasPaint(), 'labelled' => isset($context->kit->labelsById[$piece->id]),
        ];
    }

    /** @return array<string, mixed> */
    private static function joint(JointAdvice $advice, ?int $order, Plan $plan): array
    {
        $context = $plan->context;
        $joint = $advice->joint;
        $closed = $context->surface->joint($joint->id)->closedAt;

        return [
            'id' => $joint->id, 'name' => $joint->name, 'step' => $advice->step, 'order' => $order,
            'parts' => array_map(static fn (string $p): string => $context->kit->partsById[$p]->name, $joint->parts),
            'seam' => $joint->isSeam(), 'beforePaint' => $advice->beforePaint, 'decided' => $advice->decided, 'because' => $advice->because,
            'closes' => array_map($context->areaName(...), $joint->blocks),
            'glue' => $joint->glue->value, 'glueWord' => $joint->glue->word(), 'dose' => GlueChoice::dose($joint->glue), 'lookOut' => GlueChoice::lookOut($joint->glue),
            'handleMinutes' => $joint->glue->handleMinutes(), 'fullMinutes' => $joint->glue->fullMinutes(),
            'better' => $advice->better === null ? null : ['glue' => $advice->better->value, 'word' => $advice->better->word(), 'because' => $advice->betterBecause],
            'removable' => $joint->removable, 'align' => $advice->align, 'bare' => $advice->bare, 'fit' => $advice->fit,
            'closedAt' => Time::utc($closed),
        ];
    }

    /** @return array<string, mixed> */
    private static function handed(Part $part, Context $context): array
    {
        $fitted = $context->surface->fitted[$part->id] ?? [];

        return [
            'id' => $part->id, 'name' => $part->name, 'number' => $part->number, 'place' => $part->place(), 'count' => $part->count,
            'fitted' => array_map(static fn (array $f): array => ['place' => $f[0], 'event' => $f[1]], $fitted),
            'left' => HandedPart::notFitted($context)[$part->id] ?? 0,
            'places' => self::places($part, $context),
        ];
    }

    /** @return list<string> where parts that look like it belong: what it could be fitted as by mistake */
    private static function places(Part $part, Context $context): array
    {
        $places = [$part->place()];
        foreach ($context->kit->parts as $other) {
            if ($other->isHanded() && $other->id !== $part->id && $other->substrate === $part->substrate && self::alike($part->name, $other->name)) {
                $places[] = $other->place();
            }
        }

        return array_values(array_unique($places));
    }

    /** Names that differ only in which of them it is: "port strut" and "starboard strut". */
    private static function alike(string $a, string $b): bool
    {
        $last = static fn (string $name): string => mb_strtolower((string) preg_replace('/\s*\d+\z/', '', (string) strrchr(' '.$name, ' ')));

        return $last($a) === $last($b);
    }

    /** @return array<string, int> place in the order of gluing, from 1, by joint */
    private static function order(Plan $plan): array
    {
        $order = [];
        foreach ($plan->left as $planned) {
            if ($planned->step->operation->joins() && $planned->step->jointId !== null && ! $planned->step->isRemedy()) {
                $order[$planned->step->jointId] = count($order) + 1;
            }
        }

        return $order;
    }

    /**
     * @param  array<string, int>  $order
     * @return list<\AmberStep\Core\Kit\Joint>
     */
    private static function inOrder(Context $context, array $order): array
    {
        $joints = $context->kit->joints;
        usort($joints, static fn ($a, $b): int => [$order[$a->id] ?? 0, $a->position, $a->id] <=> [$order[$b->id] ?? 0, $b->position, $b->id]);

        return $joints;
    }
}
