<?php

declare(strict_types=1);

namespace App\Room;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Reading;

/** A simulated hygrometer: the room's daily cycle with noise that is the same for the same quarter hour. */
final readonly class Hygrometer
{
    private const EVERY_SECONDS = 900;

    public function __construct(private DailyCycle $cycle, private int $seed)
    {
    }

    /** The reading that was taken last, at or before an instant. */
    public function last(int $epoch): Reading
    {
        $at = intdiv($epoch, self::EVERY_SECONDS) * self::EVERY_SECONDS;
        $air = $this->cycle->at($at);

        return new Reading($at, new Conditions(
            round($air->temperatureC + 0.6 * $this->noise($at, 't'), 1),
            round(max(0.05, min(0.98, $air->humidity + 0.02 * $this->noise($at, 'h'))), 2),
        ));
    }

    /** When it reads next. */
    public static function after(int $epoch): int
    {
        return (intdiv($epoch, self::EVERY_SECONDS) + 1) * self::EVERY_SECONDS;
    }

    /** @return list<Reading> hourly ones between two instants, and the last */
    public function between(int $from, int $until): array
    {
        $readings = [];
        for ($t = intdiv($from, 3600) * 3600; $t < $until; $t += 3600) {
            $readings[] = $this->last($t);
        }
        $readings[] = $this->last($until);

        return $readings;
    }

    /** Between -1 and 1. */
    private function noise(int $at, string $of): float
    {
        return (crc32($this->seed.$of.$at) % 2001) / 1000 - 1;
    }
}
