<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** Mistakes people make, pinned or logged off plan: caught, with fixes that work and break nothing else. */
final class MistakesTest extends TestCase
{
    /** @param  array<string, mixed>  $said */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_caught_and_each_fix_puts_it_right(array $said): void
    {
        $build = new Build($said);
        $plan = $build->plan();
        $caught = array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $said['caught']));

        self::assertNotSame([], $caught, 'not caught; said: '.implode(', ', Build::findings($plan)));
        foreach ($caught as $finding) {
            self::assertNotSame([], $finding->fixes, "no fix for: {$finding->title}");
            foreach ($finding->fixes as $fix) {
                $after = $build->plan($build->kit->apply($fix->edits));
                self::assertNotContains($finding->key, array_column($after->findings, 'key'), "still there after: {$fix->title}");
                self::assertSame([], self::newStops($plan, $after), "new stops after: {$fix->title}");
            }
        }
    }

    /** @return list<string> */
    public static function newStops(Plan $before, Plan $after): array
    {
        $known = array_column($before->findings, 'key');

        return array_values(array_map(static fn (Finding $f): string => $f->title, array_filter($after->stops(), static fn (Finding $f): bool => ! in_array($f->key, $known, true))));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function mistakes(): iterable
    {
        foreach (glob(__DIR__.'/../scenarios/mistakes/*.yaml') ?: [] as $file) {
            yield basename($file, '.yaml') => [Yaml::parseFile($file)];
        }
    }
}
