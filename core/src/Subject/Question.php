<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Step\Fix;

/** One short question about a proposed kit: each answer is a press, and says what it would change. */
final readonly class Question
{
    /**
     * @param  string  $id  of what keeps it open
     * @param  string  $changes  what hangs on it
     * @param  non-empty-list<Fix>  $answers  the one that leaves everything as it is proposed comes first
     */
    public function __construct(public string $id, public string $asks, public string $changes, public array $answers)
    {
    }
}
