<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\HoldKind;

/** What a verdict on a wait is about: a paint, a glue, a filler, water; how long it typically takes, and since when it ran. */
final readonly class Timed
{
    /** Minutes a bathed piece dries in the room, blown off, and wiped damp. */
    public const WASHED = 24 * 60;

    public const BLOWN_OFF = 4 * 60;

    public const WIPED = 60;

    private function __construct(public string $subject, public float $typicalMinutes, public int $sinceEpoch)
    {
    }

    /** @return self|null null where nothing of the kind runs there */
    public static function on(string $target, HoldKind $kind, ModelState $state, Kit $kit): ?self
    {
        if (isset($kit->jointsById[$target]) || isset($kit->flawsById[$target])) {
            return self::atPlace($target, $kind, $state, $kit);
        }
        $area = $state->area($target);
        if ($kind === HoldKind::Dry) {
            return $area->layers !== [] || $area->washedAt === null ? null : new self('water', self::water($area), $area->washedAt);
        }
        $top = $area->top();
        $wait = WaitKind::tryFrom($kind->value);
        $typical = $wait === null ? null : $top?->product?->family->figures()->minutes($wait);

        return $top === null || $top->product === null || $typical === null ? null : new self($top->product->id, $typical, $top->lastCoat()->atEpoch);
    }

    public static function water(AreaState $area): float
    {
        return match (true) {
            $area->wipedDamp => self::WIPED,
            $area->blownOff => self::BLOWN_OFF,
            default => self::WASHED,
        };
    }

    private static function atPlace(string $target, HoldKind $kind, ModelState $state, Kit $kit): ?self
    {
        $joint = $state->joint($target);

        return match (true) {
            $kind === HoldKind::Ready && $joint->filler !== null && $joint->filledAt !== null => new self('filler:'.$joint->filler->value, $joint->filler->readyMinutes(Place::find($target, $kit)->widthMm ?? 0), $joint->filledAt),
            in_array($kind, [HoldKind::Handle, HoldKind::Full], true) && $joint->glue !== null && $joint->closedAt !== null => new self('glue:'.$joint->glue->value, $kind === HoldKind::Full ? $joint->glue->fullMinutes() : $joint->glue->handleMinutes(), $joint->closedAt),
            default => null,
        };
    }
}
