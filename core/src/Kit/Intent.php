<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Sheen;

/** What the user wants an area to look like. A pane's intent is clear: no paint at all. */
final readonly class Intent
{
    /**
     * @param  string|null  $colour  id of a colour of the build
     * @param  string|null  $insideColour  what is seen through the pane, on the outer face under primer and colour
     * @param  string|null  $ground  a colour wanted under the colour
     * @param  string|null  $preshade  a colour sprayed along lines and recesses before the colour
     */
    public function __construct(
        public ?string $colour = null,
        public ?string $insideColour = null,
        public ?string $ground = null,
        public ?string $preshade = null,
        public bool $decals = false,
        public ?WashKind $wash = null,
        public ?Sheen $sheen = null,
        public bool $polish = false,
    ) {
    }

    public static function read(Reader $in): self
    {
        $intent = new self(
            $in->optionalId('colour'),
            $in->optionalId('insideColour'),
            $in->optionalId('ground'),
            $in->optionalId('preshade'),
            $in->flag('decals'),
            $in->optionalOneOf('wash', WashKind::class),
            $in->optionalOneOf('sheen', Sheen::class),
            $in->flag('polish'),
        );
        $in->refuseTheRest();

        return $intent;
    }

    public function isClear(): bool
    {
        return $this->colour === null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'colour' => $this->colour, 'insideColour' => $this->insideColour, 'ground' => $this->ground,
            'preshade' => $this->preshade, 'decals' => $this->decals, 'wash' => $this->wash?->value,
            'sheen' => $this->sheen?->value, 'polish' => $this->polish,
        ];
    }
}
