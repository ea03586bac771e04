<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Scenario;

use AmberStep\Core\Material\Glue;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is soundly typed is soundly planned: nothing to stop for, nothing to think of but when it is done. */
final class SoundTest extends TestCase
{
    /** Rules that speak of the calendar and not of the work. */
    private const TIMING = ['same-colour-together', 'tape-overstays', 'pot-life'];

    /** @param  list<array{Operation, Operation}>  $before  the last of the one comes before the first of the other */
    #[DataProvider('kits')]
    public function test_a_sound_kit_draws_no_stop_and_no_thought(string $lines, array $before): void
    {
        $plan = (new TypedBuild($lines))->plan();
        $loud = array_filter($plan->findings, static fn (Finding $f): bool => $f->severity !== Severity::Note && ! in_array($f->rule, self::TIMING, true));
        self::assertSame([], array_map(static fn (Finding $f): string => "{$f->rule}: {$f->title}", $loud));

        $at = [];
        foreach ($plan->byTime() as $n => $planned) {
            $at[$planned->step->operation->value][] = $n;
        }
        foreach ($before as [$first, $then]) {
            self::assertLessThan(min($at[$then->value]), max($at[$first->value]), "{$first->value} before {$then->value}");
        }
    }

    /** @return iterable<string, array{string, list<array{Operation, Operation}>}> */
    public static function kits(): iterable
    {
        yield 'a float plane with a cockpit' => ["part left, no A1\npart right, no A2\npart tub, no A3, inside left\nleft / side, 70, sea grey, decals, pin wash, matt\nright / side, 70, sea grey, decals, pin wash, matt\ntub / floor, 9, interior dark\ncanopy / frame, 4, sea grey, inside interior dark\ncanopy / panes, 8, pane\nspine: left + right, seam, before paint, gap 0.1, 18 long\nshelf: tub + left, before paint\nsill: canopy + left", [[Operation::CutBack, Operation::Gloss], [Operation::Decal, Operation::PinWash], [Operation::PinWash, Operation::Unmask]]];
        yield 'a crawler with a turret' => ["hull, 160, slate green, decals, pin wash, matt\nturret, 60, slate green, matt, pin wash\nring: turret + hull\nwheels, 30, slate green, matt\naxles: wheels + hull", [[Operation::Wash, Operation::Prime], [Operation::Prime, Operation::Colour], [Operation::Seal, Operation::PinWash], [Operation::PinWash, Operation::Final]]];
        yield 'a ferry with a hull in two colours' => ["hull / bottom, 90, interior dark, hard 300 to sides\nhull / sides, 90, sea grey, matt\ndeck, 70, pale grey, matt\ndeck edge: deck + hull\nfunnel, 9, sea grey\nfunnel foot: funnel + deck", [[Operation::MaskFaces, Operation::Prime], [Operation::Final, Operation::Attach], [Operation::Unplug, Operation::Attach]]];
        yield 'a car in polished lacquer' => ["body, 120, lacquer red, gloss, polish\nchassis, 60, interior dark\nsills: chassis + body\nseat, 12, slate green\nrunners: seat + chassis", [[Operation::Final, Operation::Polish], [Operation::Colour, Operation::Final]]];
        yield 'a saucer with a dome' => ["upper, 120, pale grey, pin wash, matt\nlower, 120, pale grey, matt\nrim: upper + lower, seam, before paint, gap 0.05, 40 long\ndome / lens, 6, pane\ndome seat: dome + upper", [[Operation::CutBack, Operation::Prime], [Operation::Mask, Operation::Prime], [Operation::Final, Operation::Unmask]]];
    }

    public function test_a_pane_whose_glue_nobody_named_gets_one_without_vapour(): void
    {
        foreach (["left, 70, sea grey\ncanopy / panes, 8, pane\nsill: canopy + left", "left, 70, sea grey\nsill: canopy + left\ncanopy / panes, 8, pane"] as $lines) {
            self::assertSame(Glue::ClearGlue, (new TypedBuild($lines))->kit->joints[0]->glue, $lines);
        }
        self::assertSame(Glue::ThinCement, (new TypedBuild("left, 70, sea grey\ncanopy / panes, 8, pane\nsill: canopy + left, thin cement"))->kit->joints[0]->glue, 'named it stays');
    }
}
