<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** The lines of a kit while they are proposed, and the sum of each area. */
final class Draft
{
    /** @var array<string, string> paint by the name of its colour */
    private array $colours = [];

    /** @var list<string> */
    private array $parts = [];

    /** @var list<string> */
    private array $joints = [];

    /** @var array<string, string> by "part / area" */
    public array $sums = [];

    public function __construct(private readonly Looks $looks)
    {
    }

    /** The colours that go on a place, or the paint that does for it where nobody said. */
    public function colour(string $place, string ...$usual): string
    {
        return $this->colours($place, ...$usual)[0];
    }

    /** @return non-empty-list<string> */
    public function colours(string $place, string ...$usual): array
    {
        $names = [];
        foreach ($this->looks->on($place, ...$usual) as $name => $paint) {
            $this->colours[$name] = $paint;
            $names[] = $name;
        }

        return $names === [] ? ['grey'] : $names;
    }

    /** @param  string  ...$says  as on a line: "hand port", "no B4" */
    public function part(string $name, string ...$says): void
    {
        $this->parts[] = implode(', ', ["part {$name}", ...($says === [] ? ['styrene'] : $says)]);
    }

    public function area(string $part, string $area, Sum $sum, string ...$says): void
    {
        $this->parts[] = implode(', ', ["{$part} / {$area}", $sum->typed(), ...array_values(array_filter($says, static fn (string $s): bool => $s !== ''))]);
        $this->sums["{$part} / {$area}"] = $sum->words;
    }

    /** A hard edge, or one that is as soft as the scale has it; mm. */
    public function edge(float $mm, string $to, string $kind = 'hard', string $curve = ''): string
    {
        return "{$kind} ".max(2, (int) round($mm)).' mm '.($curve === '' ? '' : "{$curve} ")."to {$to}";
    }

    public function joint(string $name, string $a, string $b, string ...$says): void
    {
        $this->joints[] = implode(', ', ["{$name}: {$a} + {$b}", ...array_values(array_filter($says, static fn (string $s): bool => $s !== ''))]);
    }

    public function piece(string $part, string $name, string $holder, string $where): void
    {
        $this->joints[] = "piece {$part} = {$name}, {$holder}, held by {$where}";
    }

    /** What an outer face gets over its colour, as it was asked for. */
    public function finish(bool $decals = false): string
    {
        return implode(', ', array_filter([$decals && $this->looks->decals ? 'decals' : '', $this->looks->wash ? 'pin wash' : '', $this->looks->sheen, $this->looks->polish ? 'polish' : ''], static fn (string $s): bool => $s !== ''));
    }

    public function looks(): Looks
    {
        return $this->looks;
    }

    public function lines(): string
    {
        $colours = [];
        foreach ($this->colours as $name => $paint) {
            $colours[] = "colour {$name} = {$paint}";
        }

        return implode("\n", [...$colours, ...$this->parts, ...$this->joints])."\n";
    }
}
