<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Subject;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Piece;
use AmberStep\Core\Kit\Proposed;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Subject\Begun;
use AmberStep\Core\Subject\Kind;
use AmberStep\Core\Subject\Proposal;
use AmberStep\Core\Subject\Question;
use AmberStep\Core\Subject\Questions;
use AmberStep\Core\Tests\Support\Assembly;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Deeds;
use AmberStep\Core\Timing\Calendar;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ten subjects at three sizes and two scales: their lines are read, their plans stand, and what they propose can be built. */
final class SubjectTest extends TestCase
{
    /** @return iterable<string, array{Kind}> */
    public static function kinds(): iterable
    {
        foreach (Kind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    private static Shelf $shelf;

    private static function begun(Kind $kind, float $scale, float $length, string $looks = ''): Kit
    {
        $n = 0;
        $newId = static function () use (&$n): string {
            return sprintf('01M%023d', ++$n);
        };
        $shelf = (new Build(['kit' => ['parts' => ['x' => 'styrene']]]))->shelf;
        $proposal = new Proposal($kind, $scale, $length, null, $looks, $shelf);
        $missing = $proposal->paints(Family::WaterAcrylic, $newId);

        self::$shelf = new Shelf([...$shelf->products, ...$missing]);

        return Begun::kit($proposal, new Kit('Subject', '', $scale, new DateTimeZone('UTC'), []), self::$shelf, $newId);
    }

    /** With all paints it wants on the shelf. */
    private static function plan(Kit $kit): Plan
    {
        $now = 1772478000;

        return Plan::compile($kit, new HouseRules, self::$shelf, [], (new Build(['kit' => ['parts' => ['x' => 'styrene']]]))->roomAt($now), Calendar::usual(new DateTimeZone('UTC')), $now);
    }

    /** As the simulator of assembly wants it: in names. */
    private static function inNames(Kit $kit): array
    {
        $part = static fn (string $id): string => $kit->partsById[$id]->name;
        $parts = $joints = $areas = [];
        foreach ($kit->parts as $one) {
            $parts[$one->name] = ['substrate' => $one->substrate->value, 'inside' => $one->inside === null ? null : $part($one->inside)];
        }
        foreach ($kit->joints as $one) {
            $joints[$one->name] = ['parts' => array_map($part, $one->parts), 'glue' => $one->glue->value, 'carriesLoad' => $one->carriesLoad, 'blocks' => array_map(static fn (string $a): string => $kit->areasById[$a]->name, $one->blocks)];
        }
        foreach ($kit->areas as $one) {
            $areas[$one->name] = ['part' => $part($one->part), 'face' => $one->face->value, 'cm2' => $one->cm2()];
        }

        return ['parts' => $parts, 'joints' => $joints, 'areas' => $areas];
    }

    #[DataProvider('kinds')]
    public function test_it_gives_a_plan_without_a_stop_that_can_be_built(Kind $kind): void
    {
        foreach ([72.0, 35.0] as $scale) {
            foreach ([60.0, 140.0, 320.0] as $length) {
                $kit = self::begun($kind, $scale, $length);
                $plan = self::plan($kit);
                $where = "{$kind->value}, 1/{$scale}, {$length} mm";
                self::assertSame([], array_map(static fn (Finding $f): string => $f->title, $plan->stops()), $where);
                self::assertGreaterThan(30, count($plan->left), $where);
                self::assertSame([], (new Assembly(self::inNames($kit)))->build(Deeds::of($plan)), $where);
            }
        }
    }

    private static function cm2(Kit $kit, string $name = '', Face $face = Face::Outside): float
    {
        return array_sum(array_map(static fn (Area $a): float => $a->face === $face && ($name === '' || str_contains($a->name, $name)) ? $a->cm2() : 0.0, $kit->areas));
    }

    public function test_areas_are_within_fifteen_per_cent_of_a_formula_of_another_kind(): void
    {
        $near = static fn (float $expected, float $got, string $what): mixed => self::assertEqualsWithDelta($expected, $got, 0.15 * $expected, $what);
        $l = 200.0;
        $plane = self::begun(Kind::Propeller, 48, $l, 'sea grey and slate green over pale grey');
        // A fuselage as a spindle: a circle of 24 mm that swells and tapers as a parabola, turned round its axis in 2000 slices.
        $spindle = 0.0;
        for ($i = 0; $i < 2000; $i++) {
            $x = ($i + 0.5) / 2000;
            $r = static fn (float $at): float => 0.06 * $l * sqrt(max(0.0, 1 - (2 * $at - 1) ** 2));
            $spindle += 2 * M_PI * $r($x) * hypot($l / 2000, $r($x + 0.00025) - $r($x - 0.00025));
        }
        $near($spindle / 100, self::cm2($plane, 'fuselage'), 'fuselage');
        // A wing that tapers by half from root to tip, in strips; both halves, one face.
        $chord = 240 / 6;
        $wing = 0.0;
        for ($i = 0; $i < 1000; $i++) {
            $wing += 2 * (120 / 1000) * $chord * (4 / 3 - 2 / 3 * ($i + 0.5) / 1000);
        }
        $near($wing / 100, self::cm2($plane, 'wing top'), 'wing top');
        $near($wing / 100, self::cm2($plane, 'wing underside'), 'wing underside');

        // A hull whose waterlines are parabolas, in 2000 sections of flat bottom and upright sides.
        $ship = self::begun(Kind::Ship, 200, $l);
        [$beam, $deep] = [0.14 * $l, 0.8 * 0.14 * $l];
        $hull = 0.0;
        for ($i = 0; $i < 2000; $i++) {
            $x = 2 * ($i + 0.5) / 2000 - 1;
            $slope = 2 * $beam / $l * $x;
            $hull += ($beam * (1 - $x * $x) * 0.8 + 2 * $deep * 0.85 * sqrt(1 + $slope ** 2)) * $l / 2000;
        }
        $near($hull / 100, self::cm2($ship, 'hull '), 'hull');

        // A car as a box for the body and a box for the cabin, less a fifth for windows and arches.
        $car = self::begun(Kind::Car, 24, $l, 'red');
        [$w, $h] = [0.4 * $l, 0.32 * $l];
        $boxes = $l * $w + 2 * 0.55 * $h * ($l + $w) + 2 * 0.45 * $h * (0.55 * $l + 0.85 * $w);
        $near(0.8 * $boxes / 100, self::cm2($car, 'body sides') + self::cm2($car, 'bonnet'), 'car body');

        // A grown person has 1.9 m² at 1.8 m (a clothed one a little more).
        $figure = self::begun(Kind::Figure, 24, 75);
        $near(19000 * (75 / 1800) ** 2 * 1.08, self::cm2($figure) - self::cm2($figure, 'hair'), 'figure');

        // A tracked hull as a lower tub without a lid and an upper box without a floor.
        $tank = self::begun(Kind::Tracked, 35, $l, 'sand');
        [$tw, $th] = [0.45 * $l, 0.33 * $l];
        $near(($l * $tw + 2 * 0.55 * $th * ($l + $tw)) * 0.72 / 100, self::cm2($tank, 'upper hull'), 'upper hull');

        // Legs of a walker as rods of eight flat sides.
        $walker = self::begun(Kind::Walker, 72, $l, 'sea grey');
        $near(2 * 8 * 0.16 * 0.6 * $l * tan(M_PI / 8) * 0.5 * $l * 0.7 / 100, self::cm2($walker, 'leg plates'), 'legs');
    }

    /** @return array<string, list<string>> paints of the areas whose names hold a word */
    private static function paints(Kit $kit): array
    {
        $on = [];
        foreach ($kit->areas as $area) {
            $on[$area->name][] = $kit->colour($area->intent->colour)?->name ?? 'bare';
        }

        return array_map(array_unique(...), $on);
    }

    public function test_words_say_which_colour_goes_where(): void
    {
        $plane = self::begun(Kind::Propeller, 72, 150, 'Sea grey and slate green over pale grey; yellow bands, no decals, wash, satin');
        $paints = self::paints($plane);
        self::assertSame([['sea grey'], ['slate green'], ['pale grey'], ['pale grey'], ['yellow']], [$paints['upper fuselage in sea grey'], $paints['wing top in slate green'], $paints['lower fuselage'], $paints['wing underside'], $paints['wing bands']]);
        $top = array_values(array_filter($plane->areas, static fn (Area $a): bool => $a->name === 'wing top in sea grey'))[0];
        self::assertSame([false, 'pin', 'satin'], [$top->intent->decals, $top->intent->wash?->value, $top->intent->sheen?->value]);
        $band = array_values(array_filter($plane->areas, static fn (Area $a): bool => $a->name === 'wing bands'))[0];
        self::assertSame('ground white', $plane->colour($band->intent->ground)?->name, 'yellow hides badly');
        $frame = array_values(array_filter($plane->areas, static fn (Area $a): bool => $a->name === 'canopy frame'))[0];
        self::assertNull($frame->intent->wash, 'nobody runs a wash along panes');
        self::assertSame(['Airframe', 'Canopy', 'Propeller', 'Legs', 'Wheels'], array_map(static fn (Piece $p): string => $p->name, (new Breakdown($plane, new HouseRules))->pieces));

        $car = self::begun(Kind::Car, 24, 170, 'bronze over silver, cream roof, 2K clear, polish');
        $body = array_values(array_filter($car->areas, static fn (Area $a): bool => $a->name === 'body sides'))[0];
        self::assertSame(['bronze', 'silver', 'gloss', true], [$car->colour($body->intent->colour)?->name, $car->colour($body->intent->ground)?->name, $body->intent->sheen?->value, $body->intent->polish]);
        self::assertSame(['cream'], self::paints($car)['roof']);

        $walker = self::begun(Kind::Walker, 144, 90, 'sea grey and slate green and pale grey mosaic, red trim');
        self::assertCount(3, array_filter($walker->areas, static fn (Area $a): bool => str_starts_with($a->name, 'body in ')));
        self::assertSame(['red'], self::paints($walker)['visor rim']);
    }

    public function test_a_paint_nobody_has_is_said_with_a_swatch_of_its_words(): void
    {
        $proposal = new Proposal(Kind::Tracked, 35, 200, null, 'dark olive green and heron blue, turquoise tools', new Shelf([]));

        self::assertSame(['#2F402C', '#3B5C8C', '#3F9AA0'], array_map(static fn (string $name): string => $proposal->missing[$name]['swatch'], ['Dark Olive Green', 'Heron Blue', 'Turquoise']));
        self::assertStringContainsString('colour dark olive green = "Dark Olive Green"', $proposal->lines);
        self::assertSame([], self::plan(self::begun(Kind::Tracked, 35, 200, 'dark olive green and heron blue'))->stops());
    }

    public function test_each_area_has_its_sum_and_all_is_proposed_until_it_is_touched(): void
    {
        $kit = self::begun(Kind::Glider, 48, 150);
        $standing = static fn (Kit $k): int => count(array_filter($k->proposed, static fn (Proposed $p): bool => $p->stands($k)));
        $all = count($kit->parts) + count($kit->joints) + count($kit->areas);
        self::assertSame($all, $standing($kit));
        $wing = array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->name === 'wing underside'))[0];
        $sums = array_column($kit->proposed, 'sum', 'of');
        // Span 315, sixteen times the chord: 2 × 157.5 × 19.69 mm.
        self::assertSame('wing face: 2 × half span 158 × mean chord 20 mm', $sums[$wing->id]);
        self::assertEqualsWithDelta(2 * 157.5 * 19.6875 / 100, $wing->cm2(), 0.5);

        [$touched, $back] = $kit->applyWithInverse([Edit::set('areas', $wing->id, 'cm2', 70)]);
        self::assertSame($all - 1, $standing($touched));
        self::assertSame($all, $standing($touched->apply($back)), 'taken back it is as proposed again');
    }

