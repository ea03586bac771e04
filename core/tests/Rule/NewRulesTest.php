<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Layering\MouldedColour;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** The fine points of the rules of grounds, washes, masks, film and tests: figures, boundaries, and what a fix does. */
final class NewRulesTest extends TestCase
{
    /** @param  list<string>  $expected  what the fixes are called */
    #[DataProvider('fixes')]
    public function test_each_fix_settles_its_finding_and_stops_nothing(string $rule, array $expected): void
    {
        $build = new Build(Yaml::parseFile(__DIR__."/../scenarios/rules/{$rule}.yaml")['shows']);
        $before = $build->plan();
        $finding = $this->finding($rule, $before);

        self::assertSame($expected, array_map(static fn (Fix $f): string => $f->title, $finding->fixes));
        foreach ($finding->fixes as $fix) {
            $after = $build->plan($build->kit->apply($fix->edits));
            self::assertNotContains($finding->key, array_column($after->findings, 'key'), "{$fix->title}: still there");
            self::assertSame([], MistakesTest::newStops($before, $after), "{$fix->title}: new stops");
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function fixes(): iterable
    {
        yield 'coarse primer' => ['coarse-primer-cut', ['Cut it with P800 first']];
        yield 'dye' => ['plastic-bleeds', ['Pale grey under it', 'Try roof cream on the sprue first, and look after a week']];
        yield 'vinyl' => ['vinyl-touches', ['Bag tyre apart until fitted']];
        yield 'masked in the warm' => ['mask-in-heat', ['Let it dry in the room']];
        yield 'putty on lacquer' => ['mask-reacts', ['Try rolled putty on a painted spoon overnight', 'Paper tape instead']];
        yield 'wrong thinner' => ['thinner-fits', ['Throw that mix away; thin sea grey with own thinner, water below half of it']];
        yield 'wet primer' => ['primer-on-coloured-plastic', ['Prime in thin coats']];
        yield 'wet first coat' => ['first-coat-mist', ['Begin with a mist']];
        yield 'lost pre-shade' => ['preshade-shows', ['Leave it out there']];
        yield 'never tried' => ['test-first', ['Try alcohol sand on the sprue of the soft vinyl']];
        yield 'test on paper' => ['test-surface', ['On a spoon', 'On spare plastic']];
        yield 'light' => ['hidden-light', ['Paint it dark behind grille before engine deck is closed']];
        yield 'edge' => ['edge-fits-scale', ['Make it soft']];
    }

    #[DataProvider('moulded')]
    public function test_which_plastic_is_strongly_coloured(string $swatch, bool $strong): void
    {
        self::assertSame($strong, MouldedColour::isStrong($swatch));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function moulded(): iterable
    {
        foreach (['#B01A20' => true, '#2B4C8C' => false, '#1F3FA8' => true, '#C9C9C6' => false, '#232325' => false, '#E8BE28' => true, '#C8B084' => false, '#F2F1EC' => false, '#0E7A2E' => false, '#D8641E' => true] as $swatch => $strong) {
            yield $swatch => [$swatch, $strong];
        }
        yield 'none' => ['', false];
    }

    #[DataProvider('pale')]
    public function test_in_which_colours_a_dye_shows(string $swatch, bool $pale): void
    {
        self::assertSame($pale, MouldedColour::isPale(new Product('01K00000000000000000000001', 'x', '', Family::Lacquer, Role::Colour, $swatch)));
    }

    /** @return iterable<string, array{string, bool}> handbook 2: white, cream, yellow, pink */
    public static function pale(): iterable
    {
        foreach (['white' => '#F5F5F0', 'cream' => '#EFE3C0', 'yellow' => '#F0C41E', 'pink' => '#DCA5A0'] as $name => $swatch) {
            yield $name => [$swatch, true];
        }
        foreach (['pale grey, blue in it' => '#C3CDD0', 'sea grey' => '#7C96A3', 'sand' => '#A88A58', 'red' => '#BE1E23', 'light green' => '#B8E0B0'] as $name => $swatch) {
            yield $name => [$swatch, false];
        }
    }

    /** @param  list<Liquid>  $takes */
    #[DataProvider('thinners')]
    public function test_each_family_takes_its_own_thinners(Family $family, array $takes): void
    {
        self::assertSame($takes, $family->thinners());
    }

    /** @return iterable<string, array{Family, list<Liquid>}> handbook 2, Paint families */
    public static function thinners(): iterable
    {
        yield 'water acrylic curdles in alcohol' => [Family::WaterAcrylic, [Liquid::WaterAcrylic]];
        yield 'polymer primer' => [Family::PolymerPrimer, [Liquid::WaterAcrylic]];
        yield 'alcohol acrylic, lacquer thinner for gloss' => [Family::AlcoholAcrylic, [Liquid::AlcoholAcrylic, Liquid::Lacquer]];
        yield 'lacquer' => [Family::Lacquer, [Liquid::Lacquer]];
        yield 'enamel' => [Family::Enamel, [Liquid::WhiteSpirit]];
        yield 'two-part, by its label' => [Family::TwoPart, [Liquid::TwoPart]];
        yield 'oil' => [Family::ArtistOil, [Liquid::WhiteSpirit]];
    }

    #[DataProvider('films')]
    public function test_film_is_summed_and_judged_at_its_two_limits(int $coats, ?string $severity, float $microns): void
    {
        // Primer 2 x 10 µm; enamel: a mist of 6, then 12 µm a coat.
        $plan = (new Build(['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['brown' => 'enamel brown'], 'areas' => ['roof' => ['part' => 'body', 'cm2' => 40, 'colour' => 'brown']], 'pins' => [['operation' => 'colour', 'coats' => $coats]]]]))->plan();
        $found = array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'film-budget'));

        self::assertSame($severity, $found === [] ? null : $found[0]->severity->value);
        if ($found !== []) {
            self::assertStringContainsString(sprintf('%.0f µm', $microns), $found[0]->title);
        }
    }

    /** @return iterable<string, array{int, string|null, float}> */
    public static function films(): iterable
    {
        yield '98 µm is inside' => [7, null, 98];
        yield '110 µm is just inside' => [8, null, 110];
        yield '122 µm is worth a note' => [9, 'note', 122];
        yield '134 µm is worth a note' => [10, 'note', 134];
        yield '146 µm is to think about' => [11, 'think', 146];
    }

    public function test_a_film_too_thick_offers_the_coats_that_bring_it_back(): void
    {
        $build = new Build(['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['brown' => 'enamel brown'], 'areas' => ['roof' => ['part' => 'body', 'cm2' => 40, 'colour' => 'brown']], 'pins' => [['operation' => 'colour', 'coats' => 11]]]]);
        $fix = $this->finding('film-budget', $build->plan())->fixes[0];

        self::assertSame('Enamel brown in 8 coats', ucfirst($fix->title));
        self::assertSame([], array_filter($build->plan($build->kit->apply($fix->edits))->findings, static fn (Finding $f): bool => $f->rule === 'film-budget'));
    }

    #[DataProvider('edges')]
    public function test_an_edge_is_measured_on_the_subject(float $softMm, string $kind, ?string $title): void
    {
        $plan = (new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'green' => 'slate green'], 'areas' => ['a' => ['part' => 'hull', 'colour' => 'grey'], 'b' => ['part' => 'hull', 'colour' => 'green']], 'edges' => [['a', 'b', 100, $kind, 'flat', ['softMm' => $softMm]]]]]))->plan();
        $found = array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'edge-fits-scale'));

        self::assertSame($title, $found === [] ? null : $found[0]->title);
    }

