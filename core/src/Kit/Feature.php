<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** One line of what is to be there again before primer: a panel line over a seam, a row of rivets, a weld. */
final readonly class Feature
{
    public function __construct(public string $id, public int $position, public FeatureKind $kind, public string $part, public string $where = '')
    {
    }

    public static function read(Reader $in): self
    {
        $feature = new self($in->id('id'), $in->whole('position', 0, 100000, 0), $in->oneOf('kind', FeatureKind::class, FeatureKind::PanelLine), $in->id('part'), $in->optionalText('where', 120) ?? '');
        $in->refuseTheRest();

        return $feature;
    }

    public function name(Kit $kit): string
    {
        return trim($this->kind->word().' '.($this->where === '' ? 'on '.($kit->partsById[$this->part]->name ?? 'a part') : $this->where));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'position' => $this->position, 'kind' => $this->kind->value, 'part' => $this->part, 'where' => $this->where];
    }
}
