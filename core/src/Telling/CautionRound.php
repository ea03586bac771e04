<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\PlannedStep;

/** Where each caution is said whole, and where a mark is enough: once a session while nothing changes, some every time (handbook 5). */
final class CautionRound
{
    /** Seconds of pause after which a session is a new one. */
    public const PAUSE = 3 * 3600;

    /** @var array<string, array{list<string>, list<string>}> by step key: said whole, said before */
    private array $byStep = [];

    /**
     * @param  list<PlannedStep>  $steps  by time
     * @param  list<string>  $before  what was said of the work just done, in this session
     */
    public function __construct(array $steps, Kit $kit, array $before = [])
    {
        $said = array_fill_keys($before, true);
        $last = $steps[0]->startEpoch ?? 0;
        foreach ($steps as $planned) {
            $said = $planned->startEpoch - $last > self::PAUSE ? [] : $said;
            $last = $planned->endEpoch;
            $whole = $again = [];
            foreach (Cautions::of($planned->step, $kit) as $caution) {
                isset($said[$caution]) && ! Cautions::isSaidEachTime($caution) ? $again[] = $caution : $whole[] = $caution;
                $said[$caution] = true;
            }
            $this->byStep[$planned->step->key] = [$whole, $again];
        }
    }

    /**
     * At the bench: what was said of the coat just sprayed is not read again.
     *
     * @param  list<PlannedStep>  $steps  by time
     */
    public static function atTheBench(array $steps, Context $context): self
    {
        $last = $context->surface->lastSprayed();
        $product = $last === null || ($steps[0]->startEpoch ?? 0) - $last[1] > self::PAUSE ? null : $context->shelf->find($last[0]);

        return new self($steps, $context->kit, $product === null ? [] : Cautions::ofSpraying($product));
    }

    /** @return list<string> */
    public function whole(PlannedStep $planned, Kit $kit): array
    {
        return $this->byStep[$planned->step->key][0] ?? Cautions::of($planned->step, $kit);
    }

    /** @return list<string> what was said earlier in the session: a mark reminds of it */
    public function again(PlannedStep $planned): array
    {
        return $this->byStep[$planned->step->key][1] ?? [];
    }
}
