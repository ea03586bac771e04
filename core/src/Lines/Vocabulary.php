<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Kit\Closed;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Grip;
use AmberStep\Core\Kit\Origin;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Kit\WashKind;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\Substrate;

/** The words of a line, and what each sets. One word means one thing. */
final class Vocabulary
{
    /** Words a line may begin with. */
    public const HEADS = ['part', 'piece', 'joint', 'colour'];

    /** Words that lead to a name or a number. */
    public const LEADS = ['inside', 'on', 'preshade', 'pre-shade', 'seen through', 'hard', 'soft', 'feathered', 'also', 'no', 'step', 'moulded', 'slot', 'hand', 'gap', 'blocks', 'fill', 'held by', 'to', 'grip', 'option', 'best side', 'code'];

    /** @return array<string, array{string, mixed, string}> field, value and what it says, by word */
    public static function area(): array
    {
        $words = [
            'decals' => ['intent.decals', true, 'decals'], 'no decals' => ['intent.decals', false, 'no decals'],
            'polish' => ['intent.polish', true, 'polished'], 'no polish' => ['intent.polish', false, 'not polished'],
            'wash' => ['intent.wash', WashKind::Pin->value, 'pin wash'], 'pin wash' => ['intent.wash', WashKind::Pin->value, 'pin wash'],
            'filter' => ['intent.wash', WashKind::Filter->value, 'filter'], 'no wash' => ['intent.wash', null, 'no wash'],
            'no sheen' => ['intent.sheen', null, 'sheen as the paint has it'], 'bare' => ['intent.colour', null, 'stays bare'],
            'no preshade' => ['intent.preshade', null, 'no pre-shade'], 'no ground' => ['intent.ground', null, 'no ground of its own'], 'no inside' => ['intent.insideColour', null, 'no inside colour'],
            'outside' => ['face', Face::Outside->value, 'outside'], 'inside' => ['face', Face::Inside->value, 'an inside face'],
            'pane' => ['face', Face::Pane->value, 'a pane, stays clear'], 'joint face' => ['face', Face::JointFace->value, 'a joint face'],
        ];
        foreach (Size::cases() as $size) {
            $words[mb_strtolower($size->value)] = ['size', $size->value, "about {$size->cm2()} cm²"];
        }
        foreach (Curve::cases() as $curve) {
            $words[$curve->value] = ['curve', $curve->value, $curve->value];
        }
        foreach (Sheen::cases() as $sheen) {
            $words[$sheen->value] = ['intent.sheen', $sheen->value, $sheen->value];
        }

        return $words;
    }

    /** @return array<string, array{string, mixed, string}> */
    public static function part(): array
    {
        $words = [
            'fragile' => ['fragile', true, 'fragile'], 'not fragile' => ['fragile', false, 'not fragile'],
            'stressed' => ['stressed', true, 'stressed or thin'], 'not stressed' => ['stressed', false, 'not stressed'],
            'lets light' => ['letsLight', true, 'lets light through'], 'lets no light' => ['letsLight', false, 'lets no light through'],
            'hollow' => ['hollow', true, 'hollow: stuffed before heat'], 'not hollow' => ['hollow', false, 'not hollow'], 'no option' => ['option', null, 'built whatever is chosen'], 'inside nothing' => ['inside', null, 'lies inside no other part'], 'no grip' => ['grip', null, 'grip not said'],
        ];
        foreach (Origin::cases() as $origin) {
            $words["{$origin->value} part"] = ['origin', $origin->value, $origin === Origin::Base ? 'the base' : "{$origin->value} part"];
        }
        foreach (Grip::cases() as $grip) {
            $words['grip '.str_replace('-', ' ', $grip->value)] = ['grip', $grip->value, 'held by its '.$grip->word()];
        }
        foreach (Substrate::cases() as $substrate) {
            $words[$substrate->value] = $words[mb_strtolower($substrate->word())] = ['substrate', $substrate->value, $substrate->word()];
        }

        return [...$words, 'clear' => $words['clear-styrene'], 'etch' => $words['brass'], 'etched brass' => $words['brass'], 'vinyl' => $words['soft-vinyl']];
    }

    /** @return array<string, array{string, mixed, string}> */
    public static function joint(): array
    {
        $words = [
            'seam' => ['kind', 'seam', 'a seam that must vanish'], 'line' => ['kind', 'line', 'a line that belongs there'],
            'before paint' => ['closed', Closed::BeforePaint->value, 'closed before paint'], 'after paint' => ['closed', Closed::AfterPaint->value, 'closed after paint'], 'undecided' => ['closed', Closed::Undecided->value, 'settled by the plan'],
            'load' => ['carriesLoad', true, 'carries load'], 'carries load' => ['carriesLoad', true, 'carries load'], 'no load' => ['carriesLoad', false, 'carries no load'],
            'pins' => ['pins', true, 'aligned by its pins'], 'no pins' => ['pins', false, 'no pins to align it'],
            'removable' => ['removable', true, 'comes off again'], 'for good' => ['removable', false, 'for good'],
            'easy to sand' => ['access', 'open', 'easy to sand'], 'tight to sand' => ['access', 'tight', 'tight to sand'], 'detail beside it' => ['access', 'detail', 'detail beside it'], 'cannot be sanded' => ['access', 'none', 'cannot be sanded: filled and wiped wet'],
            'lines cross it' => ['crossed', true, 'lines cross it and are scribed again'], 'no lines cross it' => ['crossed', false, 'no lines cross it'],
            'no filler' => ['filler', null, 'filler by its gap'],
        ];
        foreach (Glue::cases() as $glue) {
            $words[$glue->value] = $words[$glue->word()] = ['glue', $glue->value, $glue->word()];
        }

        return $words;
    }

    /** @return array<string, string> filler value by word */
    public static function fillers(): array
    {
        $words = [];
        foreach (Filler::cases() as $filler) {
            $words[$filler->value] = $words[mb_strtolower($filler->word())] = $filler->value;
        }

        return $words;
    }

    /** @return list<string> */
    public static function edges(): array
    {
        return array_map(static fn (EdgeKind $k): string => $k->value, EdgeKind::cases());
    }

    /** Whether a name would be read as a word of the line, or begins like one. */
    public static function isTaken(string $name): bool
    {
        $lower = mb_strtolower($name);
        foreach ([...self::HEADS, ...self::LEADS] as $lead) {
            if ($lower === $lead || str_starts_with($lower, $lead.' ')) {
                return true;
            }
        }

        return isset(self::area()[$lower]) || isset(self::part()[$lower]) || isset(self::joint()[$lower]) || preg_match('/\A(\d|x\d)/i', $name) === 1;
    }
}
