<?php

declare(strict_types=1);

namespace AmberStep\Core\Seam;

/** Whether another look is likely to pay: while the last one found more than a quarter of the one before (handbook 4, Rounds). */
final readonly class Rounds
{
    private const SHARE = 0.25;

    private function __construct(public bool $pays, public string $why)
    {
    }

    /** @param  list<int>  $found  places that asked for more, round by round */
    public static function of(array $found): self
    {
        $last = $found[count($found) - 1] ?? null;
        $before = $found[count($found) - 2] ?? null;

        return match (true) {
            $last === null => new self(true, 'Nobody has gone round yet.'),
            $last === 0 => new self(false, 'The last round found nothing.'),
            $before === null => new self(true, "The first round found {$last}: go round again once they are seen to."),
            $last > self::SHARE * $before => new self(true, "The last round found {$last}, the one before {$before}: another is likely to find more."),
            default => new self(false, "The last round found {$last} after {$before}: another is not likely to pay."),
        };
    }
}
