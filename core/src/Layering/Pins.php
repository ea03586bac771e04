<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Work\Operation;

/** Looks up what the user fixed, the narrowest pin first. */
final readonly class Pins
{
    /** @var list<Pin> */
    private array $pins;

    public function __construct(Kit $kit)
    {
        $pins = $kit->pins;
        usort($pins, static fn (Pin $a, Pin $b): int => ($b->target !== null) <=> ($a->target !== null));
        $this->pins = $pins;
    }

    /**
     * @template T
     *
     * @param  callable(Pin): (T|null)  $field
     * @return T|null
     */
    public function find(callable $field, Operation $operation, string $purpose, string ...$targets): mixed
    {
        foreach ($this->pins as $pin) {
            if ($pin->concerns($operation, $purpose, ...$targets)) {
                $value = $field($pin);
                if ($value !== null) {
                    return $value;
                }
            }
        }

        return null;
    }

    /** False: the user leaves it out; true: asks for it; null: says nothing. */
    public function present(Operation $operation, string $purpose, string ...$targets): ?bool
    {
        return $this->find(static fn (Pin $p): ?bool => $p->present, $operation, $purpose, ...$targets);
    }
}
