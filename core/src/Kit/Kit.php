<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\BadDocument;
use DateTimeZone;

/**
 * What the user wants: the parts, how they meet, the areas and what each shall look like, and how the
 * user steers the plan. Immutable; edits give a new one.
 */
final readonly class Kit
{
    public const LISTS = ['parts', 'joints', 'pieces', 'areas', 'edges', 'colours', 'pins', 'orders', 'notBefore', 'inserted', 'accepted', 'callouts', 'options', 'holders', 'showRules', 'outages', 'flaws', 'features', 'photos', 'masks', 'proposed'];

    /** @var array<string, Part> */
    public array $partsById;

    /** @var array<string, Joint> */
    public array $jointsById;

    /** @var array<string, Area> */
    public array $areasById;

    /** @var array<string, Colour> */
    public array $coloursById;

    /** @var array<string, PieceLabel> */
    public array $labelsById;

    /** @var array<string, Flaw> */
    public array $flawsById;

    /** @var array<string, Feature> */
    public array $featuresById;

    /** @var array<string, list<Area>> */
    private array $areasByPart;

    /** @var array<int|string, Part> by number of the booklet, in small letters */
    private array $partsByNumber;

    /** @var array<string, list<Edge>> by each of the two areas that meet there */
    private array $edgesByArea;

    /**
     * @param  float  $scale  72 for 1/72
     * @param  list<Part>  $parts
     * @param  list<Joint>  $joints
     * @param  list<PieceLabel>  $pieces
     * @param  list<Area>  $areas
     * @param  list<Edge>  $edges
     * @param  list<Colour>  $colours
     * @param  list<Pin>  $pins
     * @param  list<Order>  $orders
     * @param  list<NotBefore>  $notBefore
     * @param  list<Inserted>  $inserted
     * @param  list<Acceptance>  $accepted
     * @param  list<Callout>  $callouts  of the booklet
     * @param  list<KitOption>  $options  alternatives the kit offers
     * @param  list<OwnedHolders>  $holders
     * @param  list<ShowRule>  $showRules
     * @param  list<Outage>  $outages
     * @param  list<Flaw>  $flaws  to be made good, besides the joints
     * @param  list<Feature>  $features  to be there again before primer
     * @param  list<Photo>  $photos  of joints and flaws
     * @param  list<Mask>  $masks  of the register
     * @param  list<Proposed>  $proposed  what was proposed for a subject
     * @param  bool  $noseWheel  it stands on a nose wheel and falls on its tail without ballast
     */
    public function __construct(
        public string $name,
        public string $subject,
        public float $scale,
        public DateTimeZone $zone,
        public array $parts,
        public array $joints = [],
        public array $pieces = [],
        public array $areas = [],
        public array $edges = [],
        public array $colours = [],
        public HouseRules $house = new HouseRules,
        public array $pins = [],
        public array $orders = [],
        public array $notBefore = [],
        public array $inserted = [],
        public array $accepted = [],
        public array $callouts = [],
        public array $options = [],
        public array $holders = [],
        public array $showRules = [],
        public array $outages = [],
        public bool $noseWheel = false,
        public array $flaws = [],
        public array $features = [],
        public array $photos = [],
        public array $masks = [],
        public array $proposed = [],
    ) {
        $this->partsById = self::byId($parts);
        $this->jointsById = self::byId($joints);
        $this->areasById = self::byId($areas);
        $this->coloursById = self::byId($colours);
        $this->labelsById = self::byId($pieces);
        $this->flawsById = self::byId($flaws);
        $this->featuresById = self::byId($features);
        $byArea = $byPart = $byNumber = [];
        foreach ($edges as $edge) {
            $byArea[$edge->areas[0]][] = $edge;
            $byArea[$edge->areas[1]][] = $edge;
        }
        foreach ($areas as $area) {
            $byPart[$area->part][] = $area;
        }
        foreach ($parts as $part) {
            if ($part->number !== null) {
                $byNumber[mb_strtolower($part->number)] ??= $part;
            }
        }
        $this->edgesByArea = $byArea;
        $this->areasByPart = $byPart;
        $this->partsByNumber = $byNumber;
    }

    /** @throws BadDocument with every problem found */
    public static function fromArray(mixed $data): self
    {
        return KitDocument::read($data);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return KitDocument::write($this);
    }

    /**
     * The kit after the edits; this one stays as it is.
     *
     * @param  list<Edit>  $edits
     *
     * @throws BadDocument when an edit cannot be carried out or leaves a kit that makes no sense
     */
    public function apply(array $edits): self
    {
        return $this->applyWithInverse($edits)[0];
    }

    /**
     * @param  list<Edit>  $edits
     * @return array{self, list<Edit>} the kit after the edits, and the edits that take them back
     *
     * @throws BadDocument
     */
    public function applyWithInverse(array $edits): array
    {
        $edited = new EditedDocument($this->toArray());
        foreach ($edits as $edit) {
            $edited->carryOut($edit);
        }

        $kit = self::fromArray($edited->document());
        Named::demand($kit, $edits);

        return [$kit, $edited->inverse()];
    }

    public function colour(?string $id): ?Colour
    {
        return $id === null ? null : $this->coloursById[$id] ?? null;
    }

    /** The name of an area, joint, flaw, feature, piece or part; null where there is no such thing. */
    public function nameOf(string $id): ?string
    {
        return $this->areasById[$id]->name ?? $this->jointsById[$id]->name ?? ($this->flawsById[$id] ?? $this->featuresById[$id] ?? null)?->name($this) ?? $this->labelsById[$id]->name ?? $this->partsById[$id]->name ?? null;
    }

    /** The part that carries a number of the booklet. */
    public function numbered(string $number): ?Part
    {
        return $this->partsByNumber[mb_strtolower($number)] ?? null;
    }

    /** @return list<Area> */
    public function areasOf(string $partId): array
    {
        return $this->areasByPart[$partId] ?? [];
    }

    public function demands(ShowDemand $demand): bool
    {
        return in_array($demand, array_map(static fn (ShowRule $r): ShowDemand => $r->demand, $this->showRules), true);
    }

    /** @return int holders of a kind there are: as counted, else as usual */
    public function owned(Holder $holder): int
    {
        foreach ($this->holders as $owned) {
            if ($owned->holder === $holder) {
                return $owned->owned;
            }
        }

        return $holder->usual();
    }

    /** @return list<Edge> */
    public function edgesOf(string $areaId): array
    {
        return $this->edgesByArea[$areaId] ?? [];
    }

    /**
     * Where a set of areas ends: edges that one of them has with an area outside it.
     *
     * @param  list<string>  $areaIds
     * @return list<Edge>
     */
    public function edgesRound(array $areaIds): array
    {
        $own = array_fill_keys($areaIds, true);
        $round = [];
        foreach ($areaIds as $id) {
            foreach ($this->edgesOf($id) as $edge) {
                if (! isset($own[$edge->areas[0]], $own[$edge->areas[1]])) {
                    $round[] = $edge;
                }
            }
        }

        return $round;
    }

    /**
     * @template T of object{id: string}
     *
     * @param  list<T>  $things
     * @return array<string, T>
     */
    private static function byId(array $things): array
    {
        return array_column($things, null, 'id');
    }
}