    public function test_what_changes_most_is_asked_once_and_each_answer_gives_a_plan(): void
    {
        foreach (Kind::cases() as $kind) {
            $kit = self::begun($kind, 48, 150);
            $questions = Questions::open($kit);
            self::assertLessThanOrEqual(5, count($questions));
            self::assertNotSame([], $questions);
            foreach ($questions as $question) {
                foreach ($question->answers as $i => $answer) {
                    $answered = $kit->apply($answer->edits);
                    self::assertCount(count($questions) - 1, Questions::open($answered), $question->asks);
                    $plan = self::plan($answered);
                    self::assertSame([], array_map(static fn (Finding $f): string => $f->title, $plan->stops()), "{$kind->value}: {$question->asks} {$answer->title}");
                    if ($i === 0) {
                        self::assertSame(self::done(self::plan($kit)), self::done($plan), 'the first answer leaves it as it is');
                    } else {
                        self::assertNotSame(self::done(self::plan($kit)), self::done($plan), "{$kind->value}: {$question->asks} {$answer->title} changes nothing");
                    }
                }
            }
        }
        self::assertContains('How does the Cockpit tub come in?', array_map(static fn (Question $q): string => $q->asks, Questions::open(self::begun(Kind::Propeller, 48, 150))));
    }

    /** @return list<string> */
    private static function done(Plan $plan): array
    {
        return array_map(static fn ($p): string => $p->step->key.' '.($p->step->product->id ?? ''), $plan->byTime());
    }

    public function test_a_size_that_is_none_is_refused(): void
    {
        foreach ([[4.0, null, 'length'], [150.0, 4000.0, 'width']] as [$length, $width, $which]) {
            try {
                new Proposal(Kind::Jet, 72, $length, $width, '', new Shelf([]));
                self::fail('it was taken');
            } catch (BadDocument $bad) {
                self::assertSame($which, $bad->problems[0]->path);
            }
        }
    }
}
