<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/**
 * Two sheens on one piece: a varnish is a colour here (handbook 7, Stages). The glossier is sprayed first and capped,
 * since tape on a dull coat burnishes it and dull mist on gloss is seen; what is too small for that is brushed after the
 * others are on (handbook 3, varnish-edge).
 */
final readonly class Sheens
{
    /** cm² of one sheen up to which a brush takes it on. */
    private const BRUSHED_CM2 = 2.0;

    /** Areas whose shine is no varnish's: of metal, or of a coat that lies there already. */
    private const NONE = 'none';

    /** @var array<string, int> final coats of the piece, first put on first, by sheen */
    private array $places;

    /** @var array<string, true> sheens that are brushed */
    private array $brushed;

    /** @var array<string, array{string, bool}> how each area ends, and whether a final coat does it */
    private array $ends;

    /** @var list<Edge> hard edges of the piece where two sheens meet, one of them at least put on last */
    private array $meet;

    /** @param  array<string, list<Wanted>>  $layers  by area of one piece, oldest first */
    public function __construct(private Kit $kit, array $layers)
    {
        $ends = [];
        foreach ($layers as $area => $of) {
            $ends[$area] = self::end($of, $kit->areasById[$area]->intent->sheen !== null);
        }
        $this->ends = $ends;
        $meet = [];
        foreach (array_keys($layers) as $area) {
            foreach ($kit->edgesOf($area) as $edge) {
                [$a, $b] = [$this->ends[$edge->areas[0]] ?? null, $this->ends[$edge->areas[1]] ?? null];
                if ($edge->kind === EdgeKind::Hard && $a !== null && $b !== null && $a[0] !== self::NONE && $b[0] !== self::NONE && $a[0] !== $b[0] && ($a[1] || $b[1])) {
                    $meet[$edge->id] = $edge;
                }
            }
        }
        $this->meet = array_values($meet);
        $cm2 = [];
        foreach ($this->ends as $area => [$sheen, $isPutOn]) {
            if ($isPutOn) {
                $cm2[$sheen] = ($cm2[$sheen] ?? 0.0) + $kit->areasById[$area]->cm2();
            }
        }
        uksort($cm2, static fn (string $a, string $b): int => self::shine($b) <=> self::shine($a));
        $washed = $this->washed($layers);
        $small = array_filter($cm2, fn (float $all, string $sheen): bool => $all <= self::BRUSHED_CM2 && ! isset($washed[$sheen]) && $this->meets($sheen), ARRAY_FILTER_USE_BOTH);
        $this->brushed = array_fill_keys(array_keys(count($small) === count($cm2) ? array_slice($small, 1) : $small), true);
        $order = [...array_keys(array_diff_key($cm2, $this->brushed)), ...array_keys($this->brushed)];
        $this->places = array_flip($order);
    }

    /** Place in the trade's order of a final coat of this piece. */
    public function rank(string $sheen): int
    {
        return $this->isBrushed($sheen) ? Rank::brushedSheen() : Rank::sheen($this->places[$sheen] ?? 0);
    }

    public function isBrushed(string $sheen): bool
    {
        return isset($this->brushed[$sheen]);
    }

    /**
     * What is capped while another sheen is sprayed.
     *
     * @return array<string, array{non-empty-list<string>, int, non-empty-list<Edge>}> areas, the place of the coat it is laid for, and edges, by purpose
     */
    public function caps(): array
    {
        $caps = [];
        foreach ($this->meet as $edge) {
            foreach ([$edge->areas, array_reverse($edge->areas)] as [$kept, $sprayed]) {
                [$sheen, $isPutOn] = $this->ends[$kept];
                [$other, $otherIsPutOn] = $this->ends[$sprayed];
                if (! $otherIsPutOn || $this->isBrushed($other) || ($isPutOn && ($this->isBrushed($sheen) || $this->places[$sheen] > $this->places[$other]))) {
                    continue;
                }
                $purpose = $isPutOn ? $sheen : MaskFor::AS_IT_IS;
                [$areas, $place, $edges] = $caps[$purpose] ?? [[], PHP_INT_MAX, []];
                $caps[$purpose] = [array_values(array_unique([...$areas, $kept])), min($place, $this->places[$other]), [...$edges, $edge]];
            }
        }

        return $caps;
    }

    /**
     * A brush drags a wash along: what lies on one takes a mist first.
     *
     * @param  array<string, list<Wanted>>  $layers
     * @return array<string, true> sheens that go over a wash
     */
    private function washed(array $layers): array
    {
        $washed = [];
        foreach ($layers as $area => $of) {
            if (array_filter($of, static fn (Wanted $w): bool => $w->operation->isWash()) !== []) {
                $washed[$this->ends[$area][0]] = true;
            }
        }

        return $washed;
    }

    private function meets(string $sheen): bool
    {
        foreach ($this->meet as $edge) {
            foreach ($edge->areas as $area) {
                if ($this->ends[$area] === [$sheen, true]) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * A paint's own satin or matt that nobody asked for may take the mist of its neighbour.
     *
     * @param  list<Wanted>  $layers
     * @param  bool  $isAsked  the user said how it shall shine
     * @return array{string, bool}
     */
    private static function end(array $layers, bool $isAsked): array
    {
        $top = null;
        foreach ($layers as $layer) {
            $top = $layer->operation->leavesLayer() && $layer->operation !== Operation::Decal ? $layer : $top;
        }
        if ($top?->operation === Operation::Final) {
            return [$top->purpose, true];
        }

        return [match (true) {
            $top === null || $top->operation->isWash() => self::NONE,
            $top->product?->isMetallic() === true => 'metal',
            $isAsked || $top->product?->sheen?->isGlossy() === true => $top->product->sheen->value ?? self::NONE,
            default => self::NONE,
        }, false];
    }

    private static function shine(string $sheen): int
    {
        return (int) array_search(Sheen::tryFrom($sheen), Sheen::cases(), true);
    }
}
