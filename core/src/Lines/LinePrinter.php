<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\JointKind;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Origin;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Kit\WashKind;
use AmberStep\Core\Material\Shelf;

/** Writes a kit as lines that read back as the same kit. */
final readonly class LinePrinter
{
    /** @var array<string, string> how each thing is called in a line, by id */
    private array $called;

    /** @var array<string, true> edges that are not the first their two areas share, by id */
    private array $others;

    public function __construct(private Kit $kit, private Shelf $shelf)
    {
        $this->called = [...self::refs($kit->parts), ...self::refs($kit->joints), ...self::refs($kit->colours), ...self::refs($kit->areas, static fn (Area $a): string => $a->part)];
        $this->others = self::others($kit);
    }

    public static function text(Kit $kit, Shelf $shelf): string
    {
        $printer = new self($kit, $shelf);
        $lines = [];
        foreach (self::sorted($kit->colours) as $colour) {
            $lines[] = $printer->colour($colour);
        }
        foreach (self::sorted($kit->parts) as $part) {
            $lines[] = $printer->part($part);
        }
        foreach (self::sorted($kit->areas) as $area) {
            $lines[] = $printer->area($area);
        }
        foreach (self::sorted($kit->joints) as $joint) {
            $lines[] = $printer->joint($joint);
        }
        foreach ($kit->pieces as $piece) {
            $lines[] = "piece {$printer->called[$piece->id]} = ".Ref::quoted($piece->name).($piece->holder === null ? '' : ", on a {$piece->holder->value}").($piece->heldBy === null ? '' : ', held by '.Ref::quoted($piece->heldBy));
        }

        return $lines === [] ? '' : implode("\n", $lines)."\n";
    }

    private function colour(Colour $colour): string
    {
        return "colour {$this->called[$colour->id]} = {$this->paint($colour->product)}".($colour->mustMatch ? ', must match' : '').($colour->code === null ? '' : ', code '.Ref::quoted($colour->code));
    }

    private function paint(string $productId): string
    {
        $product = $this->shelf->find($productId);
        $same = array_filter($this->shelf->products, static fn ($p): bool => mb_strtolower($p->name) === mb_strtolower($product->name ?? ''));

        return $product === null || count($same) !== 1 ? '{'.$productId.'}' : Ref::quoted($product->name);
    }

    private function part(Part $part): string
    {
        return implode(', ', array_filter([
            "part {$this->called[$part->id]}", $part->substrate->word(),
            $part->number === null ? '' : 'no '.Ref::quoted($part->number), $part->bookletStep === null ? '' : "step {$part->bookletStep}",
            $part->mouldedColour === null ? '' : "moulded {$part->mouldedColour}", $part->slot === null ? '' : 'slot '.Ref::quoted($part->slot), $part->hand === null ? '' : 'hand '.Ref::quoted($part->hand),
            $part->fragile ? 'fragile' : '', $part->stressed ? 'stressed' : '', $part->letsLight ? 'lets light' : '',
            $part->count === 1 ? '' : "x{$part->count}", $part->grip === null ? '' : 'grip '.str_replace('-', ' ', $part->grip->value), $part->origin === Origin::Kit ? '' : "{$part->origin->value} part",
            $part->hollow ? 'hollow' : '', $part->option === null ? '' : 'option '.Ref::quoted($part->option), $part->inside === null ? '' : "inside {$this->called[$part->inside]}",
        ], static fn (string $s): bool => $s !== ''));
    }

    private function area(Area $area): string
    {
        $intent = $area->intent;

        return implode(', ', array_filter([
            "{$this->called[$area->part]} / {$this->called[$area->id]}",
            $area->measuredCm2 === null || $area->size !== Size::M ? $area->size->value : '',
            $area->measuredCm2 === null ? '' : TypedNumber::text($area->measuredCm2).' cm²',
            $area->curve === Curve::Flat ? '' : $area->curve->value, $area->face === Face::Outside ? '' : str_replace('-', ' ', $area->face->value),
            $area->seenThrough === null ? '' : "seen through {$this->place($area->seenThrough)}",
            $intent->colour === null ? '' : $this->called[$intent->colour],
            $intent->insideColour === null ? '' : "inside {$this->called[$intent->insideColour]}",
            $intent->ground === null ? '' : "on {$this->called[$intent->ground]}",
            $intent->preshade === null ? '' : "preshade {$this->called[$intent->preshade]}",
            $intent->decals ? 'decals' : '', $intent->wash === null ? '' : ($intent->wash === WashKind::Pin ? 'pin wash' : 'filter'),
            $intent->sheen === null ? '' : $intent->sheen->value, $intent->polish ? 'polish' : '',
            ...$this->edgesOf($area),
        ], static fn (string $s): bool => $s !== ''));
    }

    /** @return list<string> */
    private function edgesOf(Area $area): array
    {
        return array_values(array_map(fn (Edge $edge): string => $this->edge($edge, $area), array_filter($this->kit->edges, static fn (Edge $e): bool => $e->areas[0] === $area->id)));
    }

    private function edge(Edge $edge, Area $from): string
    {
        $to = $this->kit->areasById[$edge->areas[1]];

        return implode(' ', array_filter([
            isset($this->others[$edge->id]) ? 'also' : '', $edge->kind->value, TypedNumber::text($edge->mm).' mm', $edge->softMm === 2.0 ? '' : TypedNumber::text($edge->softMm).' mm wide',
            $edge->curve === Curve::Flat ? '' : $edge->curve->value, $edge->subject === null ? '' : 'subject '.$edge->subject->value,
            'to', $to->part === $from->part ? $this->called[$to->id] : $this->place($to->id),
        ], static fn (string $s): bool => $s !== ''));
    }

    /** @return array<string, true> */
    private static function others(Kit $kit): array
    {
        $seen = $others = [];
        foreach (self::sorted($kit->areas) as $area) {
            foreach ($kit->edges as $edge) {
                if ($edge->areas[0] === $area->id) {
                    $pair = $edge->areas;
                    sort($pair);
                    if (isset($seen[$pair[0].$pair[1]])) {
                        $others[$edge->id] = true;
                    }
                    $seen[$pair[0].$pair[1]] = true;
                }
            }
        }

        return $others;
    }

    private function joint(Joint $joint): string
    {
        return implode(', ', array_filter([
            "joint {$this->called[$joint->id]}: {$this->called[$joint->parts[0]]} + {$this->called[$joint->parts[1]]}",
            $joint->kind === JointKind::Seam ? 'seam' : '',
            match ($joint->closed->value) {
                'before' => 'before paint',
                'after' => 'after paint',
                default => '',
            },
            $joint->glue->word(), $joint->carriesLoad ? 'carries load' : '', ...array_map(fn (string $area): string => 'blocks '.$this->place($area), $joint->blocks),
            $joint->gapMm > 0 ? 'gap '.TypedNumber::text($joint->gapMm).' mm' : '', $joint->lengthCm > 0 ? TypedNumber::text($joint->lengthCm).' cm long' : '',
            $joint->filler === null ? '' : 'fill '.$joint->filler->word(),
            match ($joint->access->value) {
                'tight' => 'tight to sand',
                'detail' => 'detail beside it',
                'none' => 'cannot be sanded',
                default => '',
            },
            $joint->crossed ? 'lines cross it' : '',
            $joint->pins ? '' : 'no pins', $joint->removable ? 'removable' : '', $joint->bestSide === null ? '' : 'best side '.Ref::quoted($joint->bestSide), $joint->step === null ? '' : "step {$joint->step}",
        ], static fn (string $s): bool => $s !== ''));
    }

    /** How a thing of the kit is called in a line. */
    public function called(string $id): string
    {
        return $this->called[$id] ?? '';
    }

    /** How an area is called from another part's line. */
    public function place(string $areaId): string
    {
        $area = $this->kit->areasById[$areaId];

        return "{$this->called[$area->part]} / {$this->called[$areaId]}";
    }

    /**
     * @template T of Part|Joint|Area|Colour
     *
     * @param  list<T>  $things
     * @param  (callable(T): string)|null  $scope
     * @return array<string, string>
     */
    private static function refs(array $things, ?callable $scope = null): array
    {
        $count = $refs = [];
        foreach (self::sorted($things) as $thing) {
            $place = ($scope === null ? '' : $scope($thing)).'/'.mb_strtolower($thing->name);
            $count[$place] = ($count[$place] ?? 0) + 1;
            $refs[$thing->id] = (new Ref($thing->name, $count[$place]))->text();
        }

        return $refs;
    }

    /**
     * @template T of Part|Joint|Area|Colour
     *
     * @param  list<T>  $things
     * @return list<T>
     */
    private static function sorted(array $things): array
    {
        usort($things, static fn (Part|Joint|Area|Colour $a, Part|Joint|Area|Colour $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);

        return $things;
    }
}
