<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Practice;

/** A cell of the table of edges. */
final class EdgeCell
{
    /**
     * @return string what it means
     *
     * @throws NotRead where it does not fit, or a number is wrong
     */
    public static function read(Draft $draft, string $id, string $field, Phrase $phrase): string
    {
        $word = $phrase->word();
        $value = match ($field) {
            'kind' => EdgeKind::tryFrom($word)?->value,
            'curve' => Curve::tryFrom($word)?->value,
            'subject' => Practice::tryFrom($word)?->value,
            'mm' => self::length($phrase, 0.1, 100000),
            'softMm' => self::length($phrase, 0, 50),
            default => null,
        };
        if ($value === null) {
            throw new NotRead("\"{$phrase->text}\" does not fit here", match ($field) {
                'kind' => 'use hard, soft or feathered',
                'curve' => 'use flat, bent, compound or fiddly',
                'subject' => 'use sprayed or taped, or leave it empty',
                default => 'write a length such as 240 mm',
            });
        }
        $draft->set('edges', $id, $field, $value);

        return (string) $value;
    }

    private static function length(Phrase $phrase, float $least, float $most): ?float
    {
        $read = TypedNumber::length($phrase->text);
        if ($read !== null && ($read[0] < $least || $read[0] > $most)) {
            throw new NotRead(TypedNumber::text($read[0]).' mm is out of range', "give {$least} to {$most} mm");
        }

        return $read === null || $read[1] !== '' ? null : $read[0];
    }
}
