<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;

/** Where two parts meet. */
final readonly class Joint
{
    /**
     * @param  array{string, string}  $parts
     * @param  list<string>  $blocks  areas the gun cannot reach once it is closed
     * @param  float  $gapMm  widest gap, mm; 0 where there is none
     * @param  float  $lengthCm  length of the seam, cm
     * @param  bool  $pins  it has pins or tabs that align it
     * @param  bool  $removable  it shall come off again, for a case or a repair
     * @param  string|null  $bestSide  the side that is made perfect if both cannot be
     * @param  Access  $access  how one gets at its seam with abrasives
     * @param  bool  $crossed  panel lines or rivets run across its seam
     * @param  int|null  $step  of the booklet that glues it; null: once both its parts are there
     */
    public function __construct(
        public string $id,
        public int $position,
        public string $name,
        public array $parts,
        public JointKind $kind = JointKind::Line,
        public Closed $closed = Closed::Undecided,
        public Glue $glue = Glue::ThinCement,
        public bool $carriesLoad = false,
        public array $blocks = [],
        public float $gapMm = 0,
        public float $lengthCm = 0,
        public ?Filler $filler = null,
        public bool $pins = true,
        public bool $removable = false,
        public ?string $bestSide = null,
        public ?int $step = null,
        public Access $access = Access::Open,
        public bool $crossed = false,
    ) {
    }

    public static function read(Reader $in): self
    {
        $parts = $in->ids('parts', 2);
        if (count($parts) !== 2 || $parts[0] === $parts[1]) {
            $in->problems->add($in->path('parts'), 'does not name two different parts', 'give the ids of the two parts that meet');
            $parts = ['', ''];
        }
        $step = $in->optionalNumber('step', 1, 999);
        $joint = new self(
            $in->id('id'),
            $in->whole('position', 0, 100000, 0),
            $in->text('name', 120),
            [$parts[0], $parts[1]],
            $in->oneOf('kind', JointKind::class, JointKind::Line),
            $in->oneOf('closed', Closed::class, Closed::Undecided),
            $in->oneOf('glue', Glue::class, Glue::ThinCement),
            $in->flag('carriesLoad'),
            $in->ids('blocks'),
            $in->number('gapMm', 0, 20, 0),
            $in->number('lengthCm', 0, 1000, 0),
            $in->optionalOneOf('filler', Filler::class),
            $in->flag('pins', true),
            $in->flag('removable'),
            $in->optionalText('bestSide', 80),
            $step === null ? null : (int) $step,
            $in->oneOf('access', Access::class, Access::Open),
            $in->flag('crossed'),
        );
        $in->refuseTheRest();

        return $joint;
    }

    public function isSeam(): bool
    {
        return $this->kind === JointKind::Seam;
    }

    /** The step at which the booklet glues it: its own, else once both its parts are there; null where nothing says. */
    public function stepIn(Kit $kit): ?int
    {
        if ($this->step !== null) {
            return $this->step;
        }
        $steps = array_filter(array_map(static fn (string $p): ?int => $kit->partsById[$p]->bookletStep, $this->parts), static fn (?int $s): bool => $s !== null);

        return $steps === [] ? null : max($steps);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'name' => $this->name, 'parts' => $this->parts,
            'kind' => $this->kind->value, 'closed' => $this->closed->value, 'glue' => $this->glue->value,
            'carriesLoad' => $this->carriesLoad, 'blocks' => $this->blocks, 'gapMm' => $this->gapMm,
            'lengthCm' => $this->lengthCm, 'filler' => $this->filler?->value,
            'pins' => $this->pins, 'removable' => $this->removable, 'bestSide' => $this->bestSide, 'step' => $this->step, 'access' => $this->access->value, 'crossed' => $this->crossed,
        ];
    }
}
