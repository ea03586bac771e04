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
