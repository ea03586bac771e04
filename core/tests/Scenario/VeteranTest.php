<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Scenario;

use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Cautions;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** What somebody who has built for thirty years expects of a plan, written down before the product could do it. */
final class VeteranTest extends TestCase
{
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

    #[DataProvider('files')]
    public function test_the_plan_is_as_expected(string $file): void
    {
        $said = Yaml::parseFile($file);
        $plan = (new Build($said))->plan(minutes: null);
        foreach ($said['check'] as $what => $expected) {
            match ($what) {
                'apart' => array_map(fn (array $a) => $this->apart($plan, ...$a), $expected),
                'step' => array_map(fn (array $s) => $this->figures($plan, ...$s), $expected),
                'never' => array_map(fn (string $words) => self::assertStringNotContainsStringIgnoringCase($words, implode("\n", array_keys(self::titles($plan)))), $expected),
                'stops' => self::assertCount($expected, $plan->stops(), implode('; ', Build::findings($plan))),
                'in order' => $this->inOrder($plan, $expected),
                'never after' => array_map(fn (array $n) => $this->neverAfter($plan, ...$n), $expected),
                'not before' => array_map(fn (array $n) => self::assertGreaterThanOrEqual((new \DateTimeImmutable($n[1].' UTC'))->getTimestamp(), $this->of($plan, $n[0])[0]->startEpoch, $n[0]), $expected),
                'finding once' => array_map(fn (string $rule) => self::assertCount(1, self::spoken($plan, $rule), implode('; ', Build::findings($plan))), $expected),
                'finding rules' => array_map(fn (string $rule) => self::assertNotEmpty(self::spoken($plan, $rule), implode('; ', Build::findings($plan))), $expected),
                'says' => array_map(fn (string $words) => self::assertStringContainsStringIgnoringCase($words, self::said($plan)), $expected),
                'does not say' => array_map(fn (string $words) => self::assertStringNotContainsStringIgnoringCase($words, self::said($plan, $said['check']['finding once'] ?? null)), $expected),
                'says in why' => array_map(fn (string $words) => self::assertStringContainsStringIgnoringCase($words, self::whys($plan, $this->of($plan, 'Prime'))), $expected),
                'in manner' => array_map(fn (string $words) => self::assertStringContainsString($words, self::manners($plan)), $expected),
                'not in manner' => array_map(fn (string $words) => self::assertDoesNotMatchRegularExpression('~\b'.$words.'\b~', self::manners($plan)), $expected),
                'cautions twice' => array_map(fn (string $words) => self::assertGreaterThanOrEqual(2, self::cautioned($plan, $words), "{$words} is said on each step it is true of"), $expected),
                default => self::fail("a veteran cannot expect \"{$what}\""),
            };
        }
    }

    /**
     * One after the other: "last Spray" is the last of its kind, else some of a kind come after one of the kind before.
     *
     * @param  list<string>  $kinds
     */
    private function inOrder(Plan $plan, array $kinds): void
    {
        $from = PHP_INT_MIN;
        foreach ($kinds as $kind) {
            $last = str_starts_with($kind, 'last ');
            $starts = array_values(array_filter(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $this->of($plan, $last ? substr($kind, 5) : $kind)), static fn (int $at): bool => $at > $from));
            self::assertNotEmpty($starts, "nothing like \"{$kind}\" comes after the one before it:\n".implode("\n", array_keys(self::titles($plan))));
            $from = $last ? max($starts) : min($starts);
        }
    }

    private function neverAfter(Plan $plan, string $first, string $never): void
    {
        $from = min(array_map(static fn (PlannedStep $p): int => $p->startEpoch, $this->of($plan, $first)));
        foreach ($plan->atTheBench() as $planned) {
            self::assertFalse($planned->startEpoch > $from && str_starts_with(strtolower(self::title($planned, $plan)), strtolower($never)), self::title($planned, $plan)." comes after {$first}");
        }
    }

    /** @return list<Finding> */
    private static function spoken(Plan $plan, string $rule): array
    {
        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $rule));
    }

    /**
     * What all findings say, whole.
     *
     * @param  list<string>|null  $rules  of these alone; null: of all
     */
    private static function said(Plan $plan, ?array $rules = null): string
    {
        $findings = $rules === null ? $plan->findings : array_filter($plan->findings, static fn (Finding $f): bool => in_array($f->rule, $rules, true));

        return implode("\n", array_map(static fn (Finding $f): string => $f->title.' '.$f->sentence.' '.implode(' ', array_map(static fn (Fix $x): string => $x->title, $f->fixes)), $findings));
    }

    /** @param  list<PlannedStep>  $steps */
    private static function whys(Plan $plan, array $steps): string
    {
        return implode("\n", array_map(static fn (PlannedStep $p): string => implode(' ', [...Manner::of($p->step, $plan->context), ...array_column($p->reasons(), 'why')]), $steps));
    }

    private static function manners(Plan $plan): string
    {
        return implode("\n", array_map(static fn (PlannedStep $p): string => Words::technique($p->step).' '.implode(' ', Manner::of($p->step, $plan->context)), $plan->atTheBench()));
    }

    private static function cautioned(Plan $plan, string $words): int
    {
        return count(array_filter($plan->atTheBench(), static fn (PlannedStep $p): bool => stripos(implode(' ', Cautions::of($p->step, $plan->context->kit)), $words) !== false));
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
        $found = array_values(array_filter($plan->atTheBench(), static fn (PlannedStep $p): bool => str_starts_with(strtolower(self::title($p, $plan)), strtolower($words))));

        return $found === [] ? self::fail("\"{$words}\" is not among:\n".implode("\n", array_keys(self::titles($plan)))) : $found;
    }

    /** @return array<string, true> */
    private static function titles(Plan $plan): array
    {
        return array_fill_keys(array_map(static fn (PlannedStep $p): string => self::title($p, $plan), $plan->atTheBench()), true);
    }

    private static function title(PlannedStep $planned, Plan $plan): string
    {
        return Words::title($planned->step, $plan->context).' on '.$plan->context->pieceName($planned->step->pieceId);
    }
}
