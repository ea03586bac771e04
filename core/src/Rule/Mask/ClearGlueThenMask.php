<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A clear part is glued, set, then masked: cement creeps under a mask. The other school masks first and attaches with clear glue.',
    speaks: [Severity::Stop],
    rests: 'House rule of clear parts',
)]
final class ClearGlueThenMask implements Judges, OrdersSteps
{
    public function id(): string
    {
        return 'clear-glue-then-mask';
    }

    public function order(Context $context): iterable
    {
        $all = self::panesOf($context);
        foreach ($context->kit->joints as $joint) {
            $glue = $context->steps->find("{$joint->id}/glue/all/1");
            $panes = self::at($joint, $all);
            if ($glue === null || $panes === []) {
                continue;
            }
            $masks = array_values(array_filter($context->steps->with(Operation::Mask), static fn (Step $s): bool => $s->purpose === MaskFor::PANES && array_intersect($s->targets, $panes) !== []));
            yield from $this->afterSanding($context, $joint, $glue, $all);
            yield from Say::all([$glue], $masks, $this, "Glue at {$joint->name} creeps under a mask that is already on.");
        }
    }

    /**
     * A clear part goes on when the piece it sits on is together and sanded: dust and grip scratch it.
     *
     * @param  list<Area>  $panes
     * @return iterable<Constraint>
     */
    private function afterSanding(Context $context, Joint $clear, Step $glue, array $panes): iterable
    {
        foreach ($context->steps->ofPiece($glue->pieceId) as $step) {
            $other = $context->kit->jointsById[$step->jointId ?? ''] ?? null;
            if ($other !== null && $other->id !== $clear->id && ! $step->isRemedy() && ! $step->operation->joins() && self::at($other, $panes) === []) {
                yield Say::must($step, $glue, $this, "Sanding at {$other->name} would scratch the clear part.");
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        $all = self::panesOf($context);
        foreach ($context->kit->joints as $joint) {
            if (! $context->breakdown->closesBeforePaint($joint->id) || $context->surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            $masked = array_values(array_filter(self::at($joint, $all), static fn (string $a): bool => $context->surface->area($a)->isMasked()));
            if ($masked === []) {
                continue;
            }
            $key = (new Finding($this->id(), Severity::Stop, '', '', [$joint->id, ...$masked]))->key;
            yield new Finding($this->id(), Severity::Stop, 'The panes are masked before they are glued', "Glue at {$joint->name} would creep under the mask and onto the panes.", [$joint->id, ...$masked], ["{$joint->id}/glue/all/1"], [
                new Fix('Paint it apart, attach it last with clear glue', [Edit::set('joints', $joint->id, 'closed', 'after'), Edit::set('joints', $joint->id, 'glue', 'clear-glue'), Edit::set('joints', $joint->id, 'carriesLoad', false)]),
                $this->again($key, $joint, $masked),
            ]);
        }
    }

    /** @param  non-empty-list<string>  $panes */
    private function again(string $key, Joint $joint, array $panes): Fix
    {
        $off = new Inserted(Id::from($key, 'off'), Operation::Unmask, $panes, "Take the mask off before {$joint->name} is glued", 'glue', answers: $key);
        $on = new Inserted(Id::from($key, 'on'), Operation::Mask, $panes, 'Mask the panes again once the glue has set', 'inside-colour', answers: $key);

        return new Fix('Take it off, glue, mask again', [Edit::insert($off), Edit::insert($on)]);
    }

    /** @return list<Area> */
    private static function panesOf(Context $context): array
    {
        return array_values(array_filter($context->kit->areas, static fn (Area $a): bool => $a->isPane()));
    }

    /**
     * Those on the clear part of a joint.
     *
     * @param  list<Area>  $panes
     * @return list<string> ids
     */
    private static function at(Joint $joint, array $panes): array
    {
        return array_values(array_map(static fn (Area $a): string => $a->id, array_filter($panes, static fn (Area $a): bool => in_array($a->part, $joint->parts, true))));
    }
}
