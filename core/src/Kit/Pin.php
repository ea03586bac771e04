<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Work\Operation;

/** What the user fixed about a layer, mask or operation, against what the compiler would choose. */
final readonly class Pin
{
    /**
     * @param  string|null  $target  id of an area, piece or joint; null: everywhere in the build
     * @param  string|null  $purpose  colour or mask it is for; null: any
     * @param  bool|null  $present  false leaves it out, true asks for it
     * @param  bool  $extraThinner  the last coat is thinned more than the others
     */
    public function __construct(
        public string $id,
        public Operation $operation,
        public ?string $target = null,
        public ?string $purpose = null,
        public ?bool $present = null,
        public ?string $product = null,
        public ?int $coats = null,
        public ?CoatKind $coatKind = null,
        public ?Medium $medium = null,
        public bool $extraThinner = false,
    ) {
    }

    public static function read(Reader $in): self
    {
        $coats = $in->optionalNumber('coats', 1, 20);
        $pin = new self(
            $in->id('id'),
            $in->oneOf('operation', Operation::class, Operation::Colour),
            $in->optionalId('target'),
            $in->optionalText('purpose', 60),
            $in->has('present') ? $in->flag('present') : null,
            $in->optionalId('product'),
            $coats === null ? null : (int) $coats,
            $in->optionalOneOf('coatKind', CoatKind::class),
            $in->optionalOneOf('medium', Medium::class),
            $in->flag('extraThinner'),
        );
        $in->refuseTheRest();

        return $pin;
    }

    public function concerns(Operation $operation, string $purpose, string ...$targets): bool
    {
        return $this->operation === $operation
            && ($this->purpose === null || $this->purpose === $purpose)
            && ($this->target === null || in_array($this->target, $targets, true));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'operation' => $this->operation->value, 'target' => $this->target, 'purpose' => $this->purpose,
            'present' => $this->present, 'product' => $this->product, 'coats' => $this->coats,
            'coatKind' => $this->coatKind?->value, 'medium' => $this->medium?->value,
            'extraThinner' => $this->extraThinner,
        ];
    }
}
