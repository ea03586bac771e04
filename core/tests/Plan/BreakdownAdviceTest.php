<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Layering\HolderNeed;
use AmberStep\Core\Layering\Holding;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\JointAdvice;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the core proposes: which joints close when and why, what a piece is held by and where, what is parked. */
final class BreakdownAdviceTest extends TestCase
{
    private const HULL = "hull, 300, sea grey\n";

    #[DataProvider('held')]
    public function test_a_piece_is_held_where_it_will_not_show(string $lines, string $part, ?Holder $holder, string $where, int $pieces): void
    {
        $build = new TypedBuild(self::HULL.$lines);
        $plan = $build->plan();
        $holding = Holding::of($plan->context->breakdown->byId[$build->part($part)], $plan->context);

        self::assertSame([$holder, $pieces], [$holding->holder, $holding->pieces]);
        self::assertStringContainsString($where, $holding->where);
    }

    /** @return iterable<string, array{string, string, Holder|null, string, int}> */
    public static function held(): iterable
    {
        yield 'wheels on pegs' => ["part wheel, x14, grip hole\nwheel / hub, 56, slate green", 'wheel', Holder::Peg, 'in the hole of wheel', 14];
        yield 'a tab takes a clip' => ["part jib, grip tab\njib / jib, 30, slate green", 'jib', Holder::Clip, 'on the tab', 1];
        yield 'flat backs on a board' => ["part tool, x6, grip flat back\ntool / blade, 6, slate green", 'tool', Holder::Board, 'flat on its back', 6];
        yield 'hollow from below on a stick' => ["part boat, x4, grip open below\nboat / boat, 12, slate green", 'boat', Holder::Stick, 'from below', 4];
        yield 'the face that is glued later' => ["fin / fin, 12, slate green\nfin foot: hull + fin, after paint, superglue", 'fin', Holder::Clip, 'on the face that is glued at fin foot', 1];
        yield 'too small for a clip' => ["part davit, x8\ndavit / davit, 8, slate green\nsocket: hull + davit, after paint, superglue", 'davit', Holder::Stick, 'on the face that is glued at socket', 8];
        yield 'thin metal lies flat' => ["part etch, brass\netch / etch, 4, slate green\nseat: hull + etch", 'etch', Holder::Board, 'flat, on tape', 1];
        yield 'vinyl by its inner face' => ["part track, soft vinyl, x2\ntrack / track, 60, slate green", 'track', Holder::Clip, 'inner face', 2];
        yield 'a hull stands' => ['', 'hull', Holder::Stand, 'from below', 1];
        yield 'a large loose part stands too' => ["lid, 200, slate green\nlid + hull, after paint, superglue", 'lid', Holder::Stand, 'from below', 1];
        yield 'nothing to hold' => ["part ball, grip none\nball / ball, 9, slate green", 'ball', null, '', 1];
        yield 'nothing said and nothing hidden' => ['ball, 9, slate green', 'ball', null, '', 1];
        yield 'by your own word' => ["ball, 9, slate green\npiece ball = Ball, on a stick, held by the keyhole", 'ball', Holder::Stick, 'the keyhole', 1];
        yield 'by your words alone' => ["ball, 9, slate green\npiece ball = Ball, held by a peg through the middle", 'ball', Holder::Peg, 'a peg through the middle', 1];
    }

    public function test_holders_are_only_counted_while_they_are_in_use(): void
    {
        $build = new TypedBuild(self::HULL."part boat, x20, grip open below\nboat / boat, 20, sea grey\npart buoy, x9, grip open below\nbuoy / buoy, 9, sea grey\nhull + boat, after paint, superglue\nhull + buoy, after paint, superglue");
        $stick = static fn (TypedBuild $b): array => array_values(array_filter(HolderNeed::all($b->plan()->context, $b->plan()->left), static fn (HolderNeed $n): bool => $n->holder === Holder::Stick));
        self::assertSame(29, $stick($build)[0]->atOnce);

        // The boats are painted: their sticks are free again.
        foreach ($build->plan()->left as $planned) {
            if ($planned->step->pieceId === $build->part('boat') && $planned->step->jointId === null) {
                $build->events[] = \AmberStep\Core\Step\StepEvent::of($planned->step, $build->newId(), TypedBuild::NOW, TypedBuild::NOW);
            }
        }
        self::assertSame([9, ['buoy (9)']], [$stick($build)[0]->atOnce, $stick($build)[0]->shortNames()]);
    }

    public function test_thirty_small_pieces_lie_on_one_board(): void
    {
        self::assertSame([1, 1, 2], array_map(Holder::Board->forPieces(...), [1, 30, 31]));
        self::assertSame(31, Holder::Peg->forPieces(31));
    }

