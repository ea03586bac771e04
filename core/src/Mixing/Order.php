<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Regulator;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Material\Vessel;

/** What somebody typed at the mixing bench: a recipe, what of it is known, what was poured. Numbers are read as people type them. */
final readonly class Order
{
    /**
     * @param  list<string|null>  $products  by part: id of the shelf, null where it is none
     * @param  Known  $known  what the rest follows from
     * @param  int  $part  place of the known part
     * @param  float  $ml  known of it, where it is not worked out from the area
     * @param  float|null  $cm2  to cover
     * @param  list<float>|null  $poured  ml of each that went in
     * @param  float|null  $nozzleMm  of the gun; null: no gun
     * @param  float|null  $workingBar  wanted with the trigger down
     * @param  list<array{string, string}>  $grounds  name and swatch of what the plan lays it on
     * @param  string|null  $keptAs  id of the kept recipe it is, unchanged: its spoon counts then
     * @param  float|null  $hardened  pot life, minutes at 20 °C, where hardener is in
     */
    private function __construct(public Recipe $recipe, public array $products, public Known $known, public int $part, public float $ml, public ?float $cm2, public float $coats, public Tool $tool, public ?array $poured, public float $cupMl, public ?float $hardened, public ?float $nozzleMm, public ?Regulator $regulator, public ?float $workingBar, public array $grounds, public ?string $keptAs)
    {
    }

    /** @throws BadDocument naming each field that makes no sense, and what would */
    public static function read(mixed $data): self
    {
        $problems = new Problems;
        $in = Reader::of($data, '', $problems);
        [$parts, $products] = self::parts($in);
        $known = $in->oneOf('known', Known::class, Known::Area);
        $part = $in->whole('part', 0, 7, 0);
        $ml = self::amount($in, array_values(array_filter($parts))[$part] ?? null);
        $cm2 = self::optional($in, 'cm2', 0, 100000, 'give cm² such as 196');
        $coats = self::optional($in, 'coats', 0, 40, 'give coats such as 3; a mist is a half');
        $tool = $in->oneOf('tool', Tool::class, Tool::Airbrush);
        $poured = $in->has('poured') ? $in->each('poured', static fn (Reader $p): float => self::optional($p, 'ml', -1, 1000, 'give ml such as 1.6, or leave it empty') ?? 0.0, 8) : null;
        $cup = self::optional($in, 'cup', 0, 1000, 'give the ml the cup holds, such as 7');
        $hardened = self::optional($in, 'hardened', 0, 10000, 'give the pot life of the label in minutes, such as 240');
        $gun = self::optional($in, 'gun', 0, 2, 'give the nozzle in mm, such as 0.35');
        [$regulator, $working] = self::regulator($in->object('regulator'), $problems);
        $recipe = $in->optionalId('recipe');
        $grounds = $in->each('grounds', static function (Reader $g): array {
            $ground = [$g->text('name', 120), strtoupper($g->text('hex', 7))];
            if (preg_match('/\A#[0-9A-F]{6}\z/', $ground[1]) !== 1) {
                $g->problems->add($g->path('hex'), 'is not a colour', 'write it as #7C96A3');
                $ground[1] = '#808080';
            }
            $g->refuseTheRest();

            return $ground;
        }, 4);
        $in->refuseTheRest();
        $kept = array_values(array_filter($parts));
        self::whole($kept, $parts, $known, $part, $ml, $cm2, $coats, $poured, $problems);
        $problems->throwIfAny();

        return new self(new Recipe($kept === [] ? throw new \LogicException('an empty recipe is a problem') : $kept), $products, $known, $part, $ml ?? 0, $cm2, $coats ?? 1, $tool, $poured, $cup ?? 7.0, $hardened, $gun, $regulator, $working, $grounds, $recipe);
    }

    /**
     * The lines of a recipe as they are typed.
     *
     * @return array{list<Part|null>, list<string|null>} null where an amount is not read; ids of the shelf
     */
    public static function parts(Reader $in): array
    {
        $products = [];
        $parts = $in->each('parts', static function (Reader $p) use (&$products): ?Part {
            $products[] = $p->optionalId('product');
            $name = $p->text('name', 120);
            $stuff = $p->oneOf('stuff', Stuff::class, Stuff::Paint);
            $base = $p->oneOf('base', Base::class, Base::Parts);
            $amount = self::number($p, 'amount', 0, $base === Base::PercentOfMix || $base === Base::PercentOfWhole ? 100 : 1000, 'write parts such as 3 or 1.5');
            $drops = self::optional($p, 'drops', 5, 100, 'count the drops into 1 ml, such as 28');
            $p->refuseTheRest();

            return $amount === null ? null : new Part($name, $stuff, $amount, $base, Vessel::Dropper, $drops === null ? null : 1 / $drops);
        }, 8);

        return [$parts, $products];
    }

    /** ml of thinner to one of paint; 0 where there is none. */
    public function thinnerPerPaint(): float
    {
        return $this->recipe->thinnerPerPaint();
    }

    /** Hardener is in, or its pot life is known. */
    public function isHardened(): bool
    {
        return $this->hardened !== null || array_filter($this->recipe->parts, static fn (Part $p): bool => $p->stuff === Stuff::Hardener) !== [];
    }

    /** More than one paint. */
    public function isMixed(): bool
    {
        return count(array_filter($this->recipe->parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint)) > 1;
    }

    /**
     * @param  list<Part>  $kept
     * @param  list<Part|null>  $parts
     * @param  list<float>|null  $poured
     */
    private static function whole(array $kept, array $parts, Known $known, int $part, ?float $ml, ?float $cm2, ?float $coats, ?array $poured, Problems $problems): void
    {
        if ($parts === []) {
            $problems->add('parts', 'is empty', 'name at least one paint');
        } elseif (count($kept) === count($parts)) {
            if (array_filter($kept, static fn (Part $p): bool => $p->base === Base::Parts && $p->stuff === Stuff::Paint) === []) {
                $problems->add('parts', 'holds no paint counted in parts', 'count at least one paint in parts');
            }
            if (KeptRecipe::leavesNothing($kept)) {
                $problems->add('parts', 'leave nothing for the paint', 'what is stated of the whole stays under 100 % together');
            }
            if ($known === Known::Part && $part >= count($kept)) {
                $problems->add('part', 'is not in the recipe', 'choose one of its parts');
            }
            if ($poured !== null && count($poured) !== count($kept)) {
                $problems->add('poured', 'has not one for each part', 'give ml for each part, or leave them empty');
            }
        }
        if ($known === Known::Area && ($cm2 === null || $coats === null)) {
            $problems->add($cm2 === null ? 'cm2' : 'coats', 'is missing', $cm2 === null ? 'give the area in cm², such as 196' : 'give coats such as 3');
        }
        if ($known !== Known::Area && $ml === null) {
            $problems->add('ml', 'is missing', 'give ml such as 6.35');
        }
    }

    /** @return array{Regulator|null, float|null} a regulator read at rest and flowing, and the pressure that is wanted */
    private static function regulator(Reader $in, Problems $problems): array
    {
        [$rest, $flowing, $working] = array_map(static fn (string $field): ?float => self::optional($in, $field, 0, 10, 'give bar such as 1.5'), ['rest', 'flowing', 'working']);
        $in->refuseTheRest();
        if ($rest === null || $flowing === null) {
            return [null, $working];
        }
        if ($rest < $flowing) {
            $problems->add($in->path('rest'), 'is less than with the trigger down', 'at rest a regulator reads more: look again');

            return [null, $working];
        }

        return [new Regulator($rest, $flowing), $working];
    }

    private static function number(Reader $in, string $field, float $above, float $most, string $right): ?float
    {
        $text = trim($in->optionalText($field, 40) ?? '');
        if ($text === '' || preg_match('/\A[\d.,]+\s*%\z/', $text) === 1) {
            // Rule two-readings: of what it is a percentage stands beside it, and is not guessed.
            $in->problems->add($in->path($field), $text === '' ? 'is empty' : "\"{$text}\" can be read two ways", $text === '' ? $right : 'write the number, and choose beside it whether it is % of the paint, or of paint and thinner together');

            return null;
        }

        return self::optional($in, $field, $above, $most, $right);
    }

    /** ml of the known part, or the drops of it that are in the cup already: "23 drops". */
    private static function amount(Reader $in, ?Part $of): ?float
    {
        $text = trim($in->optionalText('ml', 40) ?? '');
        if ($of !== null && preg_match('/\A(\d{1,5})\s*drops?\z/i', $text, $m) === 1) {
            if ((int) $m[1] > 0) {
                return (int) $m[1] * $of->mlPerDrop();
            }
            $in->problems->add($in->path('ml'), 'is no drop at all', 'count the drops that are in the cup, such as 23 drops');

            return null;
        }

        return self::optional($in, 'ml', 0, 1000, 'give ml such as 6.35, or drops such as 23 drops');
    }

    /** A number as people type it, above one bound and up to another; null where the field is empty or not read, which is then a problem. */
    public static function optional(Reader $in, string $field, float $above, float $most, string $right): ?float
    {
        $text = trim($in->optionalText($field, 40) ?? '');
        if ($text === '') {
            return null;
        }
        try {
            $number = TypedNumber::read($text);
        } catch (NotRead $not) {
            $in->problems->add($in->path($field), $not->wrong, $right);

            return null;
        }
        if ($number <= $above || $number > $most) {
            $in->problems->add($in->path($field), $number <= $above ? "is {$text}, which is too little" : "is {$text}, which is too much", $above < 0 ? $right : "{$right}, above {$above} and up to {$most}");

            return null;
        }

        return $number;
    }
}
