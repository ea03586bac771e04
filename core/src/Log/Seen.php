<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Work\Operation;

/** What lies where a fault was seen: its remedy goes back on the right level, and ends in the finish the place had. */
final readonly class Seen
{
    /**
     * @param  Operation|null  $on  the coat it was seen on; null: bare
     * @param  string|null  $primer  product that lies there as primer, and so on
     * @param  string|null  $finish  of its final coat, where it has one
     */
    public function __construct(
        public ?Operation $on,
        public ?string $primer = null,
        public ?string $paint = null,
        public ?string $varnish = null,
        public ?string $finish = null,
        public bool $isMetallic = false,
        public bool $isGlossy = false,
    ) {
    }

    /** @param  string|null  $product  the coat it was seen on, where somebody said; null: the top */
    public static function at(AreaState $state, ?string $product): self
    {
        $on = $primer = $paint = $varnish = $finish = null;
        $metallic = $glossy = false;
        foreach ($state->layers as $layer) {
            if ($layer->product === null) {
                continue;
            }
            $id = $layer->product->id;
            $on = $product === null || $product === $id ? $layer->operation : $on;
            if ($layer->operation === Operation::Prime) {
                $primer = $id;
            } elseif ($layer->operation->isVarnish()) {
                $varnish = $id;
                $finish = $layer->operation === Operation::Final ? $id : $finish;
                $glossy = $layer->product->sheen === Sheen::Gloss;
            } elseif ($layer->operation->sprays()) {
                [$paint, $metallic] = [$id, $layer->product->isMetallic()];
            }
        }

        return new self($on ?? $state->top()?->operation, $primer, $paint, $varnish, $finish, $metallic, $glossy);
    }

    /** What goes on again with an operation of the remedy; null where nothing of the kind lies there. */
    public function product(Operation $operation): ?string
    {
        return match (true) {
            $operation === Operation::Prime => $this->primer,
            $operation === Operation::Final => $this->finish ?? $this->varnish,
            $operation === Operation::Barrier => null,
            $operation->isVarnish() => $this->varnish,
            default => $this->paint,
        };
    }

    /** The coat that goes on again where it was cut: varnish on varnish, primer on primer, paint on all else. */
    public function again(): Operation
    {
        return match (true) {
            $this->on === Operation::Prime => Operation::Prime,
            $this->on?->isVarnish() === true => $this->on,
            default => Operation::Colour,
        };
    }

    /** @return array{string|null, string|null, string|null, string|null, string|null, bool, bool} */
    public function row(): array
    {
        return [$this->on?->value, $this->primer, $this->paint, $this->varnish, $this->finish, $this->isMetallic, $this->isGlossy];
    }

    /** @param  array{string|null, string|null, string|null, string|null, string|null, bool, bool}  $row */
    public static function fromRow(array $row): self
    {
        return new self($row[0] === null ? null : Operation::from($row[0]), $row[1], $row[2], $row[3], $row[4], $row[5], $row[6]);
    }
}
