<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Rule\MistakesTest;
use AmberStep\Core\Tests\Support\Assembly;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Deeds;
use AmberStep\Core\Tests\Support\RandomAssembly;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Plans of kits with things inside things are built by somebody who knows nothing of how they were made.
 *
 * @phpstan-import-type Deed from Assembly
 */
final class AssemblyTest extends TestCase
{
    private const SEEDS = 500;

    private const PER_CASE = 50;

    #[DataProvider('seeds')]
    public function test_what_is_planned_can_be_built(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $kit = (new RandomAssembly($seed))->kit();
            $build = new Build(['kit' => $kit]);
            $plan = $build->plan(minutes: null);
            $shutOut = array_filter($plan->stops(), static fn ($f): bool => $f->rule === 'enclosed');
            if ($shutOut === []) {
                self::assertSame([], (new Assembly($kit))->build(Deeds::of($plan)), "seed {$seed}: ".json_encode($kit));
            }
            self::assertSame([], array_values(array_filter(Build::findings($plan), static fn (string $f): bool => str_starts_with($f, 'stop') && $f !== 'stop enclosed')), "seed {$seed}");
            $this->eachFixWorks($build, $plan, $seed);
        }
    }

    private function eachFixWorks(Build $build, Plan $plan, int $seed): void
    {
        foreach ($plan->findings as $finding) {
            foreach ($finding->rule === 'enclosed' ? $finding->fixes : [] as $fix) {
                $after = $build->plan($build->kit->apply($fix->edits), null);
                self::assertNotContains($finding->key, array_column($after->findings, 'key'), "seed {$seed}: {$finding->title} after \"{$fix->title}\"");
                self::assertSame([], MistakesTest::newStops($plan, $after), "seed {$seed}: {$finding->title} after \"{$fix->title}\"");
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($from = 1; $from <= self::SEEDS; $from += self::PER_CASE) {
            yield "assemblies from {$from}" => [$from];
        }
    }

    #[DataProvider('mutations')]
    public function test_a_plan_that_was_tampered_with_is_caught(string $what): void
    {
        $tampered = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $kit = (new RandomAssembly($seed))->kit();
            $build = new Build(['kit' => $kit]);
            $plan = $build->plan(minutes: null);
            $deeds = Deeds::of($plan);
            if ($plan->stops() !== [] || (new Assembly($kit))->build($deeds) !== []) {
                continue;
            }
            foreach (self::$what($deeds, $kit) as $wrong) {
                $tampered++;
                self::assertNotSame([], (new Assembly($kit))->build($wrong), "seed {$seed}: {$what} was not seen: ".json_encode($kit));
            }
        }
        self::assertGreaterThan(20, $tampered, 'enough was tampered with');
    }

    /** @return iterable<string, array{string}> */
    public static function mutations(): iterable
    {
        yield 'a shell is closed before what lies in it is glued in' => ['shutEarly'];
        yield 'an unplug is dropped' => ['unplugDropped'];
        yield 'a plug is dropped' => ['plugDropped'];
        yield 'a hold is shortened' => ['holdShortened'];
        yield 'a mask on panes is dropped' => ['maskDropped'];
    }

    /**
     * @param  list<Deed>  $deeds
     * @param  array<string, mixed>  $kit
     * @return iterable<list<Deed>>
     */
    private static function shutEarly(array $deeds, array $kit): iterable
    {
        foreach ($kit['parts'] as $name => $part) {
            $shell = $part['inside'] ?? null;
            $in = self::joint($deeds, static fn (array $p): bool => in_array($name, $p, true) && in_array($shell, $p, true), $kit);
            $shut = $shell === null ? null : self::joint($deeds, static fn (array $p): bool => in_array($shell, $p, true) && array_filter($p, static fn (string $o): bool => $o !== $shell && $o !== ($kit['parts'][$shell]['inside'] ?? null) && ($kit['parts'][$o]['inside'] ?? null) === null) !== [] && ($kit['parts'][$shell]['inside'] ?? null) === null, $kit);
            if ($in === null || $shut === null || $in > $shut) {
                continue;
            }
            $wrong = $deeds;
            [$wrong[$in]['at'], $wrong[$shut]['at']] = [$deeds[$shut]['at'], $deeds[$in]['at']];
            [$wrong[$in], $wrong[$shut]] = [$wrong[$shut], $wrong[$in]];
            yield $wrong;
        }
    }

    /**
     * @param  list<Deed>  $deeds
     * @return iterable<list<Deed>>
     */
    private static function unplugDropped(array $deeds): iterable
    {
        return self::without($deeds, 'unplug');
    }

    /**
     * @param  list<Deed>  $deeds
     * @return iterable<list<Deed>>
     */
    private static function plugDropped(array $deeds): iterable
    {
        return self::without($deeds, 'mask-faces');
    }

    /**
     * @param  list<Deed>  $deeds
     * @return iterable<list<Deed>>
     */
    private static function maskDropped(array $deeds): iterable
    {
        foreach ($deeds as $i => $deed) {
            if ($deed['do'] === 'mask' && $deed['for'] === 'panes') {
                $wrong = $deeds;
                unset($wrong[$i]);
                yield array_values($wrong);
            }
        }
    }

    /**
     * What is attached last is attached a minute after its last coat, or a minute after what it hangs on was glued.
     *
     * @param  list<Deed>  $deeds
     * @param  array<string, mixed>  $kit
     * @return iterable<list<Deed>>
     */
    private static function holdShortened(array $deeds, array $kit): iterable
    {
        foreach ($deeds as $i => $deed) {
            if ($deed['do'] !== 'attach') {
                continue;
            }
            $coat = null;
            foreach ($deeds as $other) {
                $own = array_filter($other['on'], static fn (string $a): bool => in_array($kit['areas'][$a]['part'] ?? '', $kit['joints'][(string) $deed['joint']]['parts'], true) && ($kit['areas'][$a]['face'] ?? 'outside') === 'outside');
                $coat = $other['family'] !== null && $own !== [] && $other['at'] < $deed['at'] ? $other['at'] : $coat;
            }
            if ($coat !== null) {
                $wrong = $deeds;
                $wrong[$i]['at'] = $coat + 60;
                yield $wrong;
            }
        }
    }

    /**
     * @param  list<Deed>  $deeds
     * @return iterable<list<Deed>>
     */
    private static function without(array $deeds, string $do): iterable
    {
        foreach ($deeds as $i => $deed) {
            if ($deed['do'] === $do) {
                $wrong = $deeds;
                unset($wrong[$i]);
                yield array_values($wrong);
            }
        }
    }

    /**
     * @param  list<Deed>  $deeds
     * @param  callable(list<string>): bool  $is
     * @param  array<string, mixed>  $kit
     */
    private static function joint(array $deeds, callable $is, array $kit): ?int
    {
        foreach ($deeds as $i => $deed) {
            if ($deed['joint'] !== null && in_array($deed['do'], ['glue', 'attach'], true) && $is($kit['joints'][$deed['joint']]['parts'])) {
                return $i;
            }
        }

        return null;
    }
}
