<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

/** Which of those that begin together still wait for another piece to be ready. */
final class Countdown
{
    /** @var array<string, int> how much is left to be done to make each piece ready, by piece */
    private array $open = [];

    /** @param  iterable<string>  $left  keys of what is left to be done to make pieces ready */
    public function __construct(public readonly Together $together, iterable $left)
    {
        foreach ($left as $key) {
            $piece = $together->ready[$key][0];
            $this->open[$piece] = ($this->open[$piece] ?? 0) + 1;
        }
    }

    /** The piece one of them makes ready. */
    public function pieceOf(string $key): string
    {
        return $this->together->ready[$key][0];
    }

    /** @return array<string, int> how much is left to be done to make each piece ready, by piece */
    public function open(): array
    {
        return $this->open;
    }

    /**
     * @param  array<string, int>  $places  by key
     * @return array<int, string> the piece of each that begins and is left, by place
     */
    public function begin(array $places): array
    {
        $begin = [];
        foreach ($this->together->begin as $key => $piece) {
            if (isset($places[$key])) {
                $begin[$places[$key]] = $piece;
            }
        }

        return $begin;
    }

    public function waits(string $key): bool
    {
        return count($this->open) > 1 || ($this->open !== [] && ! isset($this->open[$this->together->begin[$key]]));
    }

    /** @return list<string> those that wait no more, once one piece is a step nearer to being ready */
    public function done(string $key): array
    {
        $piece = $this->together->ready[$key][0];
        if (--$this->open[$piece] > 0) {
            return [];
        }
        unset($this->open[$piece]);

        return match (count($this->open)) {
            // The last piece that is not ready waits for no other; once it is, the others wait for none either.
            1 => array_keys($this->together->begin, array_key_first($this->open), true),
            0 => array_keys(array_filter($this->together->begin, static fn (string $on): bool => $on !== $piece)),
            default => [],
        };
    }
}
