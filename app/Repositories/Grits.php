<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Material\Grit;

/** The grits somebody owns. */
final readonly class Grits
{
    private const USUAL = ['P400', 'P600', 'P800', 'P1000', 'P1500', 'P2000', 'P3000'];

    public function __construct(private Settings $settings)
    {
    }

    /** @return list<Grit> */
    public function owned(): array
    {
        $kept = $this->settings->value('grits')['owned'] ?? self::USUAL;

        return array_map(static fn (mixed $text): Grit => self::read(is_string($text) ? $text : '', 'owned'), is_array($kept) ? array_values($kept) : self::USUAL);
    }

    /**
     * @param  list<mixed>  $given  as they are typed
     * @return list<string> as they are told
     *
     * @throws BadDocument where one is no grit
     */
    public function own(array $given): array
    {
        $labels = [];
        foreach ($given as $i => $text) {
            $labels[] = self::read(is_string($text) ? $text : '', "owned[{$i}]")->label();
        }
        $this->settings->set('grits', ['owned' => $owned = array_values(array_unique($labels))]);

        return $owned;
    }

    private static function read(string $text, string $path): Grit
    {
        try {
            // As it is told, so it is read.
            return Grit::read(str_replace('polishing ', '', $text));
        } catch (NotRead $not) {
            throw BadDocument::at($path, $not->wrong, $not->right);
        }
    }
}
