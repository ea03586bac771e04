<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\TestCase;

/** The rules of reading ahead: each caught, with a fix that settles it and raises no stop. */
final class ReadAheadRulesTest extends TestCase
{
    public function test_gluing_goes_by_the_booklet_unless_a_stronger_rule_turns_it_round(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\nfin, 9, sea grey\nwing, 40, sea grey\nhull + fin, before paint, step 9\nhull + wing, before paint, step 3");
        self::assertSame(['Close hull to wing with thin cement', 'Close hull to fin with thin cement'], self::titles($build->plan(), Operation::Glue));

        // The other way round by the user's own word.
        $build->edit([Edit::add('orders', ['id' => $build->newId(), 'first' => $build->joint('hull to fin').'/glue/all/1', 'then' => $build->joint('hull to wing').'/glue/all/1'])]);
        self::assertSame(['Close hull to fin with thin cement', 'Close hull to wing with thin cement'], self::titles($build->plan(), Operation::Glue));
    }

    public function test_what_the_booklet_calls_out_and_no_piece_has_is_a_stop_that_names_it(): void
    {
        $build = new TypedBuild('part hull, no A1'."\nhull / side, 60, sea grey", "2: A1 sea grey L\n9: B7 sea grey XS x2 called \"mirror base\"");
        [$finding] = $build->says('forgotten-part');

        self::assertSame([Severity::Stop, 'Sea grey: B7 mirror base is on no piece'], [$finding->severity, $finding->title]);
        $build->fix($finding, 'Bring B7 mirror base into the kit');
        self::assertSame(2, $build->kit->partsById[$build->part('mirror base')]->count);
        self::assertSame([], $build->plan()->stops());
    }

    public function test_a_clear_part_on_no_piece_is_told_too(): void
    {
        $build = new TypedBuild("part hull, no A1\nhull / side, 60, sea grey", "2: A1 sea grey L\n9: D1 D2 clear S");
        [$finding] = $build->says('forgotten-part');
        self::assertSame('Clear: D1 and D2 are on no piece', $finding->title);
        $build->fix($finding, 'Bring them into the kit');
        self::assertSame([], $build->says('forgotten-part'));
        self::assertTrue($build->kit->partsById[$build->part('D2')]->isClear());
    }

    public function test_a_part_nobody_gave_a_finish_is_asked_about(): void
    {
        $build = new TypedBuild("part hull, no A1\nhull / side, 60, sea grey\npart cap, no A2\nhull + cap", '2: A1 sea grey L');
        [$finding] = $build->says('forgotten-part');

        self::assertSame('Cap has no finish', $finding->title);
        $build->fix($finding, 'Paint it sea grey, as hull');
        self::assertSame([], $build->says('forgotten-part'));
        self::assertSame($build->colour('sea grey'), $build->kit->areas[1]->intent->colour);
    }

    public function test_a_colour_is_closed_once_all_its_coats_are_on_and_not_with_a_line_unticked(): void
    {
        $build = new TypedBuild("part hull, no A1\nhull / side, 60, sea grey\npart lamp, no A2\nlamp / base, 3, sea grey", "2: A1 sea grey L\nA2 sea grey XS left half");
        $colour = $build->colour('sea grey');
        $close = "{$colour}/close-colour/{$colour}/1";
        self::assertSame(['Close sea grey: go through its list'], self::titles($build->plan(), Operation::CloseColour));
        self::assertGreaterThan(max(array_map(static fn (PlannedStep $p): int => $p->place, array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour))), $build->plan()->left[$close]->place);
        self::assertSame([], $build->says('forgotten-part'), 'nothing is said while it is being sprayed');

        $build->happened(EventKind::Done, $build->area('side'), Operation::CloseColour, $colour, ['stepKey' => $close]);
        [$finding] = $build->says('forgotten-part');
        self::assertSame([Severity::Stop, 'Sea grey is closed without A1 hull, step 2 and A2 lamp, step 2, left half'], [$finding->severity, $finding->title]);
        self::assertArrayNotHasKey($close, $build->plan()->left, 'it was recorded all the same');

