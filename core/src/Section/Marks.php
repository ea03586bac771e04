<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\MaskOn;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Work\Operation;

/** Everything that is or will be done to one area and leaves its mark there, each with its moment. */
final readonly class Marks
{
    private const CUTS = [Operation::Flat, Operation::Abrade, Operation::Polish];

    public function __construct(private Context $context)
    {
    }

    /** @return list<Mark> */
    public function of(Area $area, AreaState $final, string $pieceId, ?int $seamAt): array
    {
        $marks = [];
        $mark = static function (int $at, string $key, string $ref, string $title, RowKind $kind, ?string $swatch = null, ?string $under = null) use (&$marks, $area, $pieceId): void {
            $marks[] = new Mark($at, $area->id, $pieceId, $key, $ref, $title, $kind, $swatch, $under);
        };
        if ($seamAt !== null) {
            $mark($seamAt, 'seam', 'seam', 'fill, cut back', RowKind::Seam);
        }
        foreach ($final->layers as $i => $layer) {
            $mark($layer->firstCoat()->atEpoch, self::key($layer), "layer {$i}", $this->title($layer), RowKind::of($layer->operation), $layer->product?->swatch, $layer->operation === Operation::Ground ? $this->over($area) : null);
        }
        foreach (self::CUTS as $operation) {
            foreach ($this->done($final, $operation) as $at) {
                $mark($at, $operation->value, $operation->value.' '.$at, $operation === Operation::Polish ? 'wet sand, polish' : $operation->word(), RowKind::Cut);
            }
        }
        foreach ($final->masksPast as $i => $stay) {
            $mark($stay->mask->atEpoch, self::maskKey($stay->mask), "on {$i}", $this->maskTitle($stay->mask), RowKind::MaskOn);
            $panes = $stay->mask->purpose === MaskFor::PANES;
            $mark($stay->offEpoch, $panes ? 'off/panes' : 'off', "off {$i}", $panes ? 'panes bare' : 'masks off', RowKind::MaskOff);
        }
        foreach ($final->masks as $purpose => $mask) {
            $mark($mask->atEpoch, self::maskKey($mask), 'on '.$purpose, $this->maskTitle($mask), RowKind::MaskOn);
        }

        return $marks;
    }

    private static function key(Layer $layer): string
    {
        return 'layer/'.$layer->operation->value.'/'.$layer->purpose.'/'.($layer->product->id ?? '');
    }

    private function title(Layer $layer): string
    {
        $colour = $this->context->kit->colour($layer->purpose)?->name;

        return match ($layer->operation) {
            Operation::Decal => 'decals',
            Operation::Ground => $colour ?? $layer->word(),
            Operation::InsideColour => ($colour ?? $layer->word()).', inside',
            Operation::Preshade => 'pre-shade '.($colour ?? ''),
            Operation::Colour => $colour ?? $layer->word(),
            Operation::Prime => $layer->word(),
            Operation::Final => $layer->product?->sheen !== null ? $layer->product->sheen->value : 'final coat',
            default => $layer->operation->word(),
        };
    }

    /** The colour an area's ground is laid for. */
    private function over(Area $area): string
    {
        return $this->context->kit->colour($area->intent->colour ?? '')->name ?? 'its colour';
    }

    private static function maskKey(MaskOn $mask): string
    {
        return 'on/'.$mask->purpose.'/'.$mask->medium->value;
    }

    private function maskTitle(MaskOn $mask): string
    {
        return match ($mask->purpose) {
            MaskFor::PANES => 'mask panes',
            MaskFor::BARE => 'cap what stays bare',
            MaskFor::AS_IT_IS => 'cap what shines already',
            default => MaskFor::sheen($mask->purpose) ? "cap the {$mask->purpose}, {$mask->medium->word()}" : 'cap '.($this->context->kit->colour($mask->purpose)->name ?? 'it').', '.$mask->medium->word(),
        };
    }

    /** @return list<int> moments */
    private function done(AreaState $state, Operation $operation): array
    {
        $moments = [];
        foreach ($state->done as $key => $times) {
            if (str_starts_with($key, $operation->value.'/')) {
                array_push($moments, ...$times);
            }
        }

        return array_values(array_unique($moments));
    }
}
