<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\NotRead;

/** An abrasive: its number, its scale, and what both mean in µm. */
final readonly class Grit
{
    private function __construct(public GritScale $scale, public string $number, public float $microns)
    {
    }

    /**
     * "P320" is FEPA, "320 CAMI" American, "cloth 3200" cushioned cloth, "1000 JIS" Japanese, "compound".
     *
     * @throws NotRead where it can be read two ways, or is no grit
     */
    public static function read(string $text): self
    {
        $clean = mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $text)));
        if ($clean === 'compound') {
            return new self(GritScale::Compound, '', 1);
        }
        if (preg_match('/\Ap ?(\d{2,5})\z/', $clean, $m) === 1) {
            return self::on(GritScale::Fepa, $m[1]);
        }
        if (preg_match('/\A(?:(cami|cloth|jis|fepa) ?(\d{2,5})|(\d{2,5}) ?(cami|cloth|jis|fepa))\z/', $clean, $m) === 1) {
            return self::on(GritScale::from($m[1] !== '' ? $m[1] : $m[4]), $m[1] !== '' ? $m[2] : $m[3]);
        }
        if (preg_match('/\A\d{2,5}\z/', $clean) === 1) {
            throw new NotRead("\"{$text}\" does not say on which scale", self::readings($clean));
        }
        throw new NotRead("\"{$text}\" is no grit", 'write P320, 320 CAMI, cloth 3200, 1000 JIS or compound');
    }

    /** @return list<self> all there are of a scale, coarse to fine */
    public static function all(GritScale $scale): array
    {
        return array_map(static fn (int|string $n, float $m): self => new self($scale, (string) $n, $m), array_keys($scale->microns()), array_values($scale->microns()));
    }

    public function label(): string
    {
        return match ($this->scale) {
            GritScale::Fepa => "P{$this->number}",
            GritScale::Compound => 'compound',
            default => "{$this->number} {$this->scale->word()}",
        };
    }

    public function isCompound(): bool
    {
        return $this->scale === GritScale::Compound;
    }

    /** The grit of another scale that is nearest in µm, by ratio. */
    public function nearestOn(GritScale $scale): self
    {
        $best = null;
        foreach (self::all($scale) as $grit) {
            if ($best === null || abs(log($grit->microns / $this->microns)) < abs(log($best->microns / $this->microns))) {
                $best = $grit;
            }
        }

        return $best ?? $this;
    }

    private static function on(GritScale $scale, string $number): self
    {
        $microns = $scale->microns()[$number] ?? throw new NotRead("{$scale->word()} has no {$number}", 'it has '.implode(', ', array_keys($scale->microns())));

        return new self($scale, $number, $microns);
    }

    private static function readings(string $number): string
    {
        $ways = [];
        foreach ([GritScale::Fepa, GritScale::Cami, GritScale::Cloth, GritScale::Jis] as $scale) {
            $microns = $scale->microns()[$number] ?? null;
            if ($microns !== null) {
                $ways[] = ($scale === GritScale::Fepa ? "P{$number}" : "{$number} ".($scale === GritScale::Cloth ? 'cloth' : $scale->word()))." ({$microns} µm)";
            }
        }

        return $ways === [] ? 'write P320, 320 CAMI, cloth 3200 or 1000 JIS' : 'write '.implode(' or ', $ways);
    }
}
