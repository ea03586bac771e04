<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'The grain of a coarse surfacer shows through colour: it is sanded first.',
    speaks: [Severity::Stop],
    rests: 'Grade 1000',
)]
final class CoarsePrimerCut implements Judges
{
    /** Grades below this are coarse. */
    private const FINE = 1000;

    public function id(): string
    {
        return 'coarse-primer-cut';
    }

    public function judge(Outlook $outlook): iterable
    {
        $groups = [];
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            $grade = $below->operation === Operation::Prime ? $below->product?->grade : null;
            if ($grade === null || $grade >= self::FINE || $above->product === null || $above->operation === Operation::Prime || Stacks::wasSanded($outlook, $area->id, $below->lastCoat()->atEpoch, $above->firstCoat()->atEpoch)) {
                continue;
            }
            $group = implode('/', [$outlook->context->breakdown->pieceOfArea[$area->id] ?? '', $above->operation->value, $above->purpose, $above->isPlanned() ? 'planned' : 'laid']);
            $groups[$group][] = [$area->id, $below, $above, $grade];
        }
        foreach ($groups as $group) {
            yield $this->finding($outlook, $group);
        }
    }

    /** @param  non-empty-list<array{string, Layer, Layer, int}>  $group areas of one piece with one coat above */
    private function finding(Outlook $outlook, array $group): Finding
    {
        $areas = array_column($group, 0);
        [, $below, $above, $grade] = $group[0];
        $key = (new Finding($this->id(), Severity::Stop, '', '', $areas))->key;
        $before = $above->operation->value.'/'.$above->purpose;
        $fixes = $above->isPlanned()
            ? [new Fix('Cut it with P800 first', [Edit::insert(new Inserted(Id::from('cut', $before, ...$areas), Operation::Flat, $areas, "Cut {$below->word()} with P800, dry", $before, WaitKind::SandSafe, answers: $key))])]
            : [Say::look($outlook, $key, $areas, 'Flat it to P1000 once it is sand-safe, and mist the colour again', WaitKind::SandSafe, Operation::Flat)];
        $finer = $this->finer($outlook);
        if ($above->isPlanned() && $below->isPlanned() && $finer !== null) {
            $piece = $outlook->context->breakdown->pieceOfArea[$areas[0]];
            $fixes[] = new Fix("Prime with {$finer->name} instead", [...Stacks::unpins($outlook->context, Operation::Prime, 'all', $piece, $areas), Edit::pin(new Pin(Id::from('finer', $piece), Operation::Prime, $piece, 'all', product: $finer->id))]);
        }

        return new Finding($this->id(), Severity::Stop, "{$below->word()} is coarse and not cut", sprintf('Grade %d leaves a grain that %s does not hide: it is sanded with P800 before colour.', $grade, $above->word()), $areas, $outlook->stepsOf($above), $fixes);
    }

    /** A fine primer that takes on the same things; the compiler had a reason where there is none. */
    private function finer(Outlook $outlook): ?Product
    {
        foreach ($outlook->context->shelf->products as $product) {
            if ($product->role === Role::Primer && $product->grade !== null && $product->grade >= self::FINE && $product->bites && ! $product->etch) {
                return $product;
            }
        }

        return null;
    }
}
