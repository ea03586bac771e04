<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** Names in a sentence. */
final class Names
{
    /**
     * "hull, wing and fin": each once, in the order given.
     *
     * @param  list<string>  $names
     */
    public static function listed(array $names): string
    {
        $names = array_values(array_unique($names));
        $last = array_pop($names) ?? '';

        return $names === [] ? $last : implode(', ', $names).' and '.$last;
    }
}
