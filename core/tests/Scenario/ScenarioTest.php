<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Scenario;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\RunningHold;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** Builds at some moment, with what the product has to say of them in words. */
final class ScenarioTest extends TestCase
{
    /** @param  array<string, mixed>  $said */
    #[DataProvider('scenarios')]
    public function test_a_scenario_comes_out_as_written(array $said): void
    {
        $build = new Build($said);
        $plan = $build->plan();
        foreach ($said['expect'] as $what => $expected) {
            match ($what) {
                'next' => self::assertSame($expected === 'none' ? null : $expected, $plan->now() === null ? null : Words::title($plan->now()->step, $plan->context), 'next'),
                'at' => self::assertSame($expected, $plan->now() === null ? null : $plan->context->pieceName($plan->now()->step->pieceId), 'at'),
                'in order' => $this->inOrder($expected, self::titles($plan)),
                'never' => array_map(fn (string $word) => self::assertStringNotContainsString($word, implode("\n", self::titles($plan))), $expected),
                'holds' => array_map(fn (string $hold) => self::assertContains($hold, self::holds($build, $plan, false)), $expected),
                'closing' => array_map(fn (string $hold) => self::assertContains($hold, self::holds($build, $plan, true)), $expected),
                'aspects' => array_walk($expected, fn (string $kind, string $piece) => self::assertSame($kind, $plan->pieces[$build->id($piece)]->kind->value, "aspect of {$piece}")),
                'findings' => self::assertSame($expected, Build::findings($plan)),
                'finished' => self::assertSame([], self::titles($plan)),
                'stops' => self::assertCount($expected, $plan->stops(), implode('; ', Build::findings($plan))),
                'thinks' => self::assertSame($expected, count(array_filter($plan->findings, static fn ($f): bool => $f->severity === Severity::Think)), implode('; ', array_map(static fn ($f) => $f->rule.': '.$f->title, $plan->findings))),
                default => self::fail("a scenario cannot expect \"{$what}\""),
            };
        }
    }

    /** @return list<string> */
    private static function titles(Plan $plan): array
    {
        return array_map(static fn ($p): string => Words::title($p->step, $plan->context), $plan->byTime());
    }

    /** @return list<string> "hull flash until 20:07" */
    private static function holds(Build $build, Plan $plan, bool $closing): array
    {
        return array_values(array_map(
            static fn (RunningHold $h): string => sprintf($closing ? '%s by %s' : '%s %s until %s', ...array_values(array_filter([$plan->context->nameOf(explode('/', $h->key)[0]), $closing ? null : $h->kind->value, self::wall($build, $h->untilEpoch)]))),
            array_filter($plan->holds, static fn (RunningHold $h): bool => $h->closing === $closing),
        ));
    }

    private static function wall(Build $build, int $epoch): string
    {
        $local = static fn (int $t, string $format): string => (new \DateTimeImmutable('@'.$t))->setTimezone($build->zone)->format($format);

        return $local($epoch, 'Y-m-d') === $local($build->now, 'Y-m-d') ? $local($epoch, 'H:i') : $local($epoch, 'Y-m-d H:i');
    }

    /**
     * @param  list<string>  $expected  beginnings of titles
     * @param  list<string>  $titles
     */
    private function inOrder(array $expected, array $titles): void
    {
        $from = 0;
        foreach ($expected as $words) {
            $found = null;
            for ($i = $from; $i < count($titles); $i++) {
                if (str_starts_with($titles[$i], $words)) {
                    $found = $i;
                    break;
                }
            }
            self::assertNotNull($found, "\"{$words}\" does not come in its place among:\n".implode("\n", $titles));
            $from = (int) $found;
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function scenarios(): iterable
    {
        foreach (glob(__DIR__.'/../scenarios/plans/*.yaml') ?: [] as $file) {
            yield basename($file, '.yaml') => [Yaml::parseFile($file)];
        }
    }
}
