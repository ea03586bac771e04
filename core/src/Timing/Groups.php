<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** What begins together: each of it waits until all other pieces are ready. */
final class Groups
{
    /**
     * One thing more of what makes a piece ready is done.
     *
     * @param  array{array<string, int>, array<int, string>}  $group  gets it counted
     * @return list<int> tasks that wait no more for the others of the group
     */
    public static function isReady(array &$group, string $piece): array
    {
        [$open, $begin] = $group;
        $left = --$open[$piece];
        if ($left === 0) {
            unset($open[$piece]);
        }
        $group = [$open, $begin];
        if ($left > 0) {
            return [];
        }

        return match (count($open)) {
            1 => array_keys($begin, array_key_first($open), true),
            0 => array_keys(array_filter($begin, static fn (string $on): bool => $on !== $piece)),
            default => [],
        };
    }
}