    /** @return iterable<string, array{float, string, string|null}> at 1/72 */
    public static function edges(): iterable
    {
        yield '2 mm is 144 mm: as a gun makes it' => [2, 'soft', null];
        yield '3 mm is 216 mm' => [3, 'soft', '3 mm soft is 216 mm on the subject'];
        yield 'feathered too' => [5, 'feathered', '5 mm soft is 360 mm on the subject'];
        yield 'a hard edge has no width' => [5, 'hard', null];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('media')]
    public function test_which_mask_is_tried_first_on_which_paint(string $medium, string $paint, ?string $why, array $more = []): void
    {
        $plan = (new Build(['house' => ['primer' => 'never'], 'kit' => [
            'parts' => ['hull' => 'styrene'], 'colours' => ['first' => $paint, 'dark' => 'interior dark'],
            'areas' => ['a' => ['part' => 'hull', 'colour' => 'first'], 'b' => ['part' => 'hull', 'colour' => 'dark']], 'edges' => [['a', 'b', 100, 'hard']],
            'pins' => [['operation' => 'mask', 'medium' => $medium]],
        ], ...$more]))->plan();
        $found = array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'mask-reacts'));

        $why === null ? self::assertSame([], $found) : self::assertStringContainsString($why, $found[0]->sentence ?? '');
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string|null, 3?: array<string, mixed>}> */
    public static function media(): iterable
    {
        yield 'putty on water acrylic is well' => ['putty', 'pale grey', null];
        yield 'putty on alcohol acrylic is well' => ['putty', 'alcohol sand', null];
        yield 'putty on lacquer' => ['putty', 'lacquer red', 'leave oil'];
        yield 'putty on enamel' => ['putty', 'enamel brown', 'leave oil'];
        yield 'rubber cement on lacquer' => ['rubber-cement', 'lacquer red', 'leave oil'];
        yield 'liquid mask on acrylic that is young' => ['liquid-mask', 'pale grey', 'dulls young acrylic'];
        yield 'liquid mask on lacquer' => ['liquid-mask', 'lacquer red', null];
        yield 'paper tape on anything' => ['paper-tape', 'lacquer red', null];
        yield 'putty on a lacquer it was tried on' => ['putty', 'lacquer red', null, ['shelf' => ['lacquer red' => ['lacquer', 'colour', '#BE1E23', ['sheen' => 'gloss', 'triedOn' => ['putty']]]]]];
    }

    public function test_the_compiler_takes_a_fine_primer_before_a_coarse_one(): void
    {
        $shelf = ['coarse' => ['solvent-primer', 'primer', '#888888', ['grade' => 500, 'bites' => true]]];
        $kit = ['parts' => ['hull' => 'styrene'], 'colours' => ['red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'red']]];
        $with = (new Build(['shelf' => $shelf, 'kit' => $kit]))->plan();
        $without = (new Build(['shelf' => $shelf, 'without' => ['grey primer', 'lacquer primer'], 'kit' => $kit]))->plan();

        self::assertContains('Prime with lacquer primer, first coat', $this->titles($with));
        self::assertContains('Prime with coarse, first coat', $this->titles($without), 'where the shelf holds nothing finer');
    }

    public function test_sanding_put_in_before_a_colour_comes_after_the_primer_it_cuts(): void
    {
        $plan = (new Build(Yaml::parseFile(__DIR__.'/../scenarios/rules/coarse-primer-cut.yaml')['silent']))->plan();
        $times = array_column(array_map(static fn (PlannedStep $p): array => [Words::title($p->step, $plan->context), $p->startEpoch], $plan->left), 1, 0);

        self::assertGreaterThan($times['Prime with surfacer 500, second coat'], $times['Cut it with P800']);
        self::assertLessThan($times['Spray red, first mist coat'], $times['Cut it with P800']);
    }

    public function test_nobody_sands_while_paint_elsewhere_is_tacky(): void
    {
        foreach (range(501, 515) as $seed) {
            $plan = (new Build((new \AmberStep\Core\Tests\Support\RandomBuild($seed))->said()))->plan();
            foreach ($plan->byTime() as $planned) {
                foreach ($planned->step->operation->sands() ? $planned->holds : [] as $hold) {
                    self::assertFalse($hold->rule === 'dust' && $hold->covers($planned->startEpoch), "seed {$seed}: {$planned->step->key}");
                }
            }
        }
        self::assertTrue(true);
    }

    private function finding(string $rule, Plan $plan): Finding
    {
        foreach ($plan->findings as $finding) {
            if ($finding->rule === $rule) {
                return $finding;
            }
        }
        self::fail("{$rule} says nothing");
    }

    /** @return list<string> */
    private function titles(Plan $plan): array
    {
        return array_values(array_map(static fn (PlannedStep $p): string => Words::title($p->step, $plan->context), $plan->left));
    }
}
