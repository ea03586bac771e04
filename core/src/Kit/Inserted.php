<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\Operation;

/** A step put into the plan by the user or by a fix. */
final readonly class Inserted
{
    /**
     * @param  list<string>  $targets  areas of one piece, or one joint
     * @param  string|null  $before  "operation" or "operation/purpose" it goes in front of, on its piece; null: as soon as it may
     * @param  WaitKind|null  $waitsFor  a state the areas must have reached first
     * @param  string|null  $answers  key of the finding it is the remedy of
     * @param  Liquid|null  $wipe  what a wipe is wetted with
     * @param  TestSurface|null  $surface  what a test is sprayed on
     */
    public function __construct(
        public string $id,
        public Operation $operation,
        public array $targets,
        public string $title,
        public ?string $before = null,
        public ?WaitKind $waitsFor = null,
        public ?string $product = null,
        public int $coats = 1,
        public ?CoatKind $coatKind = null,
        public ?string $answers = null,
        public ?Liquid $wipe = null,
        public ?float $cabinetC = null,
        public ?TestSurface $surface = null,
    ) {
    }

    public static function read(Reader $in): self
    {
        $targets = $in->ids('targets');
        if ($targets === []) {
            $in->problems->add($in->path('targets'), 'is empty', 'name the areas or the joint the step is done on');
        }
        $before = $in->optionalText('before', 80);
        $operation = explode('/', $before ?? '')[0];
        if ($before !== null && Operation::tryFrom($operation) === null) {
            $nearest = Nearest::to($operation, array_column(Operation::cases(), 'value'));
            $in->problems->add($in->path('before'), "names the operation {$operation}, which is none", $nearest === null ? 'name an operation such as colour' : "the nearest is {$nearest}");
        }
        $inserted = new self(
            $in->id('id'),
            $in->oneOf('operation', Operation::class, Operation::Inspect),
            $targets,
            $in->text('title', 200),
            $before,
            $in->optionalOneOf('waitsFor', WaitKind::class),
            $in->optionalId('product'),
            $in->whole('coats', 1, 12, 1),
            $in->optionalOneOf('coatKind', CoatKind::class),
            $in->optionalText('answers', 400),
            $in->optionalOneOf('wipe', Liquid::class),
            $in->optionalNumber('cabinetC', 0, 150),
            $in->optionalOneOf('surface', TestSurface::class),
        );
        $in->refuseTheRest();

        return $inserted;
    }

    /** The same step in a cabinet of so many °C. */
    public function at(float $cabinetC): self
    {
        return new self($this->id, $this->operation, $this->targets, $this->title, $this->before, $this->waitsFor, $this->product, $this->coats, $this->coatKind, $this->answers, $this->wipe, $cabinetC, $this->surface);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'operation' => $this->operation->value, 'targets' => $this->targets, 'title' => $this->title,
            'before' => $this->before, 'waitsFor' => $this->waitsFor?->value, 'product' => $this->product, 'coats' => $this->coats,
            'coatKind' => $this->coatKind?->value, 'answers' => $this->answers, 'wipe' => $this->wipe?->value, 'cabinetC' => $this->cabinetC,
            'surface' => $this->surface?->value,
        ];
    }
}
