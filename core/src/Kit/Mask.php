<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** One mask of the register: of a bought sheet, or of a template (handbook 7, Register). What is on and spent is told by the log. */
final readonly class Mask
{
    /**
     * @param  string  $label  number on its sheet, or a name
     * @param  string  $sheet  of a bought set; empty: cut by the user
     * @param  string  $what  what it is in words: pane, roundel, stripe
     * @param  string|null  $shape  name of the template it is cut from
     * @param  string  $measures  of the template, as they were typed: "small=18 large=30"
     * @param  string|null  $area  it lies on
     * @param  string  $pair  masks of one pair say the same here; empty: it is none of a pair
     * @param  string|null  $stage  colour that is sprayed while it lies; null: from the first to the last
     * @param  string  $start  where it begins, in words
     * @param  bool  $lost  torn, gone, or used elsewhere
     */
    public function __construct(
        public string $id,
        public int $position,
        public string $label,
        public string $sheet = '',
        public string $what = '',
        public ?string $shape = null,
        public string $measures = '',
        public ?string $area = null,
        public Hand $hand = Hand::None,
        public string $pair = '',
        public ?string $stage = null,
        public string $start = '',
        public bool $lost = false,
    ) {
    }

    public static function read(Reader $in): self
    {
        $mask = new self(
            $in->id('id'), $in->whole('position', 0, 100000, 0), $in->text('label', 60), $in->optionalText('sheet', 40) ?? '', $in->optionalText('what', 60) ?? '', $in->optionalText('shape', 40), $in->optionalText('measures', 2400) ?? '',
            $in->optionalId('area'), $in->oneOf('hand', Hand::class, Hand::None), $in->optionalText('pair', 40) ?? '', $in->optionalId('stage'), $in->optionalText('start', 60) ?? '', $in->flag('lost'),
        );
        $in->refuseTheRest();

        return $mask;
    }

    /** What it is called: "13 of sheet 4", "spinner spiral". */
    public function name(): string
    {
        return $this->sheet === '' ? trim("{$this->label} {$this->what}") : trim("{$this->label} {$this->what}")." of sheet {$this->sheet}";
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'label' => $this->label, 'sheet' => $this->sheet, 'what' => $this->what, 'shape' => $this->shape, 'measures' => $this->measures,
            'area' => $this->area, 'hand' => $this->hand->value, 'pair' => $this->pair, 'stage' => $this->stage, 'start' => $this->start, 'lost' => $this->lost,
        ];
    }
}
