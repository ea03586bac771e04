<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Subject\AreaShape;
use App\Http\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Areas worked out from what a ruler says, beside any field that wants cm². Nothing is kept. */
final readonly class AreaShapeController
{
    /** mm */
    private const LONGEST = 5000;

    public function __construct(private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['shapes' => array_map(static fn (AreaShape $s): array => ['id' => $s->value, 'name' => $s->word(), 'measures' => array_map(static fn (string $field, string $word): array => ['id' => $field, 'name' => $word], array_keys($s->measures()), array_values($s->measures()))], AreaShape::cases())]);
    }

    /** @throws BadDocument */
    public function show(Request $request, string $shape): JsonResponse
    {
        $shape = AreaShape::tryFrom($shape) ?? throw BadDocument::at('shape', 'is no shape here', 'use one of '.implode(', ', array_column(AreaShape::cases(), 'value')));
        $given = $request->query->all();
        $texts = is_array($given['m'] ?? null) ? $given['m'] : [];
        $problems = new Problems;
        $mm = [];
        foreach (array_keys($shape->measures()) as $field) {
            $mm[$field] = self::length($texts[$field] ?? '', $field, $problems);
        }
        $count = filter_var($given['count'] ?? '1', FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => 500]]);
        if ($count === false) {
            $problems->add('count', 'is not how many there are', 'give a whole number from 1 to 500');
        }
        $problems->throwIfAny();
        $sum = $shape->sum($mm)->times((int) $count);

        return $this->answer->json(['cm2' => round($sum->cm2, 2), 'typed' => rtrim($sum->typed(), ' cm²'), 'sum' => $sum->words]);
    }

    private static function length(mixed $text, string $field, Problems $problems): float
    {
        try {
            $read = is_string($text) && strlen($text) <= 40 ? TypedNumber::length(mb_scrub($text)) : null;
        } catch (NotRead) {
            $read = null;
        }
        if ($read === null || $read[1] !== '' || $read[0] <= 0 || $read[0] > self::LONGEST) {
            $problems->add($field, 'is no length', 'give mm such as 42 or 42,5, or inches such as 1.5 in, up to '.self::LONGEST.' mm');

            return 1.0;
        }

        return $read[0];
    }
}
