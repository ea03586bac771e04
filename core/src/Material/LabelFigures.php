<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\Reader;

/** Waits printed on a label, in minutes, with the conditions they hold for. They beat the family table. */
final readonly class LabelFigures
{
    /** @param  array<string, float>  $minutes by WaitKind value, at $temperatureC and $humidity */
    public function __construct(public array $minutes, public float $temperatureC = 20, public float $humidity = 0.5)
    {
    }

    public static function read(Reader $in): self
    {
        $minutes = [];
        foreach (WaitKind::cases() as $kind) {
            $value = $in->optionalNumber($kind->value, 0, 100000);
            if ($value !== null) {
                $minutes[$kind->value] = $value;
            }
        }
        $label = new self($minutes, $in->number('temperatureC', -10, 60, 20), $in->number('humidity', 0, 1, 0.5));
        $in->refuseTheRest();

        return $label;
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return [...$this->minutes, 'temperatureC' => $this->temperatureC, 'humidity' => $this->humidity];
    }
}
