<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;

/** A paint, primer, varnish or wash on the shelf. */
final readonly class Product
{
    /**
     * @param  string|null  $swatch  sRGB as #RRGGBB
     * @param  int|null  $grade  primer grade: the scratch it hides (500 coarse to 1500 fine)
     * @param  list<string>  $triedOn  rows of the attack table a spoon was logged on
     * @param  float|null  $sizeMl  ml in the pack on the shelf, at $price
     * @param  list<Pack>  $otherPacks  other sizes it is sold in
     * @param  string|null  $spectrum  recovered from the swatch, packed (Spectrum); null: not yet
     * @param  Optics|null  $optics  how it hides and tints, by a spoon or by its recipe; null: by its opacity class
     * @param  KeptRecipe|null  $mix  what it is mixed from; null: as it comes
     * @param  float|null  $dropsPerMl  counted into 1 ml from this bottle; null: as usual
     * @param  int|null  $stirredEpoch  when it was last stirred to the bottom
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $range,
        public Family $family,
        public Role $role,
        public ?string $swatch = null,
        public ?Sheen $sheen = null,
        public Opacity $opacity = Opacity::Good,
        public bool $bites = false,
        public bool $etch = false,
        public ?int $grade = null,
        public ?Liquid $thinnedWith = null,
        public array $triedOn = [],
        public ?LabelFigures $label = null,
        public ?float $sizeMl = null,
        public ?float $price = null,
        public ?float $levelMl = null,
        public array $otherPacks = [],
        public ?string $spectrum = null,
        public ?Optics $optics = null,
        public ?KeptRecipe $mix = null,
        public ?float $dropsPerMl = null,
        public ?int $stirredEpoch = null,
    ) {
    }

    public static function read(Reader $in): self
    {
        $swatch = $in->optionalText('swatch', 7);
        if ($swatch !== null && preg_match('/\A#[0-9A-Fa-f]{6}\z/', $swatch) !== 1) {
            $in->problems->add($in->path('swatch'), 'is not a colour', 'write it as #7C96A3');
            $swatch = null;
        }
        $tried = $in->raw('triedOn') ?? [];
        $grade = $in->optionalNumber('grade', 100, 3000);
        $product = new self(
            $in->id('id'),
            $in->text('name', 120),
            $in->optionalText('range', 80) ?? '',
            $in->oneOf('family', Family::class, Family::WaterAcrylic),
            $in->oneOf('role', Role::class, Role::Colour),
            $swatch === null ? null : strtoupper($swatch),
            $in->optionalOneOf('sheen', Sheen::class),
            $in->oneOf('opacity', Opacity::class, Opacity::Good),
            $in->flag('bites'),
            $in->flag('etch'),
            $grade === null ? null : (int) $grade,
            $in->optionalOneOf('thinnedWith', Liquid::class),
            is_array($tried) ? array_values(array_filter($tried, is_string(...))) : [],
            $in->has('label') ? LabelFigures::read($in->object('label')) : null,
            $in->optionalNumber('sizeMl', 0.1, 100000),
            $in->optionalNumber('price', 0, 1000000),
            $in->optionalNumber('levelMl', 0, 100000),
            $in->each('otherPacks', Pack::read(...), 20),
            $in->optionalText('spectrum', 144),
            $in->has('optics') ? Optics::read($in->object('optics')) : null,
            $in->has('mix') ? KeptRecipe::read($in->object('mix')) : null,
            $in->optionalNumber('dropsPerMl', 5, 100),
            $in->optionalInstant('stirred'),
        );
        $in->refuseTheRest();

        return $product;
    }

    /** @throws \AmberStep\Core\Document\BadDocument */
    public static function fromArray(mixed $data): self
    {
        $problems = new Problems;
        $product = self::read(Reader::of($data, '', $problems));
        $problems->throwIfAny();

        return $product;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'range' => $this->range,
            'family' => $this->family->value, 'role' => $this->role->value, 'swatch' => $this->swatch,
            'sheen' => $this->sheen?->value, 'opacity' => $this->opacity->value, 'bites' => $this->bites,
            'etch' => $this->etch, 'grade' => $this->grade, 'thinnedWith' => $this->thinnedWith?->value,
            'triedOn' => $this->triedOn, 'label' => $this->label?->toArray(),
            'sizeMl' => $this->sizeMl, 'price' => $this->price, 'levelMl' => $this->levelMl,
            'otherPacks' => array_map(static fn (Pack $p): array => $p->toArray(), $this->otherPacks),
            'spectrum' => $this->spectrum, 'optics' => $this->optics?->toArray(), 'mix' => $this->mix?->toArray(),
            'dropsPerMl' => $this->dropsPerMl, 'stirred' => $this->stirredEpoch === null ? null : Instant::format($this->stirredEpoch),
        ];
    }

    /** The strongest liquid that arrives with it: enamel cut with lacquer thinner counts as lacquer. */
    public function liquid(): Liquid
    {
        $own = $this->family->liquid();
        $order = [Liquid::WaterAcrylic, Liquid::WhiteSpirit, Liquid::AlcoholAcrylic, Liquid::Lacquer, Liquid::TwoPart];
        if ($this->thinnedWith === null) {
            return $own;
        }

        return $order[max((int) array_search($own, $order, true), (int) array_search($this->thinnedWith, $order, true))];
    }

    /** Enamel with its hardener stirred in dries as another family; the label's times no longer hold. Any other paint as it is. */
    public function hardened(): self
    {
        return $this->family !== Family::Enamel ? $this : new self($this->id, $this->name.' with hardener', $this->range, Family::HardenedEnamel, $this->role, $this->swatch, $this->sheen, $this->opacity, $this->bites, $this->etch, $this->grade, $this->thinnedWith, $this->triedOn, null, $this->sizeMl, $this->price, $this->levelMl, $this->otherPacks, $this->spectrum, $this->optics, $this->mix, $this->dropsPerMl, $this->stirredEpoch);
    }

    /** @return list<Pack> all sizes it is sold in */
    public function packs(): array
    {
        return [...($this->sizeMl === null || $this->price === null ? [] : [new Pack($this->sizeMl, $this->price)]), ...$this->otherPacks];
    }

    /** With the spectrum of its swatch kept beside it; none where it has no swatch, and anew where the swatch is another. */
    public function withSpectrum(): self
    {
        $kept = $this->spectrum === null ? null : Spectrum::unpacked($this->spectrum);
        $packed = match (true) {
            $this->swatch === null => null,
            $kept !== null && $kept->srgb()->hex() === $this->swatch => $this->spectrum,
            default => Spectrum::of($this->swatch)->packed(),
        };

        return $packed === $this->spectrum ? $this : $this->with(['spectrum' => $packed]);
    }

    /** What a thick film of it reflects: as it was recovered from its swatch and kept; mid grey where it has none. */
    public function spectrum(): Spectrum
    {
        return ($this->spectrum === null ? null : Spectrum::unpacked($this->spectrum)) ?? Spectrum::of($this->swatch ?? '#808080');
    }

    /**
     * This one with some fields otherwise.
     *
     * @param  array<string, mixed>  $fields  by the names of toArray
     *
     * @throws \AmberStep\Core\Document\BadDocument
     */
    public function with(array $fields): self
    {
        return self::fromArray([...$this->toArray(), ...$fields]);
    }

    /** Its recipe is of more than one paint: nobody sells it again. */
    public function isOwnMix(): bool
    {
        return $this->mix?->isMixed() === true;
    }

    public function isMetallic(): bool
    {
        return $this->role === Role::Metallic;
    }

    /** Coats planned when the user says nothing: two at least, more where it covers badly. */
    public function coats(): int
    {
        return match ($this->role) {
            Role::Metallic, Role::Varnish => 2,
            Role::Wash => 1,
            default => $this->opacity->coats(),
        };
    }
}
