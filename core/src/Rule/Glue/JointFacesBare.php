<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersSteps;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Cement needs bare plastic; any other glue is as strong as the paint it sits on.',
    speaks: [Severity::Stop, Severity::Note],
    rests: 'Handbook 2, Glues: cement needs bare plastic',
)]
final class JointFacesBare implements Judges, OrdersSteps, SeesDeeds
{
    /** More than this and they are said together. */
    private const SAID_ONE_BY_ONE = 4;

    public function id(): string
    {
        return 'joint-faces-bare';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->steps->with(Operation::MaskFaces) as $mask) {
            $joint = $context->kit->jointsById[$mask->purpose];
            $reason = $joint->glue->isCement() ? "Cement holds {$joint->name} only on bare plastic." : "{$joint->name} carries a load: glue is as strong as the paint under it.";
            $sprays = array_values(array_filter($context->steps->ofPiece($mask->pieceId), static fn (Step $s): bool => $s->operation->sprays() && ! $s->isRemedy() && ($s->phase === $mask->phase || ($mask->phase !== '' && $s->phase !== '' && self::isOn($s, $joint, $context)))));
            yield from Say::all([$mask], $sprays, $this, $reason);
        }
        foreach ($context->steps->with(Operation::Scrape) as $scrape) {
            $joins = array_values(array_filter($context->steps->all(), static fn (Step $s): bool => $s->operation->joins() && $s->jointId === $scrape->purpose));
            yield from Say::all([$scrape], $joins, $this, 'Painted joint faces are scraped before they are glued.');
        }
    }

    public function deeds(Step $step, World $before): iterable
    {
        $joint = $step->operation->joins() ? $before->kit->jointsById[$step->jointId ?? ''] ?? null : null;
        if ($joint === null || ! ($joint->glue->isCement() || $joint->carriesLoad)) {
            return;
        }
        foreach ($joint->parts as $part) {
            $piece = $before->surface->piece($before->breakdown->pieceOfPart[$part]);
            $bared = $piece->count(Operation::MaskFaces, $joint->id) + $piece->count(Operation::Scrape, $joint->id) > 0;
            $painted = array_filter($before->kit->areasOf($part), static fn (Area $a): bool => $before->state($a->id)->layers !== []);
            if (! $bared && $painted !== []) {
                yield new Misdeed(Severity::Stop, "{$joint->name} glued on paint", ucfirst($joint->glue->word()).' holds on bare plastic: its faces were neither plugged nor scraped.', $joint->id, 'Pull at it gently once it is hard; glue it again on scraped faces where it gives');

                return;
            }
        }
    }

    /** What lies inside is painted in turns: what is sprayed on either part of a joint would reach its faces. */
    public static function isOn(Step $step, Joint $joint, Context $context): bool
    {
        foreach ($step->targets as $target) {
            if (in_array($context->kit->areasById[$target]->part ?? '', $joint->parts, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Light joints glued on paint; many of them are said in one note.
     *
     * @return iterable<Finding>
     */
    private function onPaint(Context $context): iterable
    {
        $joints = array_values(array_filter($context->kit->joints, static fn (Joint $j): bool => ! $j->glue->isCement() && ! $j->carriesLoad && ! $context->breakdown->closesBeforePaint($j->id) && $context->surface->joint($j->id)->closedAt === null));
        if (count($joints) > self::SAID_ONE_BY_ONE) {
            yield new Finding($this->id(), Severity::Note, count($joints).' joints are glued on paint', 'The glue holds there as well as the paint does, which is enough for light parts: '.Names::listed(array_map(static fn (Joint $j): string => $j->name, $joints)).'.', [Id::from('glued-on-paint')], rests: (string) count($joints));

            return;
        }
        foreach ($joints as $joint) {
            yield new Finding($this->id(), Severity::Note, "{$joint->name}: glued on paint", ucfirst($joint->glue->word()).' on paint holds as well as the paint does: enough for a light part.', [$joint->id]);
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        yield from $this->onPaint($context);
        foreach ($context->kit->joints as $joint) {
            if ($context->breakdown->closesBeforePaint($joint->id) || $context->surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            if (! $joint->glue->isCement() && ! $joint->carriesLoad) {
                continue;
            }
            $bare = fn (Pin $p): bool => $p->operation === Operation::MaskFaces && $p->present === false && ($p->target === $joint->id || $p->purpose === $joint->id);
            $fix = Say::unpin($context, $bare, 'Plug the joint faces before paint');
            if ($fix !== null) {
                yield new Finding($this->id(), Severity::Stop, "The faces of {$joint->name} get painted", ucfirst($joint->glue->word()).' does not hold on paint, and you leave out the plugs that keep the faces bare.', [$joint->id], [], [$fix]);
            }
        }
    }
}
