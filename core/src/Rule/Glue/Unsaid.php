<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

/** Parts whose name or face suggests that they lie inside others, where nobody said how they come in. */
final class Unsaid
{
    private const INSIDE = '~\b(seats?|cockpit|tub|instrument panel|dash|dashboard|console|engine|motor|gearbox|pilot|crew|driver|commander|gunner|control column|joystick|steering wheel|pedals?|interior|cabin|bulkhead|bunks?|harness|belts?|floorpan)\b~iu';

    /** What goes round such things, and is seen from outside. */
    private const ROUND_THEM = '~\b(cowl\w*|covers?|nacelles?|hood|bonnet|canopy|roof|doors?|lid|hatch\w*|glass|windows?|pane|frame|pod|deck|wall|hull|fuselage|body|exhaust|mount)\b~iu';

    private const OPEN = '~\b(open|roadster|jeep|kart|dinghy)\b~iu';

    /** Times its cm² from which a part can close round another. */
    private const ROUND = 3.0;

    /** @return iterable<Finding> one for the whole kit */
    public static function ask(Rule $rule, Context $context): iterable
    {
        $ids = $names = $edits = [];
        foreach (self::of($context) as $round => $parts) {
            foreach ($parts as $part) {
                $ids[] = $part->id;
                $edits[] = Edit::set('parts', $part->id, 'inside', (string) $round);
            }
            $names[] = Names::listed(array_map(static fn (Part $p): string => $p->name, $parts)).' inside '.$context->kit->partsById[$round]->name;
        }
        if ($edits !== []) {
            yield new Finding($rule->id(), Severity::Think, 'What lies inside?', 'Nobody said how these come in: '.implode('; ', $names).'? What lies inside is painted and glued before it is closed.', $ids, [], [
                new Fix(count($ids) === 1 ? 'It lies inside' : 'They lie inside', $edits),
            ]);
        }
    }

    /**
     * Where each of them most likely lies.
     *
     * @return array<string, list<Part>> by the part round them
     */
    public static function of(Context $context): array
    {
        $kit = $context->kit;
        if (preg_match(self::OPEN, $kit->name.' '.$kit->subject) === 1) {
            return [];
        }
        $asked = [];
        foreach ($kit->parts as $part) {
            if ($part->inside === null && $part->bookletStep === null && ! $part->isClear() && self::suggests($part, $kit) && ! self::isBlocked($part, $kit)) {
                $round = self::roundIt($part, $context);
                if ($round !== null) {
                    $asked[$round->id][] = $part;
                }
            }
        }

        return $asked;
    }

    private static function suggests(Part $part, Kit $kit): bool
    {
        $faces = array_map(static fn (Area $a): Face => $a->face, $kit->areasOf($part->id));

        return (preg_match(self::INSIDE, $part->name) === 1 && preg_match(self::ROUND_THEM, $part->name) !== 1)
            || ($faces !== [] && array_filter($faces, static fn (Face $f): bool => $f !== Face::Inside) === []);
    }

    /** A joint that is said to block what is on it says when it is closed in. */
    private static function isBlocked(Part $part, Kit $kit): bool
    {
        foreach ($kit->joints as $joint) {
            foreach ($joint->blocks as $area) {
                if ($kit->areasById[$area]->part === $part->id) {
                    return true;
                }
            }
        }

        return false;
    }

    /** What it is glued to, where something still closes that; where it is glued to nothing, the largest part there is. */
    private static function roundIt(Part $part, Context $context): ?Part
    {
        $kit = $context->kit;
        $own = array_values(array_filter($kit->joints, static fn (Joint $j): bool => in_array($part->id, $j->parts, true)));
        if ($own !== []) {
            foreach ($own as $joint) {
                $other = $joint->parts[0] === $part->id ? $joint->parts[1] : $joint->parts[0];
                $closing = array_filter($kit->joints, static fn (Joint $j): bool => $j->id !== $joint->id && $j->isSeam() && in_array($other, $j->parts, true));
                if ($joint->stepIn($kit) === null && $closing !== [] && self::isRound($kit->partsById[$other], $part, $kit)) {
                    return $kit->partsById[$other];
                }
            }

            return null;
        }
        $largest = null;
        foreach ($kit->parts as $other) {
            if (! $other->isClear() && self::isRound($other, $part, $kit) && ($largest === null || self::cm2($other, $kit) > self::cm2($largest, $kit))) {
                $largest = $other;
            }
        }

        return $largest;
    }

    private static function isRound(Part $round, Part $part, Kit $kit): bool
    {
        return $round->id !== $part->id && self::cm2($round, $kit) >= self::ROUND * self::cm2($part, $kit);
    }

    private static function cm2(Part $part, Kit $kit): float
    {
        return array_sum(array_map(static fn (Area $a): float => $a->cm2(), $kit->areasOf($part->id)));
    }
}
