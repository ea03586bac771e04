<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Seam;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Feature;
use AmberStep\Core\Kit\FeatureKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A part with a list of panel lines, rivets or welds is not closed under primer while one of them is unticked.',
    speaks: [Severity::Stop],
    rests: 'The list of features of the part',
)]
final class FeaturesDone implements Judges
{
    public function id(): string
    {
        return 'features-done';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        $byPart = [];
        foreach ($context->kit->features as $feature) {
            if (! isset($context->surface->features[$feature->id])) {
                $byPart[$feature->part][] = $feature;
            }
        }
        foreach ($byPart as $part => $open) {
            $painted = [];
            foreach ($context->kit->areas as $area) {
                if ($area->part === $part && $area->face->value === 'outside' && $context->surface->area($area->id)->layers !== []) {
                    $painted[] = $area->id;
                }
            }
            if ($painted === []) {
                continue;
            }
            $names = Names::listed(array_map(static fn (Feature $f): string => $f->name($context->kit), $open));
            $name = $context->kit->partsById[$part]->name;
            $ids = array_map(static fn (Feature $f): string => $f->id, $open);
            $lines = array_filter($open, static fn (Feature $f): bool => $f->kind !== FeatureKind::Weld) !== [];
            $key = (new Finding($this->id(), Severity::Stop, '', '', $ids))->key;
            yield new Finding($this->id(), Severity::Stop, "{$name} is painted, and detail is missing", "Not ticked: {$names}. Every coat more fills it further.", $ids, array_map(static fn (Feature $f): string => "{$f->id}/rescribe/feature/1", $open), [
                Say::look($outlook, $key, $painted, $lines ? "Scribe {$names} through the paint, light strokes, spot prime" : "Lay {$names} on the paint, spot prime", null, Operation::Look),
                new Fix(count($open) === 1 ? 'It is not on the subject: strike it out' : 'They are not on the subject: strike them out', array_map(static fn (string $id): Edit => Edit::remove('features', $id), $ids)),
            ]);
        }
    }
}
