<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** An alternative the kit offers, and which way it is built: what belongs to the others is parked. */
final readonly class KitOption
{
    /**
     * @param  string  $name  such as "canopy"
     * @param  string|null  $chosen  such as "open"; null: not chosen yet, and nothing is parked
     */
    public function __construct(public string $id, public string $name, public ?string $chosen = null)
    {
    }

    public static function read(Reader $in): self
    {
        $option = new self($in->id('id'), $in->text('name', 40), $in->optionalText('chosen', 40));
        $in->refuseTheRest();

        return $option;
    }

    /** "canopy=open": the option and the choice a thing belongs to. */
    public static function mark(Reader $in, string $field): ?string
    {
        $text = $in->optionalText($field, 81);
        if ($text !== null && preg_match('/\A[^=]+=[^=]+\z/', $text) !== 1) {
            $in->problems->add($in->path($field), 'is not a choice', 'write the option and the choice, such as canopy=open');

            return null;
        }

        return $text;
    }

    /** @return array{string, string} option and choice of a mark */
    public static function parts(string $mark): array
    {
        [$name, $choice] = [...explode('=', $mark, 2), ''];

        return [$name, $choice];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'chosen' => $this->chosen];
    }
}
