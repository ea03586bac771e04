<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Scenario;

use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** What somebody who has built for thirty years expects of a plan, written down before the product could do it. */
final class VeteranTest extends TestCase
{
    /** Those the product answers as expected. */
    private const ANSWERED = ['a-rotor-blade-is-gripped-when-its-varnish-takes-tape', 'a-mirror-under-three-square-centimetres-goes-on-with-tweezers', 'a-pin-wash-is-not-a-coat', 'an-oil-wash-that-was-wiped-takes-varnish-after-three-days', 'a-filter-wants-matt-or-satin-under-it'];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (glob(__DIR__.'/../scenarios/veteran/*.yaml') ?: [] as $file) {
            yield basename($file, '.yaml') => [$file];
        }
    }

    #[DataProvider('files')]
    public function test_what_is_expected_stands_as_it_was_first_written(string $file): void
    {
        $git = static fn (string $command): string => trim((string) shell_exec('cd '.escapeshellarg(dirname($file)).' && git '.$command.' 2>/dev/null'));
        $words = Yaml::parseFile($file)['words'];
        $commits = array_filter(explode("\n", $git('log --format=%H -- '.escapeshellarg(basename($file)))));
        $first = $commits === [] ? '' : $git('show '.end($commits).':./'.escapeshellarg(basename($file)));

        self::assertNotEmpty($words);
        self::assertSame($first === '' ? $words : Yaml::parse($first)['words'], $words);
    }

    #[DataProvider('answered')]
    public function test_the_plan_is_as_expected(string $name): void
    {
        $said = Yaml::parseFile(__DIR__."/../scenarios/veteran/{$name}.yaml");
        $plan = (new Build($said))->plan(minutes: null);
        foreach ($said['check'] as $what => $expected) {
            match ($what) {
                'apart' => array_map(fn (array $a) => $this->apart($plan, ...$a), $expected),
                'step' => array_map(fn (array $s) => $this->figures($plan, ...$s), $expected),
                'never' => array_map(fn (string $words) => self::assertStringNotContainsStringIgnoringCase($words, implode("\n", array_keys(self::titles($plan)))), $expected),
                'stops' => self::assertCount($expected, $plan->stops(), implode('; ', Build::findings($plan))),
                'in order' => $this->inOrder($plan, $expected),
                'never after' => array_map(fn (array $n) => $this->neverAfter($plan, ...$n), $expected),
                'finding once' => array_map(fn (string $rule) => self::assertCount(1, self::spoken($plan, $rule), implode('; ', Build::findings($plan))), $expected),
                'finding rules' => array_map(fn (string $rule) => self::assertNotEmpty(self::spoken($plan, $rule), implode('; ', Build::findings($plan))), $expected),
                'says' => array_map(fn (string $words) => self::assertStringContainsStringIgnoringCase($words, self::said($plan)), $expected),
                'does not say' => array_map(fn (string $words) => self::assertStringNotContainsStringIgnoringCase($words, self::said($plan)), $expected),
                'says in why' => array_map(fn (string $words) => self::assertStringContainsStringIgnoringCase($words, self::whys($plan, $this->of($plan, 'Prime'))), $expected),
                'in manner' => array_map(fn (string $words) => self::assertStringContainsString($words, self::manners($plan)), $expected),
                'not in manner' => array_map(fn (string $words) => self::assertStringNotContainsString($words, self::manners($plan)), $expected),
                'cautions twice' => array_map(fn (string $words) => self::assertGreaterThanOrEqual(2, self::cautioned($plan, $words), "{$words} is said on each step it is true of"), $expected),
                default => self::fail("a veteran cannot expect \"{$what}\""),
            };
        }
    }

    /** @return iterable<string, array{string}> */
    public static function answered(): iterable
    {
        foreach (self::ANSWERED as $name) {
            yield $name => [$name];
        }
    }

    /**
     * Each begins after the one before it has ended: the last of a kind before the first of the next.
     *
     * @param  list<string>  $kinds
     */
    private function inOrder(Plan $plan, array $kinds): void
    {
        for ($i = 1; $i < count($kinds); $i++) {
            $before = max(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $this->of($plan, $kinds[$i - 1])));
            $after = array_filter($this->of($plan, $kinds[$i]), static fn (PlannedStep $p): bool => $p->startEpoch > $before);
            self::assertNotEmpty($after, "nothing like \"{$kinds[$i]}\" comes after \"{$kinds[$i - 1]}\":\n".implode("\n", array_keys(self::titles($plan))));
        }
    }

    private function neverAfter(Plan $plan, string $first, string $never): void
    {
        $from = min(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $this->of($plan, $first)));
        foreach ($plan->byTime() as $planned) {
            self::assertFalse($planned->startEpoch > $from && str_starts_with(strtolower(self::title($planned, $plan)), strtolower($never)), self::title($planned, $plan)." comes after {$first}");
        }
    }

    /** @return list<Finding> */
    private static function spoken(Plan $plan, string $rule): array
    {
        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $rule));
    }

    /** What all findings say, whole. */
    private static function said(Plan $plan): string
    {
        return implode("\n", array_map(static fn (Finding $f): string => $f->title.' '.$f->why.' '.implode(' ', array_map(static fn (Fix $x): string => $x->title, $f->fixes)), $plan->findings));
    }

    /** @param  list<PlannedStep>  $steps */
    private static function whys(Plan $plan, array $steps): string
    {
        return implode("\n", array_map(static fn (PlannedStep $p): string => implode(' ', [...Manner::of($p->step, $plan->context), ...array_column($p->reasons(), 'why')]), $steps));
    }

    private static function manners(Plan $plan): string
    {
        return implode("\n", array_map(static fn (PlannedStep $p): string => Words::technique($p->step).' '.implode(' ', Manner::of($p->step, $plan->context)), $plan->byTime()));
    }

    private static function cautioned(Plan $plan, string $words): int
    {
        return count(array_filter($plan->byTime(), static fn (PlannedStep $p): bool => stripos(implode(' ', Cautions::of($p->step)), $words) !== false));
    }

    /** Hours from the end of the last step of one kind to the beginning of the first of another. */
    private function apart(Plan $plan, string $first, string $then, float $least, float $most): void
    {
        $ends = max(array_map(static fn (PlannedStep $p): int => $p->endEpoch, $this->of($plan, $first)));
        $begins = min(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $this->of($plan, $then)));
        $hours = ($begins - $ends) / 3600;

        self::assertGreaterThanOrEqual($least, $hours, "{$then} comes {$hours} h after {$first}");
        self::assertLessThanOrEqual($most, $hours, "{$then} comes {$hours} h after {$first}");
    }

    /** @param  array{ml?: array{float, float}, minutes?: array{float, float}}  $figures */
    private function figures(Plan $plan, string $title, array $figures): void
    {
        foreach ($this->of($plan, $title) as $planned) {
            $is = ['ml' => SetUp::of($planned->step, $plan->context->kit, $plan->context->house)?->need->totalMl, 'minutes' => Minutes::of($planned->step, $plan->context->kit, $plan->context->house)];
            foreach ($figures as $what => [$least, $most]) {
                self::assertTrue($is[$what] >= $least && $is[$what] <= $most, "{$title}: {$is[$what]} {$what}, and {$least} to {$most} were expected");
            }
        }
    }

    /** @return non-empty-list<PlannedStep> */
    private function of(Plan $plan, string $words): array
    {
        $found = array_values(array_filter($plan->byTime(), static fn (PlannedStep $p): bool => str_starts_with(strtolower(self::title($p, $plan)), strtolower($words))));

        return $found === [] ? self::fail("\"{$words}\" is not among:\n".implode("\n", array_keys(self::titles($plan)))) : $found;
    }

    /** @return array<string, true> */
    private static function titles(Plan $plan): array
    {
        return array_fill_keys(array_map(static fn (PlannedStep $p): string => self::title($p, $plan), $plan->byTime()), true);
    }

    private static function title(PlannedStep $planned, Plan $plan): string
    {
        return Words::title($planned->step, $plan->context).' on '.$plan->context->pieceName($planned->step->pieceId);
    }
}
