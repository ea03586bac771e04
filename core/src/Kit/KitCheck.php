<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Problems;

/** Sees to it that what a kit's things say of each other is there. */
final class KitCheck
{
    public static function references(Kit $kit, Problems $problems): void
    {
        self::uniqueIds($kit, $problems);
        self::inside($kit, $problems);
        foreach ($kit->joints as $i => $joint) {
            foreach ($joint->parts as $part) {
                if ($part !== '' && ! isset($kit->partsById[$part])) {
                    $problems->add("joints[{$i}].parts", "names the part {$part}, which is not in the kit", 'name a part of this kit');
                }
            }
            self::areas($kit, $joint->blocks, "joints[{$i}].blocks", $problems);
        }
        foreach ($kit->areas as $i => $area) {
            if (! isset($kit->partsById[$area->part])) {
                $problems->add("areas[{$i}].part", "names the part {$area->part}, which is not in the kit", 'name a part of this kit');
            }
            self::intent($kit, $area, "areas[{$i}]", $problems);
        }
        foreach ($kit->callouts as $i => $callout) {
            if ($callout->colour !== null && $kit->colour($callout->colour) === null) {
                $problems->add("callouts[{$i}].colour", "names the colour {$callout->colour}, which is not in the build", 'name a colour of this build');
            }
        }
        foreach (['flaws' => $kit->flaws, 'features' => $kit->features] as $list => $things) {
            foreach ($things as $i => $thing) {
                if (! isset($kit->partsById[$thing->part])) {
                    $problems->add("{$list}[{$i}].part", "names the part {$thing->part}, which is not in the kit", 'name a part of this kit');
                }
            }
        }
        foreach ($kit->photos as $i => $photo) {
            if (! isset($kit->jointsById[$photo->target]) && ! isset($kit->flawsById[$photo->target]) && ! isset($kit->partsById[$photo->target])) {
                $problems->add("photos[{$i}].target", "names {$photo->target}, which is not in the kit", 'name a joint, a flaw or a part of this kit');
            }
            self::areas($kit, array_values(array_filter(array_column($photo->marks, 2), is_string(...))), "photos[{$i}].marks", $problems);
        }
        foreach ($kit->masks as $i => $mask) {
            self::areas($kit, $mask->area === null ? [] : [$mask->area], "masks[{$i}].area", $problems);
            if ($mask->stage !== null && $kit->colour($mask->stage) === null) {
                $problems->add("masks[{$i}].stage", "names the colour {$mask->stage}, which is not in the build", 'name a colour of this build');
            }
        }
        foreach ($kit->edges as $i => $edge) {
            self::areas($kit, array_values(array_filter($edge->areas, static fn (string $a): bool => $a !== '')), "edges[{$i}].areas", $problems);
        }
        foreach ($kit->pieces as $i => $piece) {
            if (! isset($kit->partsById[$piece->id])) {
                $problems->add("pieces[{$i}].id", 'is not the id of a part', "a piece's id is its oldest part's");
            }
        }
        foreach ($kit->inserted as $i => $step) {
            foreach ($step->targets as $target) {
                if (! isset($kit->areasById[$target]) && ! isset($kit->jointsById[$target]) && ! isset($kit->partsById[$target]) && ! isset($kit->flawsById[$target])) {
                    $problems->add("inserted[{$i}].targets", "names {$target}, which is not in the kit", 'name areas, a joint, a flaw or a piece of this kit');
                }
            }
        }
    }

    private static function inside(Kit $kit, Problems $problems): void
    {
        foreach ($kit->parts as $i => $part) {
            if ($part->inside !== null && ! isset($kit->partsById[$part->inside])) {
                $problems->add("parts[{$i}].inside", "names the part {$part->inside}, which is not in the kit", 'name a part of this kit');
            }
            $seen = [];
            $in = $part;
            while ($in !== null && ! isset($seen[$in->id])) {
                $seen[$in->id] = true;
                $in = $kit->partsById[$in->inside ?? ''] ?? null;
            }
            if ($in !== null) {
                $problems->add("parts[{$i}].inside", "puts {$part->name} inside itself", 'say which of the two lies inside the other');
            }
        }
    }

    private static function intent(Kit $kit, Area $area, string $path, Problems $problems): void
    {
        $wanted = ['colour' => $area->intent->colour, 'insideColour' => $area->intent->insideColour, 'ground' => $area->intent->ground, 'preshade' => $area->intent->preshade];
        foreach ($wanted as $field => $colour) {
            if ($colour !== null && $kit->colour($colour) === null) {
                $problems->add("{$path}.intent.{$field}", "names the colour {$colour}, which is not in the build", 'name a colour of this build');
            }
        }
        if ($area->isPane() && $area->intent->colour !== null) {
            $problems->add("{$path}.intent.colour", 'is set on a pane', "leave it out: a pane's intent is clear");
        }
        if ($area->seenThrough !== null && ($kit->areasById[$area->seenThrough] ?? null)?->isPane() !== true) {
            $problems->add("{$path}.seenThrough", 'is not a pane', 'name an area whose face is "pane"');
        }
    }

    /** @param  list<string>  $areas */
    private static function areas(Kit $kit, array $areas, string $path, Problems $problems): void
    {
        foreach ($areas as $area) {
            if (! isset($kit->areasById[$area])) {
                $problems->add($path, "names the area {$area}, which is not in the kit", 'name an area of this kit');
            }
        }
    }

    private static function uniqueIds(Kit $kit, Problems $problems): void
    {
        $seen = [];
        foreach (['parts' => $kit->parts, 'joints' => $kit->joints, 'areas' => $kit->areas, 'edges' => $kit->edges, 'colours' => $kit->colours, 'callouts' => $kit->callouts, 'flaws' => $kit->flaws, 'features' => $kit->features, 'masks' => $kit->masks] as $list => $things) {
            foreach ($things as $i => $thing) {
                if (isset($seen[$thing->id])) {
                    $problems->add("{$list}[{$i}].id", "is used twice: {$thing->id}", 'give each thing its own id');
                }
                $seen[$thing->id] = true;
            }
        }
    }
}
