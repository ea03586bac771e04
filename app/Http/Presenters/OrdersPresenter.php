<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\ModelColours;
use AmberStep\Core\Masking\Order\BestOrders;
use AmberStep\Core\Masking\Order\Decides;
use AmberStep\Core\Masking\Order\Ordered;
use AmberStep\Core\Plan\Plan;

/** Which colour first: the best orders, what the plan has, and what one of the user's own would cost. */
final readonly class OrdersPresenter
{
    private ModelColours $colours;

    private BestOrders $best;

    private Decides $decides;

    private Ordered $planned;

    public function __construct(private Context $context)
    {
        $this->colours = new ModelColours($context->kit, $context->house, $context->shelf, $context->breakdown, $context->surface);
        $this->best = new BestOrders($this->colours->problem);
        $this->planned = $this->planned($context);
        $this->decides = new Decides($this->colours->problem, array_map($this->colours->nameOf(...), array_keys($this->colours->entries)));
    }

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        return (new self($plan->context))->all();
    }

    /** @return array<string, mixed> */
    public function all(): array
    {
        return [
            'rule' => $this->context->house->position('light-first'), 'proven' => $this->best->isProven, 'boundMinutes' => round($this->best->bound, 1),
            'entries' => array_map(fn (int $i): array => ['id' => $this->colours->problem->entries[$i]->id, 'name' => $this->colours->nameOf($i), 'swatch' => $this->context->shelf->find($this->colours->entries[$i][0]->product)?->swatch], array_keys($this->colours->entries)),
            'best' => array_map(fn (Ordered $o): array => ['planned' => $o->shades === 1 && $this->matters($o) === $this->matters($this->planned)] + $this->told($o), $this->best->orders),
            'planned' => ['planned' => true] + $this->told($this->planned),
        ];
    }

    /**
     * One of the user's own, priced; with the edits that make the plan follow it, or what stands against it.
     *
     * @param  list<int>  $order  entries
     * @return array<string, mixed>
     */
    public function own(array $order): array
    {
        $broken = array_map(fn (array $pair): string => $this->must(...$pair), Ordered::broken($this->colours->problem, $order));

        return ['order' => ['planned' => false] + $this->told(Ordered::of($this->colours->problem, $order)), 'against' => array_values(array_unique($broken)), 'edits' => $broken === [] ? array_map(static fn (Edit $e): array => $e->toArray(), $this->edits($order)) : []];
    }

    /**
     * @param  list<string>  $ids  of entries
     * @return list<int>|null null where they are not all of them, each once
     */
    public function read(array $ids): ?array
    {
        $place = array_flip(array_map(static fn ($e): string => $e->id, $this->colours->problem->entries));
        $order = array_map(static fn (string $id): int => $place[$id] ?? -1, $ids);
        $sorted = $order;
        sort($sorted);

        return $sorted === array_values($place) ? $order : null;
    }

    /** @return list<string> of the entries */
    public function ids(): array
    {
        return array_map(static fn ($e): string => $e->id, $this->colours->problem->entries);
    }

    private function matters(Ordered $one): string
    {
        return BestOrders::matters($this->colours->problem, $one->order);
    }

    private function planned(Context $context): Ordered
    {
        return (new ColourOrder(new ModelColours($context->kit, $context->house, $context->shelf, $context->breakdown, $context->surface, asBegun: false), $context->house))->goesOn($this->colours);
    }

    /** @return array<string, mixed> */
    public function told(Ordered $one): array
    {
        $shades = [];
        foreach ($this->colours->shades as $i => $shade) {
            if ($shade !== null && ($one->shades >> $i & 1) === 1) {
                $shades[] = $shade->name;
            }
        }
        $best = $this->best->orders[0] ?? $one;

        return [
            'order' => array_map(fn (int $e): string => $this->colours->problem->entries[$e]->id, $one->order), 'names' => array_map($this->colours->nameOf(...), $one->order), 'shades' => $shades,
            'minutes' => round($one->minutes, 1), 'coats' => $one->coats, 'masks' => $one->masks, 'edgeCm' => round($one->edgeCm, 1), 'fieldCm2' => round($one->fieldCm2, 1), 'loadings' => $one->changes, 'evenings' => $one->waits,
            'more' => round($one->minutes - $best->minutes, 1), 'decides' => $this->decides->against($one, $best),
        ];
    }

    /** The one must that stands against an order. */
    private function must(int $late, int $early): string
    {
        [$a, $b] = [$this->colours->nameOf($late), $this->colours->nameOf($early)];
        if ($this->colours->entries[$late][1] && ! $this->colours->entries[$early][1]) {
            return "{$a} is inside: it is sprayed before what closes over it, so not after {$b}.";
        }

        return "{$a} is begun: what is begun is not sprayed over by {$b} first.";
    }

    /**
     * @param  list<int>  $order
     * @return list<Edit>
     */
    private function edits(array $order): array
    {
        $edits = [Edit::house('light-first', 'own')];
        $last = [];
        foreach ($order as $place => $entry) {
            $last[$this->colours->entries[$entry][0]->id] = $place;
        }
        foreach ($last as $id => $place) {
            $edits[] = Edit::set('colours', (string) $id, 'position', $place);
        }

        return $edits;
    }
}
