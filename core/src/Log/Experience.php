<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** What all builds taught: of the guns, how much they take, and of the paints, how long they stay soft. */
final readonly class Experience
{
    /**
     * @param  UseBook  $uses  what the guns were written down to take
     * @param  list<Heard>  $heard  what was found of the paints' waits, on any build, in the order it was found
     */
    public function __construct(public UseBook $uses = new UseBook, public array $heard = [])
    {
    }
}
