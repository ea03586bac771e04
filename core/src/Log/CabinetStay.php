<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** Time spent in the drying cabinet; still in it where $untilEpoch is null. */
final readonly class CabinetStay
{
    public function __construct(public int $fromEpoch, public ?int $untilEpoch, public float $temperatureC)
    {
    }

    public function covers(int $epoch): bool
    {
        return $epoch >= $this->fromEpoch && ($this->untilEpoch === null || $epoch < $this->untilEpoch);
    }

    public function mark(): string
    {
        return $this->fromEpoch.'-'.$this->untilEpoch.'@'.$this->temperatureC;
    }
}
