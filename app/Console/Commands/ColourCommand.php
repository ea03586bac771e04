<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Colour\Ratio;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Blend;
use Symfony\Component\Console\Output\OutputInterface;

/** Colours: what a mix looks like, coat by coat over a ground, which ratio matches, how far two are apart. */
final class ColourCommand extends Speaks
{
    protected $signature = 'amber:colour {what : mix, over, match or delta} {colours* : as #7C96A3; parts after an x, #FFFFFFx2} {--ground=#9B9B9B : for over} {--wanted= : for match} {--opacity=good : opaque, good, fair or weak} {--json : print JSON}';

    protected $description = 'Mix, lay, match and compare colours';

    public function handle(): int
    {
        return $this->speak(function (): int {
            $what = $this->argument('what');
            $out = match ($what) {
                'mix' => $this->mix(),
                'over' => $this->over(),
                'match' => $this->matched(),
                'delta' => $this->delta(),
                default => throw BadDocument::at('what', 'is not known', 'use mix, over, match or delta'),
            };
            if ($this->option('json') === true) {
                $this->output->writeln(self::json($out), OutputInterface::OUTPUT_RAW);
            } else {
                foreach (is_array($out['coats'] ?? $out['ratios'] ?? null) ? ($out['coats'] ?? $out['ratios']) : [$out] as $row) {
                    $this->line(implode('  ', array_map(static fn (string $k, mixed $v): string => "{$k} ".(is_array($v) ? implode(':', $v) : json_encode($v, JSON_UNESCAPED_SLASHES)), array_keys((array) $row), array_values((array) $row))));
                }
                if ($what !== 'delta') {
                    $this->line('This predicts; the spoon decides.');
                }
            }

            return self::SUCCESS;
        });
    }

    /** @return array<string, mixed> */
    private function mix(): array
    {
        $thick = $this->blend()->thick;
        $lab = $thick->lab();

        return ['hex' => $thick->srgb()->hex(), 'l' => round($lab->l, 2), 'a' => round($lab->a, 2), 'b' => round($lab->b, 2), 'hue' => round($lab->hue(), 1)];
    }

    /** @return array<string, mixed> */
    private function over(): array
    {
        $blend = $this->blend();
        $ground = $this->option('ground');
        $under = Spectrum::of(self::hex(is_string($ground) ? $ground : '', '--ground'));

        return ['hiddenAt' => $blend->coats($under), 'coats' => array_map(static fn (int $n): array => ['coat' => $n, 'hex' => $blend->after($n, $under)->srgb()->hex(), 'differs' => round($blend->differs($n, $under), 2)], range(1, 6))];
    }

    /** @return array<string, mixed> */
    private function matched(): array
    {
        $wanted = $this->option('wanted');
        $paints = $this->paints();
        if (count($paints) < 2 || count($paints) > 4) {
            throw BadDocument::at('colours', 'are '.count($paints), 'give two to four jars');
        }
        $jars = array_map(static fn (array $p): array => [$p[0]->spectrum(), 1.0, \AmberStep\Core\Mixing\Coverage::scattering($p[0])], $paints);

        return ['ratios' => array_map(static fn (Ratio $r): array => ['parts' => $r->parts, 'hex' => $r->spectrum->srgb()->hex(), 'differs' => round($r->differs, 2)], Ratio::matching(Srgb::fromHex(self::hex(is_string($wanted) ? $wanted : '', '--wanted'))->lab(), $jars))];
    }

    /** @return array<string, mixed> */
    private function delta(): array
    {
        $paints = $this->paints();
        if (count($paints) !== 2) {
            throw BadDocument::at('colours', 'are '.count($paints), 'give two, such as #7C96A3 #7A94A1');
        }

        return ['differs' => round(Srgb::fromHex((string) $paints[0][0]->swatch)->lab()->deltaE(Srgb::fromHex((string) $paints[1][0]->swatch)->lab()), 4)];
    }

    private function blend(): Blend
    {
        return new Blend($this->paints());
    }

    /** @return non-empty-list<array{Product, float}> */
    private function paints(): array
    {
        $opacity = $this->option('opacity');
        $covers = Opacity::tryFrom(is_string($opacity) ? $opacity : '') ?? throw BadDocument::at('--opacity', 'is not known', 'use one of '.implode(', ', array_map(static fn (Opacity $o): string => $o->value, Opacity::cases())));
        $paints = [];
        foreach ((array) $this->argument('colours') as $i => $text) {
            if (preg_match('/\A(#[0-9A-Fa-f]{6})(?:x(\d{1,3}))?\z/', (string) $text, $m) !== 1 || (int) ($m[2] ?? 1) < 1) {
                throw BadDocument::at('colours['.$i.']', "{$text} is not a colour", 'write it as #7C96A3, or #7C96A3x2 for two parts');
            }
            $paints[] = [new Product(Id::from('colour', (string) $i), $m[1], '', Family::WaterAcrylic, Role::Colour, strtoupper($m[1]), opacity: $covers), (float) ($m[2] ?? 1)];
        }

        return $paints === [] ? throw BadDocument::at('colours', 'are missing', 'write one as #7C96A3') : $paints;
    }

    private static function hex(string $text, string $path): string
    {
        return preg_match('/\A#[0-9A-Fa-f]{6}\z/', $text) === 1 ? strtoupper($text) : throw BadDocument::at($path, $text === '' ? 'is missing' : "{$text} is not a colour", 'write it as #7C96A3');
    }
}
