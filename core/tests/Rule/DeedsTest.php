<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Kit\Acceptance;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The log is judged as the plan is: what a rule would keep out of a plan it says of what was done (handbook 3). */
final class DeedsTest extends TestCase
{
    private const HULL = ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'pale' => 'pale grey'], 'areas' => ['low' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'pale'], 'up' => ['part' => 'hull', 'cm2' => 60, 'colour' => 'grey']], 'edges' => [['low', 'up', 100, 'hard']]];

    private const SEAM = ['parts' => ['bow' => 'styrene', 'stern' => 'styrene'], 'joints' => ['root' => ['parts' => ['bow', 'stern'], 'kind' => 'seam', 'closed' => 'before', 'gapMm' => 0.2, 'lengthCm' => 8]], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'bow', 'colour' => 'grey']]];

    private const CANOPY = ['parts' => ['canopy' => 'clear-styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['frame' => ['part' => 'canopy', 'colour' => 'grey'], 'pane' => ['part' => 'canopy', 'face' => 'pane']]];

    private const COCKPIT = ['parts' => ['hull' => 'styrene', 'tub' => ['substrate' => 'styrene', 'inside' => 'hull']], 'joints' => ['rails' => ['parts' => ['hull', 'tub'], 'closed' => 'before']], 'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'floor' => ['part' => 'tub', 'colour' => 'dark']]];

    private const WHEEL = ['parts' => ['hull' => 'styrene', 'wheel' => 'styrene'], 'joints' => ['hub' => ['parts' => ['hull', 'wheel'], 'closed' => 'after', 'glue' => 'thin-cement']], 'colours' => ['grey' => 'sea grey', 'pale' => 'pale grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'disc' => ['part' => 'wheel', 'cm2' => 9, 'colour' => 'pale']]];

    /**
     * @param  array<string, mixed>  $kit
     * @param  list<array<string, mixed>>  $wrong
     * @param  list<array<string, mixed>>  $right
     */
    #[DataProvider('deeds')]
    public function test_what_no_plan_would_have_had_is_said_of_the_log_and_can_be_accepted(string $rule, Severity $severity, array $kit, array $wrong, array $right): void
    {
        $build = new Build(['kit' => $kit, 'log' => $wrong]);
        $said = self::said($build->plan(), $rule);
        self::assertCount(1, $said, implode('; ', Build::findings($build->plan())));
        self::assertSame($severity, $said[0]->severity);
        self::assertStringStartsWith('Was done', $said[0]->title);
        self::assertStringEndsWith('.', $said[0]->sentence);
        self::assertSame([], self::said((new Build(['kit' => $kit, 'log' => $right]))->plan(), $rule), 'done as it should be, nothing is said');

        $build->edit([Edit::add('accepted', (new Acceptance('01ACCEPT000000000000000000', $said[0]->key, $said[0]->facts, 'the show is tomorrow'))->toArray())]);
        self::assertSame(['the show is tomorrow'], array_map(static fn (Finding $f): ?string => $f->accepted, self::said($build->plan(), $rule)));
        self::assertSame([], array_filter($build->plan()->stops(), static fn (Finding $f): bool => $f->rule === $rule));
    }

    /** @return iterable<string, array{string, Severity, array<string, mixed>, list<array<string, mixed>>, list<array<string, mixed>>}> */
    public static function deeds(): iterable
    {
        $wash = ['at' => '2026-02-20 18:00', 'do' => 'wash', 'on' => ['low', 'up']];
        $prime = ['at' => '2026-02-22 18:00', 'do' => 'prime', 'on' => ['low', 'up'], 'with' => 'grey primer'];
        $pale = ['at' => '2026-02-24 18:00', 'do' => 'colour', 'on' => ['low'], 'for' => 'pale', 'with' => 'pale grey'];
        $mask = ['at' => '2026-02-27 18:00', 'do' => 'mask', 'on' => ['low'], 'for' => 'pale', 'medium' => 'paper-tape'];
        $grey = ['at' => '2026-02-27 19:00', 'do' => 'colour', 'on' => ['up'], 'for' => 'grey', 'with' => 'sea grey'];

        yield 'primed unwashed' => ['wash-dry-before-paint', Severity::Think, self::HULL, [$prime], [$wash, $prime]];
        yield 'primed wet' => ['wash-dry-before-paint', Severity::Stop, self::HULL, [['at' => '2026-02-22 10:00'] + $wash, $prime], [$wash, $prime]];
        yield 'a finished area sprayed over' => ['uncovered', Severity::Stop, self::HULL, [$wash, $prime, $pale, $grey], [$wash, $prime, $pale, $mask, $grey]];
        yield 'filler sanded early' => ['filler-set', Severity::Stop, self::SEAM,
            [['at' => '2026-02-26 18:00', 'do' => 'glue', 'on' => ['root']], ['at' => '2026-03-02 18:00', 'do' => 'fill', 'on' => ['root']], ['at' => '2026-03-02 18:20', 'do' => 'cut-back', 'on' => ['root']]],
            [['at' => '2026-02-26 18:00', 'do' => 'glue', 'on' => ['root']], ['at' => '2026-02-28 18:00', 'do' => 'fill', 'on' => ['root']], ['at' => '2026-03-02 18:20', 'do' => 'cut-back', 'on' => ['root']]]];
        yield 'a check coat sanded wet' => ['check-coat-dry', Severity::Stop, self::SEAM,
            [['at' => '2026-02-26 18:00', 'do' => 'glue', 'on' => ['root']], ['at' => '2026-03-02 18:00', 'do' => 'check-coat', 'on' => ['root']], ['at' => '2026-03-02 18:10', 'do' => 'check-seam', 'on' => ['root']]],
            [['at' => '2026-02-26 18:00', 'do' => 'glue', 'on' => ['root']], ['at' => '2026-03-02 18:00', 'do' => 'check-coat', 'on' => ['root']], ['at' => '2026-03-02 19:10', 'do' => 'check-seam', 'on' => ['root']]]];
        $frame = ['at' => '2026-03-01 18:00', 'do' => 'prime', 'on' => ['frame'], 'with' => 'grey primer'];
        yield 'a pane left open' => ['uncovered', Severity::Stop, self::CANOPY, [$frame], [['at' => '2026-03-01 17:00', 'do' => 'mask', 'on' => ['pane'], 'for' => 'panes', 'medium' => 'cut-film'], $frame]];
        $floor = ['at' => '2026-02-24 18:00', 'do' => 'colour', 'on' => ['floor'], 'for' => 'dark', 'with' => 'interior dark'];
        $side = ['at' => '2026-03-01 18:00', 'do' => 'prime', 'on' => ['side'], 'with' => 'grey primer'];
        yield 'an open cockpit sprayed over' => ['opening-covered', Severity::Think, self::COCKPIT, [$floor, $side], [$floor, ['at' => '2026-03-01 17:00', 'do' => 'mask', 'on' => ['floor'], 'for' => 'opening', 'medium' => 'plug'], $side]];
        $disc = ['at' => '2026-02-24 18:00', 'do' => 'prime', 'on' => ['disc'], 'with' => 'grey primer'];
        $glue = ['at' => '2026-03-01 18:00', 'do' => 'attach', 'on' => ['hub']];
        yield 'glued on paint' => ['joint-faces-bare', Severity::Stop, self::WHEEL, [$disc, $glue], [['at' => '2026-02-24 17:00', 'do' => 'mask-faces', 'on' => ['wheel'], 'for' => 'hub'], $disc, $glue]];
        yield 'glued on paint, scraped first' => ['joint-faces-bare', Severity::Stop, self::WHEEL, [$disc, $glue], [$disc, ['at' => '2026-03-01 17:30', 'do' => 'scrape', 'on' => ['wheel'], 'for' => 'hub'], $glue]];
        $clear = ['at' => '2026-02-24 18:00', 'do' => 'gloss', 'on' => ['low'], 'with' => 'two-part clear'];
        $again = ['at' => '2026-02-26 18:00'] + $clear;
        yield 'two-part unscuffed after its window' => ['enamel-window', Severity::Stop, self::HULL, [$clear, $again], [$clear, ['at' => '2026-02-26 17:00', 'do' => 'abrade', 'on' => ['low']], $again]];
        yield 'two-part between its windows' => ['enamel-window', Severity::Stop, self::HULL, [$clear, ['at' => '2026-02-25 04:00'] + $clear], [$clear, ['at' => '2026-02-24 20:00'] + $clear]];
        $cup = ['at' => '2026-02-24 15:00', 'do' => 'mixed', 'with' => 'two-part clear', 'potLifeMinutes' => 120];
        yield 'sprayed from a dead cup' => ['pot-life', Severity::Stop, self::HULL, [$cup, $clear], [['at' => '2026-02-24 17:00'] + $cup, $clear]];
    }

    public function test_air_over_the_limit_is_said_when_a_coat_is_recorded(): void
    {
        $coat = ['at' => '2026-03-02 18:00', 'do' => 'colour', 'on' => ['up'], 'for' => 'grey', 'with' => 'sea grey'];
        $said = static fn (int $humidity): array => self::said((new Build(['kit' => self::HULL, 'log' => [$coat], 'room' => [20, $humidity]]))->plan(), 'room');

        self::assertSame([], $said(65));
        self::assertStringContainsString('78 % RH is over the 70 %', $said(78)[0]->sentence);
    }

    public function test_a_run_that_is_rubbed_off_plan_waits_as_long_as_its_remedy(): void
    {
        $log = [['at' => '2026-02-26 18:00', 'do' => 'colour', 'on' => ['up'], 'for' => 'grey', 'with' => 'sea grey'], ['at' => '2026-02-26 18:10', 'do' => 'fault', 'fault' => 'run', 'on' => ['up']]];
        $rubbed = static fn (string $at): array => self::said((new Build(['kit' => self::HULL, 'log' => [...$log, ['at' => $at, 'do' => 'flat', 'on' => ['up']]]]))->plan(), 'fix-runs-hard');

        self::assertCount(1, $rubbed('2026-03-01 18:00'), 'sand-safe after two days, and a run wants twice that');
        self::assertSame([], $rubbed('2026-03-02 18:30'));
    }

    /** @return list<Finding> */
    private static function said(Plan $plan, string $rule): array
    {
        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $rule && str_starts_with($f->title, 'Was done') || $f->rule === $rule && $rule === 'room'));
    }
}
