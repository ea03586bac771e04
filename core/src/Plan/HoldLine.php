<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Timed;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\HoldKind;

/** The holds that run now and stand in the way of a next step, and the chances that close. */
final readonly class HoldLine
{
    public function __construct(private Context $context, private Aspects $aspects)
    {
    }

    /**
     * @param  array<string, PlannedStep>  $left
     * @return list<RunningHold> soonest first, one for each piece, kind and end
     */
    public function running(array $left, int $nowEpoch): array
    {
        $running = [];
        foreach ($left as $planned) {
            $aspect = $this->aspects->ofStep($planned);
            $hold = $aspect->hold;
            if ($hold === null || $aspect->untilEpoch === null) {
                continue;
            }
            $closing = $aspect->kind === AspectKind::Closing;
            $target = isset($this->context->kit->jointsById[$hold->target]) || isset($this->context->kit->flawsById[$hold->target]) ? $hold->target : $planned->step->pieceId;
            $key = $target.'/'.$hold->kind->value;
            if (! isset($running[$key]) || $running[$key]->untilEpoch < $aspect->untilEpoch) {
                $running[$key] = new RunningHold($key, $planned->step->pieceId, $this->label($target, $hold, $planned, $aspect->untilEpoch, $nowEpoch, $closing), $hold->kind, $hold->fromEpoch, $aspect->untilEpoch, $hold->kind->forbids(), $hold->because.($hold->wait === null ? '' : ': '.$hold->wait->words()), $planned->step->key, $closing, $closing || $hold->fromEpoch > $nowEpoch || Timed::on($hold->target, $hold->kind, $this->context->surface, $this->context->kit) === null ? null : $hold->target);
            }
        }
        foreach ($this->context->surface->mixes as $mix) {
            $dies = $mix->atEpoch + (int) ($mix->potLifeMinutes * 60);
            if ($mix->potLifeMinutes > 0 && $dies > $nowEpoch) {
                $name = $this->context->shelf->find($mix->product)->name ?? 'the mix';
                $running['mix/'.$mix->eventId] = new RunningHold('mix/'.$mix->eventId, '', "{$name} in the cup dies ".Instant::wall($dies, $nowEpoch, $this->context->kit->zone), HoldKind::Window, $mix->atEpoch, $dies, 'spraying it', 'pot life once hardened', '', true);
            }
        }
        $running += $this->wiping($nowEpoch);
        uasort($running, static fn (RunningHold $a, RunningHold $b): int => [$a->untilEpoch, $a->key] <=> [$b->untilEpoch, $b->key]);

        return array_values($running);
    }

    /**
     * A wash that can still be wiped: one clock for the panel that was laid last (handbook 9).
     *
     * @return array<string, RunningHold>
     */
    private function wiping(int $nowEpoch): array
    {
        $wiping = [];
        foreach ($this->context->breakdown->pieces as $piece) {
            foreach ($piece->areas as $area) {
                $top = $this->context->surface->area($area->id)->top();
                $figures = $top?->wash();
                $laid = $top?->lastCoat()->atEpoch ?? 0;
                $closes = $laid + 60 * ($figures->closes ?? 0);
                $key = "{$piece->id}/wiping";
                if ($top !== null && $closes > $nowEpoch && ($wiping[$key]->untilEpoch ?? 0) < $closes) {
                    $wiping[$key] = new RunningHold($key, $piece->id, ucfirst($piece->name).': wipe the wash by '.Instant::wall($closes, $nowEpoch, $this->context->kit->zone), HoldKind::Window, $laid, $closes, 'wiping it', "{$top->word()}, then it stays", '', true);
                }
            }
        }

        return $wiping;
    }

    private function label(string $target, Hold $hold, PlannedStep $planned, int $untilEpoch, int $nowEpoch, bool $closing): string
    {
        $until = Instant::wall($untilEpoch, $nowEpoch, $this->context->kit->zone);
        $name = ucfirst($this->context->nameOf($target));

        return $closing ? "{$name}: {$planned->step->operation->word()} by {$until}" : "{$name}, {$planned->step->operation->word()} from {$until}";
    }
}
