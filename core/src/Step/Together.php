<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Strength;

/**
 * Steps on several pieces that begin together: what makes one piece ready comes before the first step on each of the
 * others. Said once for all of them, since pair by pair it would grow with the square of the pieces.
 */
final readonly class Together
{
    /**
     * @param  string  $of  what they have in common, a colour's id
     * @param  array<string, array{string, string}>  $ready  by key of what makes a piece ready: the piece, and why the others wait for it
     * @param  array<string, string>  $begin  the piece, by key of what begins on it
     */
    public function __construct(public string $of, public array $ready, public array $begin, public Strength $strength, public string $rule)
    {
    }

    public function ordersBefore(string $ready, string $key): bool
    {
        return isset($this->begin[$key]) && $this->ready[$ready][0] !== $this->begin[$key];
    }

    /** @return iterable<Constraint> what one that begins waits for, as single constraints */
    public function before(string $key): iterable
    {
        foreach ($this->ready as $ready => [, $sentence]) {
            if ($this->ordersBefore($ready, $key)) {
                yield new Constraint($ready, $key, $this->strength, $this->rule, $sentence);
            }
        }
    }
}