    #[DataProvider('joints')]
    public function test_a_joint_says_when_why_with_what_and_how_it_is_aligned(string $lines, string $joint, bool $before, string $because, ?string $better, string $align): void
    {
        $build = new TypedBuild(self::HULL.$lines);
        $advice = JointAdvice::of($build->kit->jointsById[$build->joint($joint)], $build->plan()->context);

        self::assertSame([$before, $better], [$advice->beforePaint, $advice->better?->value]);
        self::assertStringContainsString($because, $advice->because);
        self::assertStringContainsString($align, implode(' ', $advice->align));
    }

    /** @return iterable<string, array{string, string, bool, string, string|null, string}> */
    public static function joints(): iterable
    {
        yield 'one colour' => ["fin, 9, sea grey\nfoot: hull + fin", 'foot', true, 'one colour', null, 'Its pins align it.'];
        yield 'two colours' => ["fin, 9, slate green\nfoot: hull + fin", 'foot', false, 'the colours differ', null, 'Its pins align it.'];
        yield 'an inside of another colour does not count' => ["fin / out, 9, sea grey\nfin / in, 4, inside, slate green\nfoot: hull + fin", 'foot', true, 'one colour', null, 'pins'];
        yield 'a seam without pins' => ["half, 90, sea grey\nseam: hull + half, seam, 18 long, no pins", 'seam', true, 'must vanish', null, 'tabs of card inside along one side, then tape bands every 3 cm'];
        yield 'a long one with pins' => ["half, 90, sea grey\nseam: hull + half, seam, 18 long", 'seam', true, 'must vanish', null, 'tape bands every 3 cm'];
        yield 'a gap asks for a best side' => ["half, 90, sea grey\nseam: hull + half, seam, gap 0.4", 'seam', true, 'must vanish', null, 'choose the side that is seen'];
        yield 'a best side is kept' => ["half, 90, sea grey\nseam: hull + half, seam, gap 0.4, best side port", 'seam', true, 'must vanish', null, 'If both sides cannot be perfect: port.'];
        yield 'load without pins' => ["part jib, aluminium\njib / jib, 9, sea grey\nfoot: hull + jib, superglue, carries load, no pins", 'foot', false, 'materials differ', 'epoxy', 'pin it with wire'];
        yield 'it comes off again' => ["lid, 9, sea grey\nrim: hull + lid, removable", 'rim', false, 'come off again', 'clear-glue', 'Its pins align it.'];
        yield 'superglue at a pane' => ["glass / pane, 4, pane\nrim: hull + glass, superglue", 'rim', true, 'glued, then masked', 'clear-glue', 'pins'];
        yield 'a tinted block' => ["part block, clear\nblock / block, 4, slate green\nseat: hull + block, clear glue", 'seat', false, 'a tint of its own', null, 'pins'];
        yield 'fragile' => ["part rod, fragile\nrod / rod, 1, sea grey\nsocket: hull + rod", 'socket', false, 'fragile', null, 'pins'];
        yield 'what the gun cannot see' => ["hull / ring, 4, sea grey\nturret, 30, sea grey\npivot: hull + turret, blocks hull / ring", 'pivot', false, 'the gun cannot see', null, 'pins'];
        yield 'by your own word' => ["fin, 9, sea grey\nfoot: hull + fin, after paint", 'foot', false, 'you close it after paint', null, 'pins'];
    }

    public function test_where_the_booklet_leaves_it_free_what_fits_worst_is_glued_first(): void
    {
        $glued = static fn (TypedBuild $b): array => array_values(array_map(static fn (PlannedStep $p): string => $b->kit->jointsById[(string) $p->step->jointId]->name, array_filter($b->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Glue)));
        $lines = "fin, 9, sea grey\nwing, 60, sea grey\ntail, 20, sea grey\nnose, 8, sea grey\n";
        $joints = "foot: hull + fin\nroot: hull + wing, no pins\nboom: hull + tail, gap 0.5, no pins\nring: hull + nose, gap 0.4";
        $free = new TypedBuild(self::HULL.$lines.$joints);

        self::assertSame(['boom', 'ring', 'root', 'foot'], $glued($free));
        $advice = static fn (TypedBuild $b, string $joint): ?string => JointAdvice::of($b->kit->jointsById[$b->joint($joint)], $b->plan()->context)->fit;
        self::assertSame('It gapes 0.5 mm and has no pins: glued before foot, root and ring, while both its sides can still be reached.', $advice($free, 'boom'));
        self::assertNull($advice($free, 'foot'), 'what falls into place waits');

        // The booklet knows better, and what the gun cannot see is painted before.
        $stepped = new TypedBuild(self::HULL.$lines.str_replace(['hull + fin', "no pins\nboom", 'gap 0.4'], ['hull + fin, step 2', "no pins, step 2\nboom", 'gap 0.4, step 5'], str_replace('gap 0.5, no pins', 'gap 0.5, no pins, step 9', $joints)));
        self::assertSame(['root', 'foot', 'ring', 'boom'], $glued($stepped));
        self::assertSame('It has no pins: glued before foot, while both its sides can still be reached.', $advice($stepped, 'root'));
        self::assertNull($advice($stepped, 'boom'));
        // What closes over an inside waits for what would be shut in, however badly it fits.
        $closing = new TypedBuild(self::HULL."hull / bay, 9, inside, slate green\nbox, 5, sea grey\nlid, 60, sea grey\nrim: hull + lid, before paint, gap 0.6, no pins, blocks hull / bay\nseat: hull + box");
        self::assertSame(['seat', 'rim'], $glued($closing));
        self::assertNull($advice($closing, 'rim'));
        // Nothing it shares a piece with: no reason to hurry.
        $apart = new TypedBuild(self::HULL."fin, 9, sea grey\nfoot: hull + fin\nraft, 9, slate green\noar, 9, slate green\nlash: raft + oar, no pins");
        self::assertNull($advice($apart, 'lash'));
    }

