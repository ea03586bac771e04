<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\InGuns;
use AmberStep\Core\Timing\Timed;

/**
 * Until when a plan holds if nobody does anything: before that moment the same steps come in the same order and the
 * same holds end at the same time, however late it is asked.
 */
final readonly class Validity
{
    /** Nobody looks further ahead than this, in seconds. */
    private const AT_MOST = 86400;

    public function __construct(private Context $context, private Calendar $calendar)
    {
    }

    /**
     * What may be done, what is held and until when.
     *
     * @param  array<string, PlannedStep>  $left
     * @return int the first moment at which that may differ
     */
    public function ofHolds(array $left): int
    {
        return $this->first([$this->holds($left), $this->clocks(), $this->calendar->edgesAfter($this->context->nowEpoch), $this->air()]);
    }

    /**
     * That, and which evening each step falls in.
     *
     * @param  array<string, PlannedStep>  $left
     * @param  Timed  $timed  of all builds, with what is done at the guns
     * @return int the first moment at which a plan made anew may differ
     */
    public function ofTimes(array $left, Timed $timed): int
    {
        return min($this->ofHolds($left), $this->first([$this->lastToFit($timed)]));
    }

    /** @param  list<iterable<int>>  $all */
    private function first(array $all): int
    {
        $now = $this->context->nowEpoch;
        $until = $now + self::AT_MOST;
        foreach ($all as $moments) {
            foreach ($moments as $moment) {
                if ($moment > $now && $moment < $until) {
                    $until = $moment;
                }
            }
        }

        return $until;
    }

    /**
     * Holds that begin or end, chances that close, or close soon; what the user set for a time.
     *
     * @param  array<string, PlannedStep>  $left
     * @return iterable<int>
     */
    private function holds(array $left): iterable
    {
        foreach ($left as $planned) {
            foreach ($planned->holds as $hold) {
                yield $hold->untilEpoch;
                yield $hold->fromEpoch;
                if ($hold->isChance()) {
                    yield $hold->fromEpoch - Dispatcher::CLOSING_SOON;
                }
            }
        }
        foreach ($this->context->kit->notBefore as $set) {
            yield $set->atEpoch;
        }
    }

    /** @return iterable<int> when a gun or a cup runs out of time */
    private function clocks(): iterable
    {
        $last = $this->context->surface->lastSprayed();
        if ($last !== null) {
            yield $last[1] + InGuns::STAYS;
            yield $last[1] + InGuns::CLEANED_UNSAID;
        }
        yield from CupCare::runsOut($this->context);
    }

    /**
     * With idle hands, what is planned for this session is done later and later, until the last of it does not fit.
     *
     * @return iterable<int>
     */
    private function lastToFit(Timed $timed): iterable
    {
        $now = $this->context->nowEpoch;
        $end = $this->calendar->endOfSession($now);
        $last = $now;
        foreach ($timed->start as $i => $start) {
            if ($end !== null && $start < $end) {
                $last = max($last, min($timed->end[$i], $end));
                // All of a sitting has to fit that is begun.
                if (($timed->spare[$i] ?? -1) >= 0) {
                    yield $now + max(60, $timed->spare[$i]);
                }
            }
        }
        foreach ($timed->gun as [, , $start, $until]) {
            if ($end !== null && $start < $end) {
                $last = max($last, min($until, $end));
            }
        }
        if ($end !== null) {
            yield $now + max(60, $end - $last);
        }
    }

    /** @return iterable<int> when the air becomes, or ceases to be, fit to spray in */
    private function air(): iterable
    {
        foreach ([false, true] as $gloss) {
            yield $this->context->room->turnsAfter($this->context->nowEpoch, $gloss) ?? 0;
        }
    }
}
