<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** Where good modellers disagree (handbook 5): one position for each question, the first the default. */
final readonly class HouseRules
{
    /** @param  array<string, string>  $positions by question */
    public function __construct(public array $positions = [])
    {
    }

    public static function read(Reader $in): self
    {
        $positions = [];
        foreach (array_keys(HouseBook::questions()) as $question) {
            $known = HouseBook::positions($question);
            $value = $in->optionalText($question, 40);
            if ($value !== null && ! in_array($value, $known, true)) {
                $in->problems->add($in->path($question), 'is no position on this question', 'use one of '.implode(', ', $known));
            } elseif ($value !== null) {
                $positions[$question] = $value;
            }
        }
        $in->refuseTheRest();

        return new self($positions);
    }

    public function position(string $question): string
    {
        return $this->positions[$question] ?? HouseBook::positions($question)[0] ?? '';
    }

    public function says(string $question, string $position): bool
    {
        return $this->position($question) === $position;
    }

    /** The user's rules with a build's own on top. */
    public function with(self $ownOfBuild): self
    {
        return new self([...$this->positions, ...$ownOfBuild->positions]);
    }
}
