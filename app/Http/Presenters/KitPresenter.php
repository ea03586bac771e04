<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use App\Build\Applied;
use App\Repositories\LoadedBuild;

/** A kit for the screens that type it in: tables of words, the lines, and what the shelf holds. */
final class KitPresenter
{
    /** @return array<string, mixed> */
    public static function kit(LoadedBuild $build, Shelf $shelf, ?Applied $undoable): array
    {
        $kit = $build->kit;
        $breakdown = new Breakdown($kit, $kit->house);
        $document = $kit->toArray();
        $logged = [];
        foreach ($build->events() as $event) {
            foreach ($event->targets as $target) {
                $logged[$target] = ($logged[$target] ?? 0) + 1;
            }
        }

        return [
            'build' => self::name($build),
            'lines' => LinePrinter::text($kit, $shelf),
            'parts' => self::sorted($document['parts']),
            'joints' => array_map(static fn (array $j): array => [...$j, 'beforePaint' => $breakdown->closesBeforePaint($j['id']), 'because' => $breakdown->reason($j['id'])], self::sorted($document['joints'])),
            'pieces' => array_map(static fn ($p): array => ['id' => $p->id, 'name' => $p->name, 'heldBy' => $p->heldBy, 'holder' => ($kit->labelsById[$p->id] ?? null)?->holder?->value, 'parts' => array_map(static fn ($part): string => $part->name, $p->parts), 'areas' => count($p->areas), 'cm2' => round(array_sum(array_map(static fn (Area $a): float => $a->cm2(), $p->areas)), 1)], $breakdown->pieces),
            'areas' => array_map(static fn (array $a): array => [...$a, 'logged' => $logged[$a['id']] ?? 0], self::sorted($document['areas'])),
            'edges' => $document['edges'],
            'colours' => self::sorted($document['colours']),
            'proposed' => SubjectPresenter::of($kit),
            'holders' => $document['holders'],
            'products' => array_map(self::product(...), $shelf->products),
            'undoable' => $undoable?->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    public static function name(LoadedBuild $build): array
    {
        return ['id' => $build->id, 'name' => $build->kit->name, 'scale' => $build->kit->scale, 'subject' => $build->kit->subject, 'revision' => $build->revision, 'zone' => $build->kit->zone->getName()];
    }

    /** @return array<string, mixed> */
    public static function product(Product $product): array
    {
        return ['id' => $product->id, 'name' => $product->name, 'range' => $product->range, 'family' => $product->family->value, 'familyWord' => $product->family->word(), 'role' => $product->role->value, 'swatch' => $product->swatch, 'sheen' => $product->sheen?->value, 'opacity' => $product->opacity->value, 'sizeMl' => $product->sizeMl, 'levelMl' => $product->levelMl];
    }

    /** What a thing of a kit is called in a sentence. */
    public static function nameIn(Kit $kit, string $list, string $id): string
    {
        if ($list === 'edges') {
            foreach ($kit->edges as $edge) {
                if ($edge->id === $id) {
                    return 'the edge of '.($kit->areasById[$edge->areas[0]]->name ?? '').' and '.($kit->areasById[$edge->areas[1]]->name ?? '');
                }
            }
        }

        return ($kit->flawsById[$id] ?? $kit->featuresById[$id] ?? null)?->name($kit) ?? $kit->areasById[$id]->name ?? $kit->jointsById[$id]->name ?? $kit->coloursById[$id]->name ?? $kit->labelsById[$id]->name ?? $kit->partsById[$id]->name ?? rtrim($list, 's');
    }

    public static function cellTitle(Kit $kit, string $list, string $id, string $field, string $text): string
    {
        $words = ['cm2' => 'size', 'insideColour' => 'inside colour', 'preshade' => 'pre-shade', 'seenThrough' => 'seen through', 'bookletStep' => 'step', 'mouldedColour' => 'moulded', 'letsLight' => 'lets light', 'carriesLoad' => 'load', 'gapMm' => 'gap', 'lengthCm' => 'length', 'softMm' => 'width', 'mustMatch' => 'must match', 'heldBy' => 'held by', 'holder' => 'on', 'count' => 'how many', 'origin' => 'from', 'option' => 'only with', 'bestSide' => 'best side', 'removable' => 'comes off', 'code' => 'booklet code', 'widthMm' => 'width', 'depthMm' => 'depth', 'lengthMm' => 'length'];

        return ucfirst(self::nameIn($kit, $list, $id)).': '.($words[$field] ?? $field).' '.($text === '' ? 'emptied' : $text);
    }

    /**
     * @return list<array<string, mixed>>
     */
    private static function sorted(mixed $things): array
    {
        /** @var list<array<string, mixed>> $things */
        usort($things, static fn (array $a, array $b): int => [$a['position'], $a['id']] <=> [$b['position'], $b['id']]);

        return $things;
    }
}
