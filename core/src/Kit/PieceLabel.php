<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** What the user says of a piece; the piece itself follows from the joints. Its id is its oldest part's. */
final readonly class PieceLabel
{
    /** @param  string|null  $heldBy  where and how, in the user's words */
    public function __construct(public string $id, public string $name, public ?string $heldBy = null, public ?Holder $holder = null)
    {
    }

    public static function read(Reader $in): self
    {
        $label = new self($in->id('id'), $in->text('name', 120), $in->optionalText('heldBy', 200), $in->optionalOneOf('holder', Holder::class));
        $in->refuseTheRest();

        return $label;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'heldBy' => $this->heldBy, 'holder' => $this->holder?->value];
    }
}
