<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\Filler;

/** A place on a part that is to be made good. Where two parts meet it is the joint itself that is. */
final readonly class Flaw
{
    /**
     * @param  string  $where  on the part, in words; may be empty
     * @param  float  $widthMm  0 to 20; 0 where nobody measured
     * @param  float  $depthMm  0 to 20; 0 where nobody measured
     * @param  float  $lengthMm  0 to 2000; 0 where nobody measured
     * @param  bool  $crossed  a panel line or a row of rivets runs through it
     * @param  Filler|null  $filler  chosen; null: as advised
     */
    public function __construct(
        public string $id,
        public int $position,
        public FlawKind $kind,
        public string $part,
        public string $where = '',
        public float $widthMm = 0,
        public float $depthMm = 0,
        public float $lengthMm = 0,
        public Access $access = Access::Open,
        public bool $crossed = false,
        public ?Filler $filler = null,
        public FoundAt $foundAt = FoundAt::Bare,
    ) {
    }

    public static function read(Reader $in): self
    {
        $flaw = new self(
            $in->id('id'),
            $in->whole('position', 0, 100000, 0),
            $in->oneOf('kind', FlawKind::class, FlawKind::Gap),
            $in->id('part'),
            $in->optionalText('where', 120) ?? '',
            $in->number('widthMm', 0, 20, 0),
            $in->number('depthMm', 0, 20, 0),
            $in->number('lengthMm', 0, 2000, 0),
            $in->oneOf('access', Access::class, Access::Open),
            $in->flag('crossed'),
            $in->optionalOneOf('filler', Filler::class),
            $in->oneOf('foundAt', FoundAt::class, FoundAt::Bare),
        );
        $in->refuseTheRest();

        return $flaw;
    }

    public function name(Kit $kit): string
    {
        return trim($this->kind->word().' '.($this->where === '' ? 'on '.($kit->partsById[$this->part]->name ?? 'a part') : $this->where));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'kind' => $this->kind->value, 'part' => $this->part, 'where' => $this->where,
            'widthMm' => $this->widthMm, 'depthMm' => $this->depthMm, 'lengthMm' => $this->lengthMm, 'access' => $this->access->value,
            'crossed' => $this->crossed, 'filler' => $this->filler?->value, 'foundAt' => $this->foundAt->value,
        ];
    }
}
