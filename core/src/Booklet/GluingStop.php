<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

/** A gluing of the booklet that has to wait for paint. */
final readonly class GluingStop
{
    /**
     * @param  list<string>  $colours  ids of the colours that come first
     * @param  string|null  $planned  what is said of one that closes over something, where the plan paints it before
     * @param  bool  $closesOver  it hides what is not painted yet: nobody gets past it; else the part is left off until after paint
     */
    public function __construct(public int $step, public string $joint, public string $name, public array $colours, public string $sentence, public bool $closesOver, public ?string $planned = null)
    {
    }
}
