<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;

/** A paint that is known by its name only: what one takes it for until a spoon is sprayed. */
final class PaintByName
{
    private const ROLES = ['primer' => Role::Primer, 'surfacer' => Role::Primer, 'varnish' => Role::Varnish, 'clear' => Role::Varnish, 'wash' => Role::Wash, 'silver' => Role::Metallic, 'gold' => Role::Metallic, 'bronze' => Role::Metallic, 'copper' => Role::Metallic, 'steel' => Role::Metallic, 'aluminium' => Role::Metallic, 'metal' => Role::Metallic, 'metallic' => Role::Metallic];

    /** Satin and of good cover, where the name says nothing else. */
    public static function product(string $id, string $name, Family $family, ?string $swatch = null): Product
    {
        $words = explode(' ', mb_strtolower($name));
        $role = Role::Colour;
        $sheen = Sheen::Satin;
        foreach ($words as $word) {
            $role = self::ROLES[$word] ?? $role;
            $sheen = Sheen::tryFrom($word) ?? $sheen;
        }

        return new Product($id, $name, 'own', $family, $role, $role === Role::Varnish ? null : $swatch ?? ColourWords::swatch($name), $sheen, Opacity::Good);
    }
}
