<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A gun that was dropped, a can that is blocked, a part that is not there: until it is back the rest goes on. */
final readonly class Outage
{
    /** @param  string|null  $target  the product in the can, or the part; null for the gun, and for any can */
    public function __construct(public string $id, public Missing $missing, public ?string $target, public int $sinceEpoch)
    {
    }

    public static function read(Reader $in): self
    {
        $outage = new self($in->id('id'), $in->oneOf('missing', Missing::class, Missing::Gun), $in->optionalId('target'), $in->instant('since'));
        $in->refuseTheRest();

        return $outage;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'missing' => $this->missing->value, 'target' => $this->target, 'since' => \AmberStep\Core\Document\Instant::format($this->sinceEpoch)];
    }
}
