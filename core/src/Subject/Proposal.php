<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use Closure;

/** A kit proposed from four answers, as lines one can read and change. */
final readonly class Proposal
{
    /** mm on the model. */
    private const LENGTHS = [10.0, 3000.0];

    public string $lines;

    /** @var array<string, string> how each area was worked out, by "part / area" */
    public array $sums;

    /** @var array<string, array{swatch: string}> paints that are not on the shelf, by name */
    public array $missing;

    /**
     * @param  float  $length  mm on the model; of a figure or a walker its height
     * @param  float|null  $width  mm on the model: span, beam or width; null: as is usual
     * @param  string  $words  how it shall look
     *
     * @throws BadDocument where a size is none
     */
    public function __construct(public Kind $kind, public float $scale, float $length, ?float $width, string $words, Shelf $shelf)
    {
        $width ??= $length * $kind->usual();
        foreach (['length' => $length, 'width' => $width] as $name => $mm) {
            if ($mm < self::LENGTHS[0] * ($name === 'width' ? 0.2 : 1) || $mm > self::LENGTHS[1]) {
                throw BadDocument::at($name, sprintf('is %.1f mm on the model', $mm), sprintf('give %.0f to %.0f mm', ...self::LENGTHS));
            }
        }
        $looks = new Looks(trim($words) === '' ? $kind->looks() : $words, $shelf, $kind === Kind::Glider || $kind === Kind::Car ? 'gloss' : 'matt', in_array($kind, [Kind::Propeller, Kind::Jet, Kind::Seaplane, Kind::Glider], true));
        $draft = new Draft($looks);
        match ($kind) {
            Kind::Propeller, Kind::Jet, Kind::Glider, Kind::Seaplane => (new Aircraft($draft, $kind, $length, $width, $scale))->draft(),
            Kind::Tracked, Kind::Wheeled => (new Vehicle($draft, $kind, $length, $width))->draft(),
            Kind::Car => (new Car($draft, $length, $width))->draft(),
            Kind::Ship => (new Ship($draft, $length, $width))->draft(),
            Kind::Walker => (new Walker($draft, $length, $width))->draft(),
            Kind::Figure => (new Figure($draft, $length))->draft(),
        };
        $this->lines = $draft->lines();
        $this->sums = $draft->sums;
        $this->missing = $looks->missing;
    }

    /**
     * The paints it wants that are not on the shelf, as one takes them for until a spoon is sprayed: satin, of good cover.
     *
     * @param  Closure(): string  $newId
     * @return list<Product>
     */
    public function paints(Family $family, Closure $newId): array
    {
        $paints = [];
        foreach ($this->missing as $name => ['swatch' => $swatch]) {
            $paints[] = PaintByName::product($newId(), (string) $name, $family, $swatch);
        }

        return $paints;
    }
}
