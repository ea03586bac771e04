<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Reader;

/** A step the user wants to do at a time, or not before it. */
final readonly class NotBefore
{
    /**
     * @param  int  $atEpoch  epoch seconds, UTC
     * @param  bool  $exactly  the step is planned at just this time, whatever holds say: holds it breaks are findings
     */
    public function __construct(public string $id, public string $step, public int $atEpoch, public bool $exactly = false)
    {
    }

    public static function read(Reader $in): self
    {
        $pin = new self($in->id('id'), $in->text('step', 200), $in->instant('at'), $in->flag('exactly'));
        $in->refuseTheRest();

        return $pin;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'step' => $this->step, 'at' => Instant::format($this->atEpoch), 'exactly' => $this->exactly];
    }

    /**
     * Moments the user fixed, among all that was set.
     *
     * @param  list<self>  $set
     * @return array<string, int> epoch seconds by step key
     */
    public static function fixed(array $set): array
    {
        $fixed = [];
        foreach ($set as $pin) {
            if ($pin->exactly) {
                $fixed[$pin->step] ??= $pin->atEpoch;
            }
        }

        return $fixed;
    }
}
