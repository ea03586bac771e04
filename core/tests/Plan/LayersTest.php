<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From intent to layers: what is laid on each area, with what, in how many coats. */
final class LayersTest extends TestCase
{
    /** @param  array<string, mixed>  $area */
    private static function build(array $area, array $more = []): Build
    {
        return new Build(array_replace_recursive(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark', 'white' => 'ground white', 'brown' => 'enamel brown', 'red' => 'lacquer red', 'bronze' => 'lacquer bronze', 'yellow' => 'band yellow'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 30, ...$area]]]], $more));
    }

    /** @return list<string> "operation product ×coats", in order */
    private static function layers(Plan $plan): array
    {
        $layers = [];
        foreach ($plan->left as $planned) {
            $step = $planned->step;
            if ($step->operation->leavesLayer() || $step->operation === Operation::Decal || $step->operation === Operation::Polish) {
                $layers[$step->stage()] = trim($step->operation->value.' '.($step->product->name ?? '')).' ×'.$step->of;
            }
        }

        return array_values($layers);
    }

    /**
     * @param  array<string, mixed>  $area
     * @param  list<string>  $expected
     * @param  array<string, mixed>  $house
     */
    #[DataProvider('intents')]
    public function test_an_intent_becomes_layers(array $area, array $expected, array $house = []): void
    {
        $plan = self::build($area, ['house' => $house])->plan();

        self::assertSame($expected, self::layers($plan));
        self::assertSame([], array_filter($plan->findings, static fn ($f): bool => $f->severity === Severity::Stop));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: list<string>, 2?: array<string, mixed>}> */
    public static function intents(): iterable
    {
        yield 'a colour' => [['colour' => 'grey'], ['prime grey primer ×2', 'colour sea grey ×2']];
        yield 'a weak colour' => [['colour' => 'yellow'], ['prime grey primer ×2', 'colour band yellow ×8']];
        yield 'on a ground' => [['colour' => 'yellow', 'ground' => 'white'], ['prime grey primer ×2', 'ground ground white ×2', 'colour band yellow ×6']];
        yield 'pre-shaded' => [['colour' => 'grey', 'preshade' => 'dark'], ['prime grey primer ×2', 'preshade interior dark ×1', 'colour sea grey ×2']];
        yield 'in another sheen' => [['colour' => 'grey', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'final matt varnish ×2']];
        yield 'in its own sheen' => [['colour' => 'grey', 'sheen' => 'satin'], ['prime grey primer ×2', 'colour sea grey ×2']];
        yield 'with decals' => [['colour' => 'grey', 'decals' => true, 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'gloss gloss varnish ×2', 'decal ×1', 'final matt varnish ×2']];
        yield 'with decals and a wash' => [['colour' => 'grey', 'decals' => true, 'wash' => 'pin', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'gloss gloss varnish ×2', 'decal ×1', 'seal gloss varnish ×1', 'pin-wash oil umber ×1', 'final matt varnish ×2']];
        yield 'with a filter' => [['colour' => 'grey', 'wash' => 'filter', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'barrier satin varnish ×1', 'filter oil umber ×1', 'final matt varnish ×2'], ['barrier' => 'satin']];
        yield 'a filter without a barrier' => [['colour' => 'grey', 'wash' => 'filter', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'filter oil umber ×1', 'final matt varnish ×2'], ['barrier' => 'none']];
        yield 'a filter never on gloss' => [['colour' => 'grey', 'wash' => 'filter', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'barrier satin varnish ×1', 'filter oil umber ×1', 'final matt varnish ×2']];
        yield 'a pin wash on satin' => [['colour' => 'grey', 'wash' => 'pin', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour sea grey ×2', 'barrier satin varnish ×1', 'pin-wash oil umber ×1', 'final matt varnish ×2'], ['barrier' => 'satin']];
        yield 'enamel keeps its barrier whatever the house says' => [['colour' => 'brown', 'wash' => 'filter', 'sheen' => 'matt'], ['prime grey primer ×2', 'colour enamel brown ×2', 'barrier satin varnish ×1', 'filter oil umber ×1', 'final matt varnish ×2'], ['barrier' => 'none']];
        yield 'a metallic on a primer of its kind' => [['colour' => 'bronze', 'sheen' => 'gloss', 'polish' => true], ['prime lacquer primer ×2', 'colour lacquer bronze ×2', 'final gloss varnish ×4', 'polish ×1']];
        yield 'lacquer never over polymer primer where there is another' => [['colour' => 'red'], ['prime lacquer primer ×2', 'colour lacquer red ×2']];
        yield 'no primer by house rule' => [['colour' => 'grey'], ['colour sea grey ×2'], ['primer' => 'never']];
    }

    public function test_lacquer_over_polymer_primer_is_laid_in_mists_and_one_more(): void
    {
        $build = self::build(['colour' => 'red'], ['without' => ['lacquer primer']]);
        $coats = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour));

        self::assertSame(['mist', 'mist', 'mist'], array_map(static fn (PlannedStep $p): ?string => $p->step->coatKind?->value, $coats));
    }

    #[DataProvider('materials')]
    public function test_the_primer_follows_the_material(string $substrate, string $primer): void
    {
        $build = self::build(['colour' => 'grey'], ['kit' => ['parts' => ['hull' => $substrate]], 'house' => ['primer' => 'where-needed']]);
        $layers = self::layers($build->plan());

        self::assertSame($primer, explode(' ×', $layers[0])[0]);
    }

    /** @return iterable<array{string, string}> */
    public static function materials(): iterable
    {
        yield ['styrene', 'colour sea grey'];
        yield ['brass', 'prime lacquer primer'];
        yield ['aluminium', 'prime lacquer primer'];
        yield ['white-metal', 'prime lacquer primer'];
        yield ['petg', 'prime lacquer primer'];
        yield ['acrylic-sheet', 'prime lacquer primer'];
        yield ['resin', 'prime grey primer'];
        yield ['printed', 'prime grey primer'];
    }

    public function test_an_empty_shelf_is_planned_for_with_the_trades_usual(): void
    {
        $build = self::build(['colour' => 'grey', 'decals' => true, 'sheen' => 'matt'], ['without' => ['grey primer', 'lacquer primer', 'gloss varnish', 'matt varnish', 'satin varnish', 'two-part clear']]);

        self::assertSame(['prime any polymer primer ×2', 'colour sea grey ×2', 'gloss any gloss water acrylic varnish ×2', 'decal ×1', 'final any matt water acrylic varnish ×2'], self::layers($build->plan()));
    }

    /** @param  array<string, mixed>  $pin */
    #[DataProvider('pins')]
    public function test_a_pin_has_the_last_word(array $pin, string $layer): void
    {
        $build = self::build(['colour' => 'grey', 'decals' => true, 'sheen' => 'matt'], ['kit' => ['pins' => [$pin]]]);

        self::assertContains($layer, self::layers($build->plan()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function pins(): iterable
    {
        yield 'coats' => [['operation' => 'colour', 'target' => 'side', 'coats' => 5], 'colour sea grey ×5'];
        yield 'product' => [['operation' => 'gloss', 'target' => 'hull', 'product' => 'two-part clear'], 'gloss two-part clear ×2'];
        yield 'everywhere' => [['operation' => 'final', 'coats' => 1], 'final matt varnish ×1'];
        yield 'primer product' => [['operation' => 'prime', 'product' => 'lacquer primer'], 'prime lacquer primer ×2'];
    }

    public function test_areas_of_one_piece_and_colour_are_sprayed_together(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['a' => ['part' => 'hull', 'colour' => 'grey'], 'b' => ['part' => 'hull', 'colour' => 'grey']]]]);
        foreach ($build->plan()->left as $planned) {
            if ($planned->step->operation === Operation::Colour) {
                self::assertSame([$build->id('a'), $build->id('b')], $planned->step->targets);
            }
        }
    }

    public function test_what_one_area_has_already_is_left_to_the_other(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['a' => ['part' => 'hull', 'colour' => 'grey'], 'b' => ['part' => 'hull', 'colour' => 'grey']]], 'house' => ['primer' => 'never'], 'log' => [['at' => '18:00', 'do' => 'colour', 'on' => ['a'], 'for' => 'grey', 'with' => 'sea grey']]]);
        $first = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour))[0];

        self::assertSame([[$build->id('b')], 1], [$first->step->targets, $first->step->n]);
    }
}
