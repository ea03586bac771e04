<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\SoftEdge;
use App\Http\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** From the width of a soft edge to the roll or card that makes it, and back. */
final readonly class SoftEdgeController
{
    public function __construct(private Answer $answer)
    {
    }

    /** @throws BadDocument */
    public function show(Request $request): JsonResponse
    {
        $given = array_filter($request->query->all(), static fn (mixed $v): bool => is_string($v) && trim($v) !== '');
        $number = static fn (string $name): float => is_numeric($text = str_replace(',', '.', trim((string) $given[$name]))) && abs((float) $text) < 1e6 ? (float) $text : throw BadDocument::at($name, 'is not a number', 'write it as 2.5');
        $tilt = isset($given['tilt']) ? $number('tilt') : 0.0;
        $scale = isset($given['scale']) ? max(1.0, $number('scale')) : 1.0;
        $edges = match (true) {
            isset($given['width']) => [SoftEdge::rollFor($number('width'), $tilt), SoftEdge::cardFor($number('width'), $tilt)],
            isset($given['roll']) => [SoftEdge::ofRoll($number('roll'), $tilt)],
            isset($given['height']) => [SoftEdge::ofCard($number('height'), $tilt)],
            default => throw BadDocument::at('width', 'is missing', 'give the width wanted, or the roll, or the height of the card'),
        };

        return $this->answer->json([
            'ways' => array_map(static fn (SoftEdge $e): array => ['by' => $e->rollMm === null ? 'card' : 'roll', 'rollMm' => $e->rollMm === null ? null : round($e->rollMm, 2), 'standOffMm' => round($e->standOffMm, 2), 'widthMm' => round($e->widthMm, 2), 'movedMm' => round($e->movedMm, 2), 'fullMm' => round($e->widthMm * $scale, 0), 'else' => $e->else()], $edges),
            'typicalFullMm' => SoftEdge::TYPICAL_FULL,
        ]);
    }
}
