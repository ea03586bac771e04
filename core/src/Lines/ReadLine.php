<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/** One line, and what was read in it. */
final class ReadLine
{
    /** @var list<ReadPhrase> */
    public array $phrases = [];

    /** @var list<LineProblem> */
    public array $problems = [];

    /** @var string|null what the line is about: area, part, joint, piece, colour, note; null for an empty one */
    public ?string $about = null;

    public string $title = '';

    /** @var string|null swatch of the colour an area gets */
    public ?string $swatch = null;

    public bool $isNew = false;

    public function __construct(public readonly int $number, public readonly string $text)
    {
    }
}
