<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Ask;
use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Mixing\Drops;
use AmberStep\Core\Mixing\Poured;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Mixing\RecipeLine;
use App\Repositories\ShelfRepository;
use Symfony\Component\Console\Output\OutputInterface;

/** A ratio at a size: ml, whole drops, and what puts a cup right that was poured otherwise; exit 1 where it was. */
final class MixCommand extends Speaks
{
    protected $signature = 'amber:mix {ratio : parts of paint, with colons, such as 3:2; what begins with t is thinner, 3:2:t6; or in words, "3 sea grey + 1 ground white + 5 % retarder"} {--total= : ml in all} {--drops= : drops in all} {--additive= : per cent of paint and thinner} {--poured= : ml of each that went in, with colons} {--json : print JSON}';

    protected $description = 'Work a ratio out in ml and whole drops';

    public function handle(ShelfRepository $shelf): int
    {
        return $this->speak(function () use ($shelf): int {
            $kept = $this->inWordsOf($shelf);
            $recipe = $kept === null ? $this->recipe() : Recipe::kept($kept);
            $drops = $this->number('drops', 1, Drops::MOST);
            $batch = $drops === null ? $recipe->total($this->number('total', 0, 1000) ?? 5.0) : null;
            $whole = Drops::of(self::dropShares($recipe), (int) round($drops ?? array_sum($recipe->total($batch?->totalMl() ?? 5.0)->drops())));
            $batch ??= new Batch($recipe, array_map(static fn (int $n, Part $p): float => $n * $p->mlPerDrop(), $whole->counts, $recipe->parts));
            $poured = $this->poured($recipe);
            $out = ['parts' => array_map(static fn (Part $p, float $ml, float $g, int $n): array => ['name' => $p->name, 'ml' => round($ml, 4), 'grams' => round($g, 4), 'drops' => $n], $recipe->parts, $batch->ml, $batch->grams(), $whole->counts), 'totalMl' => round($batch->totalMl(), 4), 'dropError' => round($whole->error, 4), 'poured' => $poured === null ? null : ['contradicts' => $poured->contradicts(), 'add' => array_map(static fn (float $a): float => round($a, 4), $poured->add), 'rebuilt' => array_map(static fn (float $r): float => round($r, 4), $poured->rebuilt)], 'asks' => array_map(static fn (Ask $a): string => $a->question(), $kept->asks ?? [])];
            $this->option('json') === true ? $this->output->writeln(self::json($out), OutputInterface::OUTPUT_RAW) : $this->inWords($out);

            return $poured?->contradicts() === true || $kept?->isVerified() === false ? self::FAILURE : self::SUCCESS;
        });
    }

    /** @param  array{parts: list<array{name: string, ml: float, grams: float, drops: int}>, totalMl: float, dropError: float, poured: array{contradicts: bool, add: list<float>, rebuilt: list<float>}|null, asks: list<string>}  $out */
    private function inWords(array $out): void
    {
        foreach ($out['parts'] as $part) {
            $this->line(sprintf('%-22s %8.2f ml %6d drops %8.2f g', $part['name'], $part['ml'], $part['drops'], $part['grams']));
        }
        $this->line(sprintf('%.2f ml in all; whole drops are %.1f %% off', $out['totalMl'], 100 * $out['dropError']));
        foreach ($out['asks'] as $question) {
            $this->line("Unverified. {$question}");
        }
        if ($out['poured'] !== null) {
            $this->line($out['poured']['contradicts'] ? 'What was poured contradicts the ratio: add '.implode(', ', array_map(static fn (float $a): string => sprintf('%.2f ml', $a), $out['poured']['add'])).'; or it should have been '.implode(', ', array_map(static fn (float $r): string => sprintf('%.2f ml', $r), $out['poured']['rebuilt'])) : 'Poured as the ratio says.');
        }
    }

    /** A recipe in words is read with the names of the shelf; null where it is a plain ratio. */
    private function inWordsOf(ShelfRepository $shelf): ?KeptRecipe
    {
        $text = $this->argument('ratio');

        return is_string($text) && preg_match('/[^\d.,:t\s]/i', $text) === 1 ? (new RecipeLine($shelf->shelf()))->read($text) : null;
    }

    /** @return non-empty-list<float> */
    private static function dropShares(Recipe $recipe): array
    {
        return array_map(static fn (float $s, Part $p): float => $s / $p->mlPerDrop(), $recipe->shares(), $recipe->parts);
    }

    private function recipe(): Recipe
    {
        $text = $this->argument('ratio');
        $parts = [];
        foreach (explode(':', is_string($text) ? $text : '') as $i => $piece) {
            $thinner = str_starts_with(strtolower(trim($piece)), 't');
            $parts[] = new Part($thinner ? 'thinner' : 'paint '.($i + 1), $thinner ? Stuff::LacquerThinner : Stuff::Paint, self::read($thinner ? substr(trim($piece), 1) : trim($piece), 'ratio', 0, 1000));
        }
        if (count($parts) < 2) {
            throw BadDocument::at('ratio', 'says of what to what is missing', 'write it as 3:2, or 3:2:t6 with thinner');
        }
        $additive = $this->number('additive', 0, 100);

        return new Recipe($additive === null ? $parts : [...$parts, new Part('additive', Stuff::Additive, $additive, Base::PercentOfMix)]);
    }

    private function poured(Recipe $recipe): ?Poured
    {
        $text = $this->option('poured');
        if (! is_string($text)) {
            return null;
        }
        $ml = array_map(static fn (string $piece): float => self::read(trim($piece), '--poured', -1, 1000), explode(':', $text));
        if (count($ml) !== count($recipe->parts)) {
            throw BadDocument::at('--poured', 'has '.count($ml).' amounts for '.count($recipe->parts).' parts', 'give one for each, 0 where it is not in yet');
        }

        return Poured::against($recipe, $ml);
    }

    private function number(string $option, float $above, float $most): ?float
    {
        $text = $this->option($option);

        return is_string($text) ? self::read(trim($text), "--{$option}", $above, $most) : null;
    }

    private static function read(string $text, string $path, float $above, float $most): float
    {
        try {
            $number = TypedNumber::read($text);
        } catch (NotRead $not) {
            throw BadDocument::at($path, $not->wrong, $not->right);
        }
        if ($number <= $above && ! ($above === 1.0 && $number === 1.0) || $number > $most) {
            throw BadDocument::at($path, "{$text} is no amount", "give one above {$above} and up to {$most}");
        }

        return $number;
    }
}