    public function test_faces_glued_after_paint_stay_bare_or_need_not(): void
    {
        $bare = static function (string $glue): string {
            $build = new TypedBuild(self::HULL."fin, 9, slate green\nfoot: hull + fin, after paint, {$glue}");

            return implode(' ', JointAdvice::of($build->kit->joints[0], $build->plan()->context)->bare);
        };

        self::assertStringContainsString('Both faces stay bare', $bare('thin cement'));
        self::assertStringContainsString('Superglue takes hold on the paint', $bare('superglue'));
        self::assertStringContainsString('Both faces stay bare', $bare('epoxy, carries load'));
        $before = new TypedBuild(self::HULL."fin, 9, sea grey\nfoot: hull + fin");
        self::assertSame([], JointAdvice::of($before->kit->joints[0], $before->plan()->context)->bare);
    }

    public function test_what_is_parked_takes_its_areas_joints_and_call_outs_along_and_comes_back(): void
    {
        $build = new TypedBuild(self::HULL."part lid, no C4, option hatch=open\nlid / lid, 4, sea grey\nhinge: hull + lid\npart cover, no C5, option hatch=shut\ncover / cover, 4, slate green\nseat: hull + cover", "6: C4 sea grey S option hatch=open\nC5 slate green S option hatch=shut");
        self::assertSame([], (new Parking($build->kit))->why);
        self::assertSame($build->kit, Parking::active($build->kit), 'nothing parked, nothing copied');

        $build->booklet('choose hatch = shut');
        $active = Parking::active($build->kit);
        self::assertSame([['hull', 'cover'], ['hull', 'cover'], ['seat'], ['C5']], [array_column($active->parts, 'name'), array_column($active->areas, 'name'), array_column($active->joints, 'name'), array_column($active->callouts, 'number')]);
        self::assertCount(3, $build->kit->parts, 'the kit itself keeps them');
        $build->booklet('choose hatch = open');
        self::assertSame(['hull', 'lid'], array_column(Parking::active($build->kit)->parts, 'name'));
    }

    public function test_parts_alike_are_mounted_washed_and_joined_one_by_one(): void
    {
        $minutes = static function (int $count, Operation $operation): float {
            $build = new TypedBuild(self::HULL."part boat, x{$count}, grip open below\nboat / boat, {$count}, slate green\nchock: hull + boat, after paint, superglue");
            foreach ($build->plan()->left as $planned) {
                if ($planned->step->operation === $operation && in_array($build->part('boat'), [$planned->step->pieceId, ...$build->kit->jointsById[$planned->step->jointId ?? '']->parts ?? []], true)) {
                    return $planned->minutes;
                }
            }
            self::fail($operation->value);
        };

        self::assertSame([1.0, 9.0], [$minutes(1, Operation::Mount), $minutes(9, Operation::Mount)]);
        self::assertSame([3.0, 27.0], [$minutes(1, Operation::Attach), $minutes(9, Operation::Attach)]);
        self::assertSame(8.0, $minutes(9, Operation::Wash) - $minutes(1, Operation::Wash));
    }

    public function test_pieces_washed_one_after_the_other_share_the_water(): void
    {
        $build = new TypedBuild("hull, 60, sea grey\nfin, 9, slate green\nlid, 4, interior dark");
        $washes = array_map(static fn (PlannedStep $p): float => $p->minutes, array_values(array_filter($build->plan()->byTime(), static fn (PlannedStep $p): bool => $p->step->operation === Operation::Wash)));

        self::assertSame([11.0, 1.0, 1.0], $washes);
    }

    public function test_a_can_that_is_blocked_holds_aerosols_alone(): void
    {
        $build = new TypedBuild('hull, 60, sea grey');
        $build->edit([Edit::add('outages', ['id' => $build->newId(), 'missing' => 'can', 'target' => null, 'since' => '2026-03-02T18:50:00Z'])]);

        self::assertStringStartsWith('Nothing waits for it. Meanwhile: Wash, rinse, set aside to dry', $build->says('clean-gear')[0]->sentence);
        $build->happened(EventKind::Done, $build->area('hull'), Operation::Wash, 'all');
        self::assertNotSame([], array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Prime && $p->startEpoch < TypedBuild::NOW + 90000));
    }
}
