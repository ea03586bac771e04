<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Order;

/** What decides between two orders, in one sentence: what makes the one dearer than the other. */
final readonly class Decides
{
    /** @param  list<string>  $names  of the entries */
    public function __construct(private OrderProblem $problem, private array $names)
    {
    }

    /** @return string what an order has more than the best; empty where it is as cheap */
    public function against(Ordered $one, Ordered $best): string
    {
        if ($one->minutes < $best->minutes + 0.5) {
            return '';
        }
        if ($one->coats > $best->coats && $one->shades !== $best->shades) {
            $without = array_values(array_filter($this->problem->shades, static fn (int $i): bool => (($best->shades & ~$one->shades) >> $i & 1) === 1, ARRAY_FILTER_USE_KEY));

            return self::many($one->coats - $best->coats, 'coat').' more'.($without === [] ? '' : ' without '.implode(' and ', $without));
        }
        $more = $this->extra($one);
        foreach ($this->extra($best) as $pair => $coats) {
            $more[$pair] = ($more[$pair] ?? 0) - $coats;
        }
        arsort($more);
        $pair = array_key_first($more);
        if ($pair !== null && $more[$pair] > 0) {
            [$own, $over] = array_map(intval(...), explode(' ', $pair));

            return sprintf('%s after %s costs %s more', $this->names[$own], $this->names[$over], self::many($more[$pair], 'coat'));
        }

        return match (true) {
            $one->waits > $best->waits => self::many($one->waits - $best->waits, 'evening').' more to wait for tape',
            $one->edgeCm > $best->edgeCm + 0.5 => sprintf('%.0f cm of edge more to tape', $one->edgeCm - $best->edgeCm),
            $one->fieldCm2 > $best->fieldCm2 + 0.5 => sprintf('%.0f cm² more to cover', $one->fieldCm2 - $best->fieldCm2),
            $one->changes > $best->changes => self::many($one->changes - $best->changes, 'loading').' of the gun more',
            default => 'a soft edge has to be laid once more',
        };
    }

    private static function many(int $n, string $of): string
    {
        return "{$n} {$of}".($n === 1 ? '' : 's');
    }

    /** @return array<string, int> coats an overspray costs, by what has to hide it and what it is of */
    private function extra(Ordered $ordered): array
    {
        $extra = [];
        $sprayed = 0;
        foreach ($ordered->order as $entry) {
            foreach ($this->problem->patchesOf($entry) as $i => $patch) {
                $least = $this->problem->coats($entry, $i, 0, $ordered->shades);
                $needed = $this->problem->coats($entry, $i, $sprayed, $ordered->shades);
                foreach ($needed > $least ? $patch->over : [] as $other => $coats) {
                    if (($sprayed >> $other & 1) === 1 && $coats === $needed) {
                        $extra["{$entry} {$other}"] = ($extra["{$entry} {$other}"] ?? 0) + $needed - $least;
                        break;
                    }
                }
            }
            $sprayed |= 1 << $entry;
        }

        return $extra;
    }
}
