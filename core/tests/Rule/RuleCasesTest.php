<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** Each rule on the smallest kit that shows it, and on one where it must be silent. */
final class RuleCasesTest extends TestCase
{
    /** @param  array<string, mixed>  $case */
    #[DataProvider('cases')]
    public function test_a_rule_speaks_where_it_should_and_is_silent_where_it_should(string $rule, array $case): void
    {
        $shown = (new Build($case['shows']))->plan();
        $silent = (new Build($case['silent']))->plan();

        self::assertContains($case['speaks'], $this->said($rule, $shown), "{$rule} says nothing where it should");
        self::assertNotContains($case['speaks'], $this->said($rule, $silent), "{$rule} speaks where it should be silent");
    }

    /** @return list<string> */
    private function said(string $rule, Plan $plan): array
    {
        $said = [];
        foreach ($plan->findings as $finding) {
            if ($finding->rule === $rule) {
                self::assertNotSame('', $finding->sentence);
                $said[] = 'finding '.$finding->severity->value;
            }
        }
        foreach ($plan->left as $planned) {
            foreach ($planned->reasons() as $reason) {
                if ($reason->rule === $rule) {
                    $said[] = 'order';
                }
            }
            foreach ($planned->holds as $hold) {
                if ($hold->rule === $rule && ($hold->covers($plan->nowEpoch) || $hold->closesAfter($plan->nowEpoch))) {
                    $said[] = 'hold';
                }
            }
        }

        return $said;
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach (glob(__DIR__.'/../scenarios/rules/*.yaml') ?: [] as $file) {
            $rule = basename($file, '.yaml');
            yield $rule => [$rule, Yaml::parseFile($file)];
        }
    }
}
