<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From when a next step may be done, at 20 °C and 50 % RH, by the handbook's figures. */
final class WaitsOfRulesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $kit
     * @param  list<array<string, mixed>>  $log
     */
    #[DataProvider('waits')]
    public function test_a_step_opens_when_the_figures_say(array $kit, array $log, Operation $operation, string $opens): void
    {
        $build = new Build(['house' => ['primer' => 'never', 'inspection' => 'none', ...$kit['house'] ?? []], 'kit' => array_diff_key($kit, ['house' => 1]), 'log' => $log]);
        $step = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === $operation))[0];

        self::assertSame([], $step->waitsOn());
        self::assertSame(date('D H:i', $build->at($opens)), date('D H:i', $step->openFrom($build->now)));
    }

    /** @return iterable<string, array{array<string, mixed>, list<array<string, mixed>>, Operation, string}> */
    public static function waits(): iterable
    {
        $one = static fn (string $paint, array $area = []): array => ['parts' => ['hull' => 'styrene'], 'colours' => ['c' => $paint], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c', ...$area]]];
        $two = static fn (string $first, string $second): array => ['parts' => ['hull' => 'styrene'], 'colours' => ['g' => $first, 'c' => $second], 'areas' => ['side' => ['part' => 'hull', 'ground' => 'g', 'colour' => 'c']]];
        $coat = static fn (string $at, string $paint, string $coat = 'light', string $do = 'colour', string $for = 'c'): array => ['at' => $at, 'do' => $do, 'on' => ['side'], 'for' => $for, 'with' => $paint, 'coat' => $coat];

        yield 'flash of water acrylic' => [$one('sea grey'), [$coat('19:55', 'sea grey')], Operation::Colour, '20:10'];
        yield 'flash after a wet coat' => [$one('sea grey'), [$coat('19:55', 'sea grey', 'wet')], Operation::Colour, '20:21'];
        yield 'flash of alcohol acrylic' => [$one('alcohol sand'), [$coat('19:55', 'alcohol sand')], Operation::Colour, '20:05'];
        yield 'flash of enamel' => [$one('enamel brown'), [$coat('19:55', 'enamel brown')], Operation::Colour, '20:25'];
        yield 'water on young enamel, until it is cured' => [$two('enamel brown', 'sea grey'), [$coat('2026-03-01 12:00', 'enamel brown', 'light', 'ground', 'g'), $coat('2026-03-01 13:00', 'enamel brown', 'light', 'ground', 'g')], Operation::Colour, '2026-03-08 13:00'];
        yield 'enamel on water acrylic, as soon as it may be recoated' => [$two('ground white', 'enamel brown'), [$coat('19:30', 'ground white', 'light', 'ground', 'g'), $coat('19:50', 'ground white', 'light', 'ground', 'g')], Operation::Colour, '20:10'];
        yield 'alcohol on water acrylic, when it is tape-safe' => [$two('ground white', 'alcohol sand'), [$coat('19:30', 'ground white', 'light', 'ground', 'g'), $coat('19:50', 'ground white', 'light', 'ground', 'g')], Operation::Colour, '2026-03-03 19:50'];
        yield 'decals on young lacquer' => [$one('lacquer red', ['decals' => true]), [$coat('18:00', 'lacquer red'), $coat('18:30', 'lacquer red')], Operation::Decal, '2026-03-03 00:30'];
        yield 'polish of young lacquer' => [$one('lacquer red', ['polish' => true]), [$coat('18:00', 'lacquer red'), $coat('18:30', 'lacquer red')], Operation::Polish, '2026-03-04 18:30'];
        yield 'an enamel wash over tape-safe lacquer' => [[...$one('lacquer red', ['wash' => 'pin']), 'house' => ['wash' => 'enamel']], [$coat('18:00', 'lacquer red'), $coat('18:30', 'lacquer red')], Operation::PinWash, '2026-03-03 00:30'];
        yield 'the first coat after the wash' => [$one('sea grey'), [['at' => '12:00', 'do' => 'wash', 'on' => ['side']], ['at' => '12:30', 'do' => 'mount', 'on' => ['hull'], 'for' => 'all']], Operation::Colour, '2026-03-03 12:00'];
        yield 'cutting back a filled seam' => [
            ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'glue' => 'slow-cement', 'gapMm' => 0.2, 'lengthCm' => 4]], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]],
            [['at' => '12:00', 'do' => 'glue', 'on' => ['root']], ['at' => '14:00', 'do' => 'fill', 'on' => ['root']]], Operation::CutBack, '2026-03-04 12:00',
        ];
        yield 'filling once the joint can be handled' => [
            ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'glue' => 'slow-cement', 'gapMm' => 0.2, 'lengthCm' => 4]], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]],
            [['at' => '19:50', 'do' => 'glue', 'on' => ['root']]], Operation::Fill, '20:20',
        ];
    }
}
