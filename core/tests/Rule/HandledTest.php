<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Rule\Bench\Handled;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\TestCase;

/** What hangs on a piece is in the fingers with it; what stands with the main piece is not. */
final class HandledTest extends TestCase
{
    public function test_an_assembly_is_gripped_by_all_of_its_paint_and_what_stands_on_the_hull_by_none(): void
    {
        $build = new Build([
            'kit' => [
                'parts' => ['hull' => 'styrene', 'strut' => 'styrene', 'pod' => 'styrene', 'deck' => 'styrene', 'mast' => 'styrene'],
                'joints' => ['socket' => ['parts' => ['hull', 'strut'], 'closed' => 'after', 'glue' => 'epoxy'], 'clamp' => ['parts' => ['strut', 'pod'], 'closed' => 'after', 'glue' => 'superglue'], 'deck line' => ['parts' => ['hull', 'deck'], 'closed' => 'after', 'glue' => 'superglue'], 'step' => ['parts' => ['deck', 'mast'], 'closed' => 'after', 'glue' => 'superglue']],
                'colours' => ['grey' => 'sea grey'],
                'areas' => ['side' => ['part' => 'hull', 'cm2' => 90, 'colour' => 'grey'], 'leg' => ['part' => 'strut', 'cm2' => 8, 'colour' => 'grey'], 'skin' => ['part' => 'pod', 'cm2' => 30, 'colour' => 'grey'], 'planks' => ['part' => 'deck', 'cm2' => 40, 'colour' => 'grey'], 'pole' => ['part' => 'mast', 'cm2' => 6, 'colour' => 'grey']],
            ],
            'log' => [
                ['at' => '2026-02-20 18:00', 'do' => 'colour', 'on' => ['side', 'leg', 'pole'], 'for' => 'grey', 'with' => 'sea grey'],
                ['at' => '2026-03-02 17:00', 'do' => 'colour', 'on' => ['skin', 'planks'], 'for' => 'grey', 'with' => 'sea grey'],
                ['at' => '2026-03-02 18:00', 'do' => 'attach', 'on' => ['clamp'], 'glue' => 'superglue'],
                ['at' => '2026-03-02 18:10', 'do' => 'attach', 'on' => ['deck line'], 'glue' => 'superglue'],
            ],
        ]);
        $context = $build->plan()->context;
        $world = new World($context->kit, $context->house, $context->breakdown, $context->surface, new Waits(new WorkClock($context->room), $context->surface->learned), $build->now);
        $held = [];
        foreach (['socket', 'step'] as $joint) {
            $step = $context->steps->find($build->id($joint).'/attach/all/1') ?? self::fail("{$joint} is not attached");
            foreach ((new Handled)->holds($step, $world) as $hold) {
                if ($hold->covers($build->now)) {
                    $held[$joint][] = $build->names->name($hold->target);
                }
            }
        }

        self::assertSame(['skin'], $held['socket'] ?? [], 'the pod hangs on the strut');
        self::assertArrayNotHasKey('step', $held, 'the wet deck stands on the hull, and the mast is dry');
    }
}
