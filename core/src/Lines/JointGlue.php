<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Material\Substrate;

/** The glue of a joint that is typed in. */
final class JointGlue
{
    /**
     * A new joint nobody named a glue for gets one that holds its materials and fogs no pane.
     *
     * @param  array<string, mixed>  $joint
     * @return array<string, mixed>
     */
    public static function of(array $joint, Draft $draft): array
    {
        $id = Draft::text($joint['id']);
        if (! $draft->isMade($id) || $draft->isSaid('joints', $id, 'glue') || ! is_array($joint['parts'] ?? null)) {
            return $joint;
        }
        $of = array_map(static fn (mixed $part): Substrate => Substrate::tryFrom(Draft::text($draft->get('parts', Draft::text($part), 'substrate'))) ?? Substrate::Styrene, array_values($joint['parts']));
        $fogs = count($of) === 2 && ($of[0] === Substrate::ClearStyrene) !== ($of[1] === Substrate::ClearStyrene);

        return count($of) === 2 && ($fogs || ! GlueChoice::cements($of[0], $of[1])) ? [...$joint, 'glue' => GlueChoice::for($of[0], $of[1], ($joint['carriesLoad'] ?? false) === true, false, false)[0]->value] : $joint;
    }
}
