<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Cautions;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each hazard is said with the step that has it, short and exact, and with no other. */
final class CautionsTest extends TestCase
{
    /** @param  array<string, mixed>  $kit */
    #[DataProvider('hazards')]
    public function test_a_hazard_is_said_with_its_step(array $kit, Operation $operation, string $said, bool $is = true): void
    {
        $build = new Build(['kit' => $kit]);
        $step = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === $operation))[0]->step;
        $cautions = implode(' ', Cautions::of($step, $build->kit));

        $is ? self::assertStringContainsString($said, $cautions) : self::assertStringNotContainsString($said, $cautions);
        foreach (Cautions::of($step, $build->kit) as $caution) {
            self::assertLessThan(140, strlen($caution), 'short');
            self::assertStringNotContainsStringIgnoringCase('be careful', $caution);
        }
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: Operation, 2: string, 3?: bool}> */
    public static function hazards(): iterable
    {
        $kit = static fn (string $paint, string $of = 'styrene', array $more = []): array => array_replace_recursive(['parts' => ['hull' => $of], 'colours' => ['c' => $paint], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]], $more);
        $joint = static fn (string $glue, array $more = []): array => ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'closed' => 'before', 'glue' => $glue, ...$more]], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]];
        $seam = static fn (string $filler): array => $joint('thin-cement', ['kind' => 'seam', 'gapMm' => 0.2, 'lengthCm' => 4, 'filler' => $filler]);

        yield 'spray mist of water acrylic too' => [$kit('sea grey'), Operation::Colour, 'respirator'];
        yield 'no talk of flame with water acrylic' => [$kit('sea grey'), Operation::Colour, 'flame', false];
        yield 'flame with lacquer' => [$kit('lacquer red'), Operation::Colour, 'No flame, heater or hair dryer'];
        yield 'flame with enamel' => [$kit('enamel brown'), Operation::Colour, 'rags flat to dry or in water'];
        yield 'hardener' => [$kit('sea grey', 'styrene', ['areas' => ['side' => ['decals' => true]], 'pins' => [['operation' => 'gloss', 'product' => 'two-part clear']]]), Operation::Gloss, 'isocyanates sensitise'];
        yield 'an oil wash is not sprayed' => [$kit('sea grey', 'styrene', ['areas' => ['side' => ['wash' => 'pin']]]), Operation::PinWash, 'respirator', false];
        yield 'but its rags burn' => [$kit('sea grey', 'styrene', ['areas' => ['side' => ['wash' => 'pin']]]), Operation::PinWash, 'rags'];
        yield 'superglue' => [$joint('superglue'), Operation::Glue, 'bonds skin'];
        yield 'epoxy' => [$joint('epoxy'), Operation::Glue, 'sensitises skin'];
        yield 'cement' => [$joint('thin-cement'), Operation::Glue, 'air the room'];
        yield 'clear glue is harmless' => [$joint('clear-glue'), Operation::Glue, 'glue', false];
        yield 'epoxy putty' => [$seam('epoxy-putty'), Operation::Fill, 'Epoxy putty'];
        yield 'solvent putty' => [$seam('solvent-putty'), Operation::Fill, 'No flame'];
        yield 'superglue as filler' => [$seam('superglue-powder'), Operation::Fill, 'accelerator'];
        yield 'dust of a seam' => [$seam('solvent-putty'), Operation::CutBack, 'particle mask'];
        yield 'washing has no hazard' => [$kit('sea grey'), Operation::Wash, 'mask', false];
        yield 'dust of resin' => [$kit('lacquer red', 'resin', ['areas' => ['side' => ['polish' => true]]]), Operation::Polish, 'Resin and metal dust: sand wet'];
        yield 'dust of styrene' => [$kit('lacquer red', 'styrene', ['areas' => ['side' => ['polish' => true]]]), Operation::Polish, 'wet where possible'];
        yield 'a blade at the mask' => [$kit('sea grey', 'styrene', ['colours' => ['d' => 'slate green'], 'areas' => ['top' => ['part' => 'hull', 'colour' => 'd']]]), Operation::Mask, 'cut away from the hand'];
        yield 'a cabinet' => [$kit('sea grey', 'styrene', ['inserted' => [['operation' => 'cabinet', 'targets' => ['side'], 'title' => 'Warm it', 'cabinetC' => 45]]]), Operation::Cabinet, 'only touch-dry pieces'];
        yield 'an alcohol wipe' => [$kit('sea grey', 'styrene', ['inserted' => [['operation' => 'wipe', 'targets' => ['side'], 'title' => 'Wipe', 'wipe' => 'alcohol']]]), Operation::Wipe, 'Solvent on a rag'];
    }

    public function test_the_frame_defers_to_sheet_rules_and_licensed_people(): void
    {
        foreach (['safety data sheet', 'local rules', 'not professional advice', 'licensed'] as $words) {
            self::assertStringContainsString($words, Cautions::FRAME);
        }
    }
}
