<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\TestCase;

/** What a recipe, a cup and a hardener have to say to a plan, each with a way out that works and what it is silent about. */
final class MixedPaintRulesTest extends TestCase
{
    private const MIX = ['haze' => ['water-acrylic', 'colour', '#8FA5B0', ['sheen' => 'satin', 'mix' => ['sea grey' => 3, 'ground white' => 1, 'thinner' => 2]]]];

    /**
     * @param  array<string, mixed>  $more
     * @param  array<string, mixed>  $kit
     */
    private static function body(string $paint, array $more = [], array $kit = []): Build
    {
        return new Build(['kit' => ['parts' => ['body' => 'styrene', 'lid' => 'styrene'], 'joints' => ['hinge' => ['parts' => ['lid', 'body'], 'closed' => 'after', 'glue' => 'clear-glue']], 'colours' => ['c' => $paint], 'areas' => ['side' => ['part' => 'body', 'cm2' => 60, 'colour' => 'c']], ...$kit], ...$more]);
    }

    /** @return list<Finding> */
    private static function said(Plan $plan, string $rule): array
    {
        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $rule));
    }

    private static function solved(Build $build, string $rule): void
    {
        $found = self::said($build->plan(), $rule);
        self::assertNotSame([], $found, $rule);
        foreach ($found as $finding) {
            self::assertNotSame([], $finding->fixes, "{$rule} has a way out");
            foreach ($finding->fixes as $fix) {
                $after = self::said($build->plan($build->kit->apply($fix->edits)), $rule);
                self::assertNotContains($finding->key, array_column($after, 'key'), $fix->title);
            }
        }
    }

    public function test_a_hardened_cup_that_dies_before_its_last_coat_is_a_stop_and_two_mixes_end_it(): void
    {
        $primed = static fn (string $area): array => array_map(static fn (int $day): array => ['at' => "2026-03-0{$day} 12:00", 'do' => $day === 3 ? 'wash' : 'prime', 'on' => [$area], 'for' => 'all', ...($day === 3 ? [] : ['with' => 'grey primer', 'coat' => 'light'])], [3, 4, 5]);
        $large = static fn (int $cm2): Build => new Build([
            'now' => '2026-03-07 10:00', 'house' => ['hardener' => 'yes', 'inspection' => 'none'], 'room' => [28, 50], 'log' => [...$primed('x'), ...$primed('y')],
            'kit' => ['parts' => ['a' => 'styrene', 'b' => 'styrene'], 'colours' => ['brown' => 'enamel brown'], 'areas' => ['x' => ['part' => 'a', 'cm2' => $cm2, 'colour' => 'brown'], 'y' => ['part' => 'b', 'cm2' => $cm2, 'colour' => 'brown']]],
        ]);
        $stop = self::said($large(1800)->plan(), 'pot-life');
        self::assertNotSame([], $stop);
        self::assertSame(Severity::Stop, $stop[0]->severity);
        self::assertStringContainsString('lives 137 min at 28 °C', $stop[0]->sentence, '240 min halved per 10 °C');
        self::assertSame([], self::said($large(5)->plan(), 'pot-life'), 'small work is done in time');
        self::assertCount(1, $large(1800)->plan()->cups, 'a second mix is not planned in silence: the rule says so');
        self::solved($large(1800), 'pot-life');
    }

    public function test_nothing_kept_of_a_mixed_colour_is_worth_a_thought_while_glue_is_to_come(): void
    {
        $none = self::body('haze', ['shelf' => self::MIX]);
        self::assertStringContainsString('3 sea grey : 1 ground white : 2 thinner', self::said($none->plan(), 'reserve')[0]->sentence);
        self::solved($none, 'reserve');
        $kept = ['haze' => [...array_slice(self::MIX['haze'], 0, 3), [...self::MIX['haze'][3], 'levelMl' => 1.2]]];
        self::assertSame([], self::said(self::body('haze', ['shelf' => $kept])->plan(), 'reserve'), 'some is kept');
        self::assertSame([], self::said(self::body('sea grey')->plan(), 'reserve'), 'a paint that is sold');
        self::assertSame([], self::said(self::body('haze', ['shelf' => self::MIX], ['joints' => []])->plan(), 'reserve'), 'nothing touches it any more');
        $laid = self::body('haze', ['shelf' => self::MIX, 'log' => array_map(static fn (int $n): array => ['at' => "2026-02-2{$n} 20:00", 'do' => $n === 1 ? 'wash' : ($n < 4 ? 'prime' : 'colour'), 'on' => ['side'], 'for' => $n < 4 ? 'all' : 'c', ...($n === 1 ? [] : ['with' => $n < 4 ? 'grey primer' : 'haze', 'coat' => 'light'])], [1, 2, 3, 4, 5])]);
        self::assertStringStartsWith('Mix a spare', self::said($laid->plan(), 'reserve')[0]->fixes[0]->title, 'it is on already');
        self::solved($laid, 'reserve');
    }

    public function test_what_can_be_read_two_ways_is_asked_until_it_is_answered(): void
    {
        $part = ['name' => 'thinner', 'stuff' => 'water', 'base' => 'percent-of-paint', 'product' => null];
        $asks = [['part' => 2, 'about' => '75 % thinner', 'readings' => [['words' => '75 to 100 of the paint', 'amount' => 75, ...$part], ['words' => '75 of 100 in the cup', 'amount' => 300, ...$part]]]];
        $asked = self::body('haze', ['shelf' => ['haze' => [...array_slice(self::MIX['haze'], 0, 3), [...self::MIX['haze'][3], 'asks' => $asks]]]]);
        self::assertStringContainsString('"75 % thinner" can be read two ways: 75 to 100 of the paint, or 75 of 100 in the cup?', self::said($asked->plan(), 'two-readings')[0]->sentence);
        self::solved($asked, 'two-readings');
        self::assertSame([], self::said(self::body('haze', ['shelf' => self::MIX])->plan(), 'two-readings'));
    }

    public function test_a_cup_poured_otherwise_is_put_right_before_it_is_sprayed(): void
    {
        $poured = static fn (array $ml, string $at = '19:50'): Build => self::body('haze', ['shelf' => self::MIX, 'log' => [['at' => $at, 'do' => 'mixed', 'with' => 'haze', 'poured' => $ml]]]);
        $found = self::said($poured([3.0, 1.6, 2.0])->plan(), 'amounts-contradict');
        self::assertSame(['Add 1.80 ml of sea grey and 1.20 ml of thinner to haze', 'Mix haze anew: 3.30 ml sea grey, 1.10 ml ground white, 2.20 ml thinner'], array_column($found[0]->fixes, 'title'));
        self::solved($poured([3.0, 1.6, 2.0]), 'amounts-contradict');
        foreach (['as written' => [3.0, 1.0, 2.02], 'late thinner on a solid colour' => [3.0, 1.0, 2.6]] as $why => $ml) {
            self::assertSame([], self::said($poured($ml)->plan(), 'amounts-contradict'), $why);
        }
        self::assertSame([], self::said($poured([3.0, 1.6, 2.0], '2026-03-01 19:00')->plan(), 'amounts-contradict'), 'a cup of yesterday');
        self::assertSame([], self::said($poured([3.0, 1.6])->plan(), 'amounts-contradict'), 'not of this recipe');
    }

    public function test_extra_thinner_flows_out_on_a_solid_colour_and_drifts_with_flakes(): void
    {
        $pin = ['pins' => [['operation' => 'colour', 'extraThinner' => true]]];
        $bronze = self::body('lacquer bronze', [], $pin);
        self::assertSame(['think'], array_map(static fn (Finding $f): string => $f->severity->value, self::said($bronze->plan(), 'late-thinner')));
        self::solved($bronze, 'late-thinner');
        self::assertSame([], self::said(self::body('sea grey', [], $pin)->plan(), 'late-thinner'));
        self::assertSame([], self::said(self::body('lacquer bronze')->plan(), 'late-thinner'));
        $thinned = static fn (Build $b): array => array_column(array_filter(array_map(static fn ($p) => $p->step, $b->plan()->left), static fn ($s): bool => $s->operation->value === 'colour'), 'thinned');
        self::assertSame([false, true], array_values($thinned($bronze)), 'the last coat alone');
    }

    public function test_a_wet_coat_of_metallic_over_soft_paint_floods(): void
    {
        $wet = ['colours' => ['c' => 'lacquer bronze', 'g' => 'lacquer red'], 'areas' => ['side' => ['part' => 'body', 'cm2' => 60, 'colour' => 'c', 'ground' => 'g']], 'pins' => [['operation' => 'colour', 'coatKind' => 'wet']]];
        $soon = self::body('lacquer bronze', [], $wet);
        self::assertStringContainsString('flakes swim', self::said($soon->plan(), 'metallic-no-flood')[0]->sentence);
        self::solved($soon, 'metallic-no-flood');
        self::assertSame([], self::said(self::body('lacquer bronze', [], ['pins' => []] + $wet)->plan(), 'metallic-no-flood'), 'light coats');
        self::assertSame([], self::said(self::body('lacquer bronze', [], ['colours' => ['c' => 'lacquer red', 'g' => 'lacquer bronze']] + $wet)->plan(), 'metallic-no-flood'), 'no flakes');
    }

    public function test_preshade_that_the_film_hides_is_work_nobody_sees_and_one_that_shows_is_not(): void
    {
        $shaded = static fn (int $coats): Build => self::body('sea grey', [], ['colours' => ['c' => 'sea grey', 'd' => 'interior dark'], 'areas' => ['side' => ['part' => 'body', 'cm2' => 60, 'colour' => 'c', 'preshade' => 'd']], 'pins' => [['operation' => 'colour', 'coats' => $coats]]]);
        self::assertSame([], self::said($shaded(2)->plan(), 'preshade-shows'));
        self::assertSame('8 coats of sea grey hide what is under them: it is work nobody sees.', self::said($shaded(8)->plan(), 'preshade-shows')[0]->sentence);
    }

    public function test_dark_before_light_says_what_each_way_costs(): void
    {
        $turned = new Build(['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['a' => ['part' => 'body', 'colour' => 'pale'], 'b' => ['part' => 'body', 'colour' => 'green']], 'edges' => [['a', 'b', 100]], 'orders' => [['first' => 'body/colour/green/1', 'then' => 'body/colour/pale/1']], 'pins' => [['operation' => 'mask', 'present' => false]]]]);

        self::assertMatchesRegularExpression('/Pale grey over the overspray of slate green takes \d coats to hide; slate green over pale grey \d coats\./', self::said($turned->plan(), 'light-then-dark')[0]->sentence);
    }
}
