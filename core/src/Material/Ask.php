<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\Reader;

/** A figure or a name that can be read two ways: the recipe stays unverified until somebody says which (rule two-readings). */
final readonly class Ask
{
    /**
     * @param  int  $part  place in the recipe
     * @param  string  $about  as it was typed
     * @param  list<AskReading>  $readings  two or more; the first stands until it is answered
     */
    public function __construct(public int $part, public string $about, public array $readings)
    {
    }

    public static function read(Reader $in): self
    {
        $ask = new self($in->whole('part', 0, 7, 0), $in->text('about', 120), $in->each('readings', AskReading::read(...), 6));
        $in->refuseTheRest();

        return $ask;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['part' => $this->part, 'about' => $this->about, 'readings' => array_map(static fn (AskReading $r): array => $r->toArray(), $this->readings)];
    }

    /** "75 % thinner": of the paint, or of all in the cup? */
    public function question(): string
    {
        return "\"{$this->about}\" can be read ".(count($this->readings) === 2 ? 'two' : count($this->readings)).' ways: '.implode(', or ', array_map(static fn (AskReading $r): string => $r->words, $this->readings)).'?';
    }
}
