<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'Superglue and wet cement fog panes: near them, glue that has no vapour.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Glues: which have vapour',
)]
final class ClearNoFog implements Judges
{
    public function id(): string
    {
        return 'clear-no-fog';
    }

    public function judge(Outlook $outlook): iterable
    {
        $kit = $outlook->context->kit;
        foreach ($kit->joints as $joint) {
            $clear = array_values(array_filter($joint->parts, static fn (string $p): bool => $kit->partsById[$p]->isClear()));
            if ($clear === [] || $outlook->context->surface->joint($joint->id)->closedAt !== null || ! self::fogs($joint)) {
                continue;
            }
            $fixes = [new Fix('Glue it with clear glue', [Edit::set('joints', $joint->id, 'glue', Glue::ClearGlue->value), ...($joint->carriesLoad ? [Edit::set('joints', $joint->id, 'carriesLoad', false)] : [])])];
            if ($joint->carriesLoad) {
                $fixes[] = new Fix('Glue it with epoxy: it carries load', [Edit::set('joints', $joint->id, 'glue', Glue::Epoxy->value)]);
            }
            yield new Finding($this->id(), Severity::Think, ucfirst($joint->glue->word())." fogs {$kit->partsById[$clear[0]]->name}", ucfirst($joint->glue->word()).' gives off vapour that settles on a pane as a white bloom.', [$joint->id], [], $fixes, rests: $joint->glue->value);
        }
    }

    /** Superglue always; slow cement for hours; thin cement where a seam takes much of it. */
    private static function fogs(Joint $joint): bool
    {
        return match ($joint->glue) {
            Glue::Superglue, Glue::SlowCement => true,
            Glue::ThinCement => $joint->isSeam(),
            default => false,
        };
    }
}
