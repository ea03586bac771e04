<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A finding the user takes as it is, and why. It lapses when the finding's facts change. */
final readonly class Acceptance
{
    public function __construct(public string $id, public string $finding, public string $facts, public string $reason)
    {
    }

    public static function read(Reader $in): self
    {
        $acceptance = new self($in->id('id'), $in->text('finding', 400), $in->text('facts', 80), $in->text('reason', 500));
        $in->refuseTheRest();

        return $acceptance;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'finding' => $this->finding, 'facts' => $this->facts, 'reason' => $this->reason];
    }
}
