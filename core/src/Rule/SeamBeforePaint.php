<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Plan\Context;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Outlook;
use AmberStep\Core\Plan\Step;

/** A joint that must vanish is glued, filled, cut back and checked before the first paint. */
final class SeamBeforePaint implements Judges, OrdersSteps
{
    private const CHAIN = [Operation::Glue, Operation::Fill, Operation::CutBack, Operation::CheckSeam];

    public function id(): string
    {
        return 'seam-before-paint';
    }

    public function order(Context $context): iterable
    {
        foreach ($context->kit->joints as $joint) {
            $chain = [];
            foreach (self::CHAIN as $operation) {
                $step = $context->steps->find("{$joint->id}/{$operation->value}/all/1");
                if ($step !== null) {
                    $chain[] = $step;
                }
            }
            if ($chain === []) {
                continue;
            }
            for ($i = 1; $i < count($chain); $i++) {
                yield Say::must($chain[$i - 1], $chain[$i], $this, "{$joint->name}: {$chain[$i]->operation->word()} comes after {$chain[$i - 1]->operation->word()}.");
            }
            $outside = array_values(array_filter(
                $context->steps->ofPiece($chain[0]->pieceId),
                static fn (Step $s): bool => $s->phase === '' && ! $s->isRemedy() && ($s->operation->sprays() || $s->operation === Operation::Wash),
            ));
            $reason = $joint->isSeam() ? "{$joint->name} must vanish before paint shows it." : "{$joint->name} is closed before paint: {$context->breakdown->reason($joint->id)}.";
            yield from Say::all([$chain[count($chain) - 1]], $outside, $this, $reason);
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            if (! $joint->isSeam() || $context->surface->joint($joint->id)->closedAt !== null) {
                continue;
            }
            $fixes = [
                new Fix('Close it before paint', [Edit::set('joints', $joint->id, 'closed', 'before')]),
                new Fix('It is a line that belongs there', [Edit::set('joints', $joint->id, 'kind', 'line')]),
            ];
            // Once paint is on, closing it before paint is no way out any more.
            $painted = $this->painted($context, $joint->parts);
            if (! $context->breakdown->closesBeforePaint($joint->id)) {
                yield new Finding($this->id(), Severity::Stop, "{$joint->name} is to vanish, and closes after paint", 'Filling and sanding it would take the paint off again on both sides.', [$joint->id], ["{$joint->id}/attach/all/1"], $painted === [] ? $fixes : [$fixes[1]]);

                continue;
            }
            if ($painted !== []) {
                $key = (new Finding($this->id(), Severity::Stop, '', '', [$joint->id, ...$painted]))->key;
                yield new Finding($this->id(), Severity::Stop, "Paint is on before {$joint->name} is closed", 'It must vanish: it still has to be glued, filled and sanded, through '.Say::listed(array_map($context->areaName(...), $painted)).'.', [$joint->id, ...$painted], [], [
                    Say::look($outlook, $key, $painted, 'Scrape the joint faces bare, and repaint once the seam is gone', null, Operation::Flat),
                    $fixes[1],
                ]);
            }
        }
    }

    /**
     * @param  array{string, string}  $parts
     * @return list<string>
     */
    private function painted(Context $context, array $parts): array
    {
        $painted = [];
        foreach ($context->kit->areas as $area) {
            if (in_array($area->part, $parts, true) && $area->face === Face::Outside && $context->breakdown->blocks($area->id) === null && $context->surface->area($area->id)->top() !== null) {
                $painted[] = $area->id;
            }
        }

        return $painted;
    }
}
