<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;

/** What is measured on a flaw, as people type it: 0.9, 0,9 mm, 35 thou. */
final class FlawCell
{
    private const MOST = ['widthMm' => 20, 'depthMm' => 20, 'lengthMm' => 2000];

    /**
     * @return list<Edit>
     *
     * @throws BadDocument where there is no such flaw
     * @throws NotRead where it is no length, or one no model has
     */
    public static function edits(Kit $kit, string $id, string $field, string $text): array
    {
        $flaw = $kit->flawsById[$id] ?? throw BadDocument::at('flaws', 'holds no such thing', 'load the build again');
        if ($field === 'where') {
            if (mb_strlen($text) > 120) {
                throw new NotRead('the place is described in more than 120 characters', 'make it shorter, such as roof, left');
            }

            return $text === $flaw->where ? [] : [Edit::set('flaws', $id, 'where', $text)];
        }
        $most = self::MOST[$field] ?? throw new NotRead("\"{$field}\" cannot be typed", 'give where, widthMm, depthMm or lengthMm');
        $mm = $text === '' ? 0.0 : self::mm($text, $most);

        return $mm === $flaw->toArray()[$field] ? [] : [Edit::set('flaws', $id, $field, $mm)];
    }

    private static function mm(string $text, int $most): float
    {
        $read = TypedNumber::length($text);
        if ($read === null || $read[1] !== '') {
            throw new NotRead("\"{$text}\" is no length", 'write it as 0.9 mm or 35 thou');
        }
        if ($read[0] > $most) {
            throw new NotRead(TypedNumber::text($read[0]).' mm is more than there is', "give up to {$most} mm; 1 thou is 0.0254 mm");
        }

        return $read[0];
    }
}
