<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** What of a figure lies in a field (Sutherland and Hodgman, one side of the field after the other). */
final class Clip
{
    /** mm² under which nothing can be cut. */
    private const NOTHING = 1e-6;

    /**
     * @param  list<array{float, float}>  $corners
     * @return non-empty-list<array{float, float}>|null null where nothing lies in it
     */
    public static function toField(array $corners, float $width, float $height): ?array
    {
        foreach ([[0, 0.0, 1], [0, $width, -1], [1, 0.0, 1], [1, $height, -1]] as [$axis, $limit, $sign]) {
            $in = array_map(static fn (array $p): bool => $sign * ($p[$axis] - $limit) >= -1e-9, $corners);
            $kept = [];
            foreach ($corners as $i => $b) {
                $before = ($i + count($corners) - 1) % count($corners);
                $a = $corners[$before];
                if ($in[$before] !== $in[$i]) {
                    $t = ($limit - $a[$axis]) / ($b[$axis] - $a[$axis]);
                    $kept[] = [$a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1])];
                }
                if ($in[$i]) {
                    $kept[] = $b;
                }
            }
            $corners = $kept;
        }
        $clean = [];
        foreach ($corners as $p) {
            $last = $clean[count($clean) - 1] ?? null;
            if ($last === null || hypot($p[0] - $last[0], $p[1] - $last[1]) > 1e-6) {
                $clean[] = $p;
            }
        }

        return count($clean) < 3 || Path::polygon($clean)->area() < self::NOTHING ? null : $clean;
    }
}