        $build->happened(EventKind::Ticked, $build->kit->callouts[0]->id, null, $colour);
        $build->happened(EventKind::Ticked, $build->kit->callouts[1]->id, null, $colour);
        self::assertSame([], $build->says('forgotten-part'));
    }

    public function test_a_part_with_a_hand_is_tried_and_marked_before_glue_and_the_wrong_hand_is_a_stop(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart strut, hand left, slot 3\nstrut / strut, 4, sea grey\nhull + strut, before paint");
        $plan = $build->plan();
        self::assertSame(['Test fit strut (left, slot 3), mark it where it will not show'], self::titles($plan, Operation::TestFit));
        self::assertLessThan(self::first($plan, Operation::Glue)->place, self::first($plan, Operation::TestFit)->place);

        $build->happened(EventKind::Fitted, $build->part('strut'), null, '', ['place' => 'Left, slot 3']);
        self::assertSame([], $build->says('handed-part'), 'it is where it belongs');
        $build->happened(EventKind::Fitted, $build->part('strut'), null, '', ['place' => 'right, slot 3']);
        [$finding] = $build->says('handed-part');
        self::assertSame([Severity::Stop, 'Strut sits in the wrong place'], [$finding->severity, $finding->title]);
        $build->fix($finding, 'Take strut off');
        self::assertSame([], $build->says('handed-part'));
        self::assertContains('Take strut off and fit it left, slot 3', self::titles($build->plan(), Operation::Look));
    }

    public function test_once_everything_is_glued_what_lies_on_the_bench_is_counted(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart blade, x3, hand left\nblade / blade, 6, sea grey\npart spare wheel, x2\nhull + blade, before paint");
        $build->happened(EventKind::Glued, $build->joint('hull to blade'), Operation::Glue);
        self::assertSame('2 parts are left over', $build->says('handed-part')[0]->title, 'one joint stands for all alike');

        $build->happened(EventKind::Fitted, $build->part('blade'), null, '', ['place' => 'left']);
        [$finding] = $build->says('handed-part');
        self::assertSame('Everything is glued, and 2 × blade and 2 × spare wheel was not fitted.', $finding->sentence);
        $build->fix($finding, 'They are spares');
        self::assertSame([], array_filter($build->says('handed-part'), static fn ($f): bool => $f->key === $finding->key));
    }

    public function test_an_alternative_nobody_chose_is_asked_about_and_the_other_is_parked(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart open lid, option hatch=open\nopen lid / lid, 4, sea grey\npart shut lid, option hatch=shut\nshut lid / top, 4, slate green\nhull + open lid\nhull + shut lid");
        [$finding] = $build->says('option-parts');
        self::assertSame('Hatch: open or shut', $finding->title);

        $build->fix($finding, 'Build it shut');
        $plan = $build->plan();
        self::assertSame([], $build->says('option-parts'));
        self::assertSame([$build->part('hull'), $build->part('shut lid')], array_keys($plan->context->kit->partsById));
        self::assertStringNotContainsString('open lid', implode("\n", array_map(static fn (PlannedStep $p): string => Words::where($p->step, $plan->context), $plan->left)));
    }

    public function test_a_piece_nobody_can_hold_wants_a_handle_before_paint(): void
    {
        $build = new TypedBuild("hull, 200, sea grey\npart ball, grip none\nball / ball, 9, sea grey");
        [$finding] = $build->says('handle-first');
        self::assertSame([Severity::Think, 'Ball has no place to hold it by'], [$finding->severity, $finding->title]);
        $build->fix($finding, 'Putty on a stick');
        self::assertSame([], $build->says('handle-first'));
    }

    public function test_too_few_holders_at_one_time_are_counted_with_two_ways_out(): void
    {
        $lines = "hull, 300, sea grey\npart davit, x20\ndavit / davit, 10, sea grey\npart buoy, x9\nbuoy / buoy, 9, sea grey\nhull + davit, superglue, after paint\nhull + buoy, superglue, after paint";
        $build = new TypedBuild($lines);
        [$finding] = $build->says('handle-first');
        self::assertSame('5 sticks too few', $finding->title);
        self::assertStringContainsString('29 sticks are needed at one time, for davit (20) and buoy (9), and there are 24.', $finding->sentence);
        $build->fix($finding, 'Get 5 more');
        self::assertSame([], $build->says('handle-first'));

        $build = new TypedBuild($lines);
        $build->fix($build->says('handle-first')[0], 'Lay davit on a board');
        self::assertSame([], $build->says('handle-first'));
    }

    public function test_a_shows_rules_move_and_remove_steps(): void
    {
        $build = new TypedBuild("hull, 300, sea grey\npart etch, brass, added part\netch / etch, 3, sea grey\npart plinth, base part\nplinth / top, 90, slate green\nhull + etch\nhull + plinth, superglue, after paint");
        foreach (['no-base', 'kit-only', 'photographs'] as $i => $demand) {
            $build->edit([Edit::add('showRules', ['id' => sprintf('01S0000000%016d', $i), 'demand' => $demand])]);
        }
        $plan = $build->plan();

        self::assertSame(['hull'], array_map(static fn ($p): string => $p->name, $plan->context->kit->parts));
        self::assertSame(['Photograph the bare build for the show', 'Photograph the finished build for the show'], self::titles($plan, Operation::Photograph));
        [$bare, $finished] = array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Photograph));
        self::assertLessThan(self::first($plan, Operation::Prime)->place, $bare->place);
        self::assertSame(count($plan->left) - 1, $finished->place, 'last of all');
        self::assertSame(\AmberStep\Core\Kit\Holder::Keel, \AmberStep\Core\Layering\Holding::of($plan->context->breakdown->pieces[0], $plan->context)->holder, 'without a base it has a temporary keel');
    }

    public function test_glue_that_fogs_is_kept_from_panes(): void
    {
        foreach (['superglue' => 1, 'slow cement' => 1, 'thin cement' => 0, 'clear glue' => 0, 'epoxy' => 0] as $glue => $finds) {
            $build = new TypedBuild("hull, 60, sea grey\ncanopy / panes, 8, pane\nsill: canopy + hull, {$glue}");
            self::assertCount($finds, $build->says('clear-no-fog'), $glue);
            if ($finds > 0) {
                $build->fix($build->says('clear-no-fog')[0], 'Glue it with clear glue');
                self::assertSame([], $build->says('clear-no-fog'));
            }
        }
    }

    public function test_hollow_vinyl_is_stuffed_before_it_is_formed_and_an_empty_one_is_a_stop(): void
    {
        $build = new TypedBuild("body, 60, sea grey\npart arm, soft vinyl, hollow\narm / arm, 30, sea grey\nbody + arm, before paint");
        $order = array_values(array_map(static fn (PlannedStep $p): string => $p->step->operation->value, array_filter($build->plan()->left, static fn (PlannedStep $p): bool => in_array($p->step->operation, [Operation::Soften, Operation::Trim, Operation::Stuff, Operation::FitWarm, Operation::Glue], true))));
        self::assertSame(['soften', 'trim', 'stuff', 'fit-warm', 'glue'], $order);
        self::assertSame([], $build->says('vinyl-stuffed'));

        $build->happened(EventKind::Glued, $build->joint('body to arm'), Operation::Glue);
        [$finding] = $build->says('vinyl-stuffed');
        self::assertSame([Severity::Stop, 'Arm is empty'], [$finding->severity, $finding->title]);
        $build->fix($finding, 'Stuff arm through a hole');
        self::assertSame([], $build->says('vinyl-stuffed'));

        $stuffed = new TypedBuild("body, 60, sea grey\npart arm, soft vinyl, hollow\narm / arm, 30, sea grey\nbody + arm, before paint");
        $stuffed->happened(EventKind::Done, $stuffed->part('body'), Operation::Stuff, $stuffed->part('arm'));
        $stuffed->happened(EventKind::Glued, $stuffed->joint('body to arm'), Operation::Glue);
        self::assertSame([], $stuffed->says('vinyl-stuffed'));
    }

    public function test_a_nose_wheel_asks_for_ballast_before_the_hull_is_closed(): void
    {
        $build = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, 18 cm long");
        self::assertSame([], $build->says('ballast'));
        $build->edit([Edit::set('kit', '', 'noseWheel', true)]);
        [$finding] = $build->says('ballast');
        self::assertSame([Severity::Note, 'Weigh it before hull seam is closed'], [$finding->severity, $finding->title]);

        $build->fix($finding, 'Weigh it');
        $plan = $build->plan();
        self::assertLessThan(self::first($plan, Operation::Glue)->startEpoch, self::first($plan, Operation::Look)->startEpoch);
        $build->happened(EventKind::Glued, $build->joint('hull seam'), Operation::Glue);
        self::assertSame([], $build->says('ballast'));
    }

    public function test_a_gun_that_is_out_holds_what_it_sprays_and_says_what_else_can_be_done(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\nfin, 9, sea grey\nfin + hull, before paint");
        $build->edit([Edit::add('outages', ['id' => $build->newId(), 'missing' => 'gun', 'target' => null, 'since' => '2026-03-02T18:50:00Z'])]);
        $plan = $build->plan();
        [$finding] = $build->says('clean-gear');

        self::assertSame('The gun is out of use', $finding->title);
        self::assertStringContainsString('grey primer and sea grey', $finding->sentence);
        self::assertStringContainsString('Meanwhile: Close fin to hull with thin cement', $finding->sentence);
        foreach ($plan->left as $planned) {
            self::assertTrue(! $planned->step->operation->sprays() || $planned->startEpoch >= TypedBuild::NOW - 600 + 86400, 'what it sprays waits a day');
        }
        $build->fix($finding, 'It works again');
        self::assertSame([], $build->says('clean-gear'));
    }

    public function test_a_missing_part_holds_its_piece_and_its_joints_alone(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\nfin, 9, slate green\nfin + hull, after paint, superglue");
        $build->edit([Edit::add('outages', ['id' => $build->newId(), 'missing' => 'part', 'target' => $build->part('fin'), 'since' => '2026-03-02T18:50:00Z'])]);
        [$finding] = $build->says('clean-gear');

        self::assertSame('Fin is missing', $finding->title);
        self::assertSame([], array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->pieceId === $build->part('fin') && $p->startEpoch < TypedBuild::NOW + 80000));
        self::assertSame(TypedBuild::NOW, self::first($build->plan(), Operation::Wash)->startEpoch, 'the hull goes on');
    }

    public function test_what_sticks_out_is_not_glued_on_before_paint(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart aerial, fragile\naerial / rod, 1, sea grey\nhull + aerial, before paint");
        [$finding] = $build->says('fragile-last');
        self::assertSame('Aerial sticks out while the rest is painted', $finding->title);
        $build->fix($finding, 'Paint aerial apart');
        self::assertSame([], $build->says('fragile-last'));
    }

    public function test_an_open_grille_over_bare_plastic_gets_dark_behind_it_before_it_is_closed(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart grille, brass, no E1\ngrille / mesh, 3, sea grey\nhull + grille", '5: E1 sea grey S lets light');
        [$finding] = $build->says('hidden-light');
        self::assertSame('Light comes through grille', $finding->title);
        $build->fix($finding, 'Paint it dark behind grille');
        self::assertSame([], $build->says('hidden-light'));
        self::assertSame([], $build->plan()->stops());
        $plan = $build->plan();
        $dark = array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour && str_contains(Words::title($p->step, $plan->context), 'interior dark')))[0] ?? null;
        self::assertNotNull($dark);
        self::assertLessThan(self::first($plan, Operation::Attach)->place, $dark->place);
    }

    public function test_cement_on_metal_is_a_stop_and_a_new_joint_gets_a_glue_that_holds(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\npart jib, aluminium\njib / jib, 9, sea grey\nfoot: hull + jib, thin cement");
        [$finding] = $build->says('glue-fits');
        self::assertSame([Severity::Stop, 'Thin cement does not hold foot'], [$finding->severity, $finding->title]);
        $build->fix($finding, 'Glue it with superglue');
        self::assertSame([], $build->plan()->stops());

        $unsaid = new TypedBuild("hull, 60, sea grey\npart jib, aluminium\njib / jib, 9, sea grey\nfoot: hull + jib, carries load");
        self::assertSame('epoxy', $unsaid->kit->joints[0]->glue->value);
    }

    public function test_paint_in_a_joint_is_scraped_before_cement(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\nfin, 9, slate green\nfoot: hull + fin, after paint, thin cement");
        self::assertNotSame([], self::titles($build->plan(), Operation::MaskFaces), 'the faces are plugged');
        foreach (['hull', 'fin'] as $area) {
            foreach ([1, 2] as $_) {
                $build->happened(EventKind::Done, $build->area($area), Operation::Prime, 'all', ['product' => $build->shelf->products[0]->id]);
            }
        }
        self::assertNotSame([], self::titles($build->plan(), Operation::Scrape), 'painted unplugged, they are scraped');
    }

    /** @return list<string> titles of an operation, in the plan's order */
    private static function titles(Plan $plan, Operation $operation): array
    {
        return array_values(array_map(static fn (PlannedStep $p): string => Words::title($p->step, $plan->context), array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation === $operation)));
    }

    private static function first(Plan $plan, Operation $operation): PlannedStep
    {
        foreach ($plan->byTime() as $planned) {
            if ($planned->step->operation === $operation) {
                return $planned;
            }
        }
        self::fail("no {$operation->value} is planned");
    }
}
