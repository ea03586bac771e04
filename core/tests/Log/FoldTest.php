<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** What is really on the model after what happened. */
final class FoldTest extends TestCase
{
    private Build $build;

    protected function setUp(): void
    {
        $this->build = new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'fin' => 'styrene'],
            'joints' => ['root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'gapMm' => 0.1, 'lengthCm' => 4]],
            'colours' => ['grey' => 'sea grey', 'green' => 'slate green'],
            'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'deck' => ['part' => 'hull', 'colour' => 'green']],
        ]]);
    }

    /** @param  array<string, mixed>  ...$events */
    private function after(array ...$events): ModelState
    {
        foreach ($events as $event) {
            $this->build->record($event);
        }

        return Log::replay($this->build->events, $this->build->kit, $this->build->shelf, $this->build->now);
    }

    public function test_coats_of_one_product_and_purpose_are_one_layer(): void
    {
        $state = $this->after(
            ['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'],
            ['at' => '18:20', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'wet'],
        )->area($this->build->id('side'));

        self::assertCount(1, $state->layers);
        self::assertCount(2, $state->layers[0]->coats);
        self::assertEqualsWithDelta(4 + 12, $state->layers[0]->filmMicrons(), 1e-9);
    }

    public function test_another_product_or_purpose_is_another_layer(): void
    {
        $state = $this->after(
            ['at' => '17:00', 'do' => 'prime', 'on' => ['side'], 'with' => 'grey primer'],
            ['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey'],
            ['at' => '18:20', 'do' => 'preshade', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey'],
        )->area($this->build->id('side'));

        self::assertSame([Operation::Prime, Operation::Colour, Operation::Preshade], array_map(static fn ($l) => $l->operation, $state->layers));
    }

    public function test_a_measured_film_beats_the_coat_kind(): void
    {
        $state = $this->after(['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'sea grey', 'coat' => 'wet', 'filmMicrons' => 9.5])->area($this->build->id('side'));

        self::assertSame(9.5, $state->layers[0]->filmMicrons());
    }

    public function test_a_coat_without_a_purpose_counts_for_the_colour_that_uses_its_product(): void
    {
        $state = $this->after(['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'slate green'])->area($this->build->id('side'));

        self::assertSame(1, $state->count(Operation::Colour, $this->build->id('colour green')));
        self::assertSame(0, $state->count(Operation::Colour, $this->build->id('colour grey')));
    }

    public function test_masks_lie_until_they_are_taken_off(): void
    {
        $on = $this->after(['at' => '18:00', 'do' => 'mask', 'on' => ['side'], 'for' => 'grey', 'medium' => 'vinyl-tape'])->area($this->build->id('side'));
        self::assertTrue($on->isMasked());
        self::assertSame(Medium::VinylTape, array_values($on->masks)[0]->medium);

        $off = $this->after(['at' => '18:30', 'do' => 'unmask', 'on' => ['side'], 'for' => 'grey'])->area($this->build->id('side'));
        self::assertFalse($off->isMasked());
        self::assertSame(1, $off->count(Operation::Unmask, $this->build->id('colour grey')));
    }

    public function test_a_mask_off_without_a_purpose_takes_all_off(): void
    {
        $state = $this->after(
            ['at' => '18:00', 'do' => 'mask', 'on' => ['side'], 'for' => 'grey', 'medium' => 'paper-tape'],
            ['at' => '18:10', 'do' => 'mask', 'on' => ['side'], 'for' => 'panes', 'medium' => 'cut-film'],
            ['at' => '18:30', 'do' => 'unmask', 'on' => ['side']],
        )->area($this->build->id('side'));

        self::assertFalse($state->isMasked());
    }

    public function test_a_joint_keeps_its_glue_and_its_filler(): void
    {
        $joint = $this->after(
            ['at' => '12:00', 'do' => 'glue', 'on' => ['root'], 'glue' => 'slow-cement'],
            ['at' => '13:00', 'do' => 'fill', 'on' => ['root']],
        )->joint($this->build->id('root'));

        self::assertSame(Glue::SlowCement, $joint->glue);
        self::assertSame($this->build->at('12:00'), $joint->closedAt);
        self::assertSame($this->build->at('13:00'), $joint->filledAt);
        self::assertSame('solvent putty', $joint->filler?->word());
    }

    public function test_sanding_a_joint_soils_the_bare_plastic_beside_it_until_it_is_washed(): void
    {
        $side = $this->build->id('side');
        self::assertTrue($this->after(['at' => '10:00', 'do' => 'wash', 'on' => ['side', 'deck']])->area($side)->isClean());
        self::assertFalse($this->after(['at' => '11:00', 'do' => 'cut-back', 'on' => ['root']])->area($side)->isClean());
        self::assertTrue($this->after(['at' => '12:00', 'do' => 'wash', 'on' => ['side']])->area($side)->isClean());
    }

    public function test_the_cabinet_is_a_stay_with_an_end(): void
    {
        $state = $this->after(
            ['at' => '12:00', 'do' => 'into-cabinet', 'on' => ['side'], 'cabinetC' => 40],
            ['at' => '14:00', 'do' => 'out-of-cabinet', 'on' => ['side']],
        )->area($this->build->id('side'));

        self::assertCount(1, $state->stays);
        self::assertTrue($state->stays[0]->covers($this->build->at('13:59')));
        self::assertFalse($state->stays[0]->covers($this->build->at('14:00')));
    }

    public function test_a_fault_is_closed_by_the_last_step_of_its_remedy(): void
    {
        $open = $this->after(
            ['at' => '12:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey'],
            ['at' => '12:01', 'do' => 'fault', 'on' => ['side'], 'fault' => 'dust'],
        );
        $id = array_key_first($open->faults);
        $hull = $this->build->id('hull');
        self::assertCount(1, $this->after(['at' => '13:00', 'do' => 'flat', 'on' => ['side'], 'stepKey' => "{$hull}/flat/fault+{$id}/1"])->faults);
        self::assertCount(0, $this->after(['at' => '14:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'sea grey', 'stepKey' => "{$hull}/colour/fault+{$id}/2"])->faults);
    }

    public function test_what_lies_in_the_future_has_not_happened(): void
    {
        $state = $this->after(['at' => '2026-03-05 18:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'sea grey'])->area($this->build->id('side'));

        self::assertSame([], $state->layers);
    }

    public function test_a_copy_of_the_surface_goes_its_own_way(): void
    {
        $surface = $this->after(['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'sea grey']);
        $copy = clone $surface;
        $copy->area($this->build->id('side'))->layers = [];
        $copy->joint($this->build->id('root'))->closedAt = 5;

        self::assertCount(1, $surface->area($this->build->id('side'))->layers);
        self::assertNull($surface->joint($this->build->id('root'))->closedAt);
    }

    public function test_a_paint_that_left_the_shelf_is_still_a_layer(): void
    {
        $this->build->record(['at' => '18:00', 'do' => 'colour', 'on' => ['side'], 'with' => 'a paint nobody knows']);
        $surface = Log::replay($this->build->events, $this->build->kit, $this->build->shelf, $this->build->now);

        self::assertSame('a paint no longer on the shelf', $surface->area($this->build->id('side'))->top()?->word());
    }
}
