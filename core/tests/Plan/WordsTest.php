<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every operation has words for the bench: a title, a button that says what happened, and no shouting. */
final class WordsTest extends TestCase
{
    #[DataProvider('operations')]
    public function test_an_operation_is_told_plainly(Operation $operation): void
    {
        $context = $this->context();
        $step = $this->step($operation, $context);
        foreach ([Words::title($step, $context), Words::button($step), $operation->word(), Words::technique($step)] as $i => $words) {
            self::assertTrue($i === 3 || trim($words) !== '', "{$operation->value}: nothing said");
            self::assertStringNotContainsString('!', $words);
            self::assertDoesNotMatchRegularExpression('/\b(please|save|submit|just|simply)\b/i', $words, 'plain, short, imperative');
            self::assertDoesNotMatchRegularExpression('/ {2}|\s$|^\s/', $words);
        }
        self::assertLessThan(200, mb_strlen(Words::technique($step)), 'one or two sentences');
        self::assertSame(ucfirst(Words::title($step, $context)), Words::title($step, $context));
    }

    /** @return iterable<string, array{Operation}> */
    public static function operations(): iterable
    {
        foreach (Operation::cases() as $operation) {
            yield $operation->value => [$operation];
        }
    }

    public function test_each_operation_has_a_place_in_the_trades_order_and_a_stage(): void
    {
        $context = $this->context();
        foreach (Operation::cases() as $operation) {
            self::assertLessThan(Rank::of(Operation::Photograph) + 1, Rank::of($operation), $operation->value);
            self::assertStringContainsString($operation->value, $this->step($operation, $context)->stage());
        }
    }

    public function test_what_is_sprayed_leaves_a_layer_and_what_touches_waits_for_touch_dry(): void
    {
        foreach (Operation::cases() as $operation) {
            self::assertTrue(! $operation->sprays() || $operation->leavesLayer(), $operation->value);
            self::assertFalse($operation->touches() && $operation->leavesLayer(), $operation->value);
        }
        self::assertFalse(Operation::Rinse->touches(), 'cleaning the gun touches no piece');
        self::assertFalse(Operation::Test->touches(), 'a spoon is no piece');
        self::assertTrue(Operation::TouchUp->touches());
    }

    #[DataProvider('titles')]
    public function test_titles_name_what_is_in_the_hand(Operation $operation, string $title): void
    {
        $context = $this->context();

        self::assertSame($title, Words::title($this->step($operation, $context), $context));
    }

    /** @return iterable<string, array{Operation, string}> */
    public static function titles(): iterable
    {
        yield 'a colour' => [Operation::Colour, 'Spray grey, second light coat'];
        yield 'a primer' => [Operation::Prime, 'Prime with sea grey, second coat'];
        yield 'a cap that is laid for the second time' => [Operation::Mask, 'Cap side with rolled putty again'];
        yield 'a cap off' => [Operation::Unmask, 'Take the rolled putty off side'];
        yield 'a joint' => [Operation::Glue, 'Close fin root with thin cement'];
        yield 'a filler' => [Operation::Fill, 'Fill fin root with solvent putty'];
        yield 'gates' => [Operation::TouchUp, 'Cut it off the sprue, touch up the gates'];
        yield 'a test' => [Operation::Test, 'Spray a test on a spoon'];
    }

    public function test_a_step_put_in_keeps_the_words_it_was_given(): void
    {
        $context = $this->context();
        $step = new Step('x', Operation::Flat, 'insert+1', 1, 1, 'x', ['x'], 0, 0, title: 'Cut it with P800', inserted: new Inserted('01K00000000000000000000001', Operation::Flat, ['x'], 'Cut it with P800'));

        self::assertSame('Cut it with P800', Words::title($step, $context));
    }

    private function context(): Context
    {
        return (new Build(['kit' => ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['fin root' => ['parts' => ['hull', 'fin'], 'gapMm' => 0.2]], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]]]))->plan()->context;
    }

    private function step(Operation $operation, Context $context): Step
    {
        $area = $context->kit->areas[0];
        $atJoint = in_array($operation, [Operation::Glue, Operation::Attach, Operation::Fill, Operation::CutBack, Operation::CheckSeam], true);

        return new Step($area->part, $operation, (string) $area->intent->colour, 2, 2, $area->part, [$area->id], 0, 0, jointId: $atJoint ? $context->kit->joints[0]->id : null, product: $context->shelf->find($context->kit->colours[0]->product), coatKind: CoatKind::Light, medium: Medium::Putty);
    }
}
