<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A colour of the build. Areas of one colour id are one colour. */
final readonly class Colour
{
    /**
     * @param  bool  $mustMatch  body colour, metallic, or seen side by side: one spraying from one mix
     * @param  string|null  $code  how the booklet calls it, such as "H8"
     */
    public function __construct(public string $id, public int $position, public string $name, public string $product, public bool $mustMatch = false, public ?string $code = null)
    {
    }

    public static function read(Reader $in): self
    {
        $colour = new self($in->id('id'), $in->whole('position', 0, 100000, 0), $in->text('name', 120), $in->id('product'), $in->flag('mustMatch'), $in->optionalText('code', 12));
        $in->refuseTheRest();

        return $colour;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'position' => $this->position, 'name' => $this->name, 'product' => $this->product, 'mustMatch' => $this->mustMatch, 'code' => $this->code];
    }
}
