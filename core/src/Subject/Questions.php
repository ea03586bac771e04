<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Closed;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\JointKind;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Proposed;
use AmberStep\Core\Kit\WashKind;
use AmberStep\Core\Step\Fix;

/** What is asked, not assumed, of a proposed kit: at most five questions, those that change the plan most. */
final class Questions
{
    private const MOST = 5;

    private const INSIDE = 'ask inside';

    private const WING = 'ask wing';

    private const LID = 'ask lid';

    private const DECALS = 'ask decals';

    private const WASH = 'ask wash';

    /** @return list<array{string, string}> of what, and what is asked */
    public static function ofKit(Kit $kit): array
    {
        $asks = [];
        foreach ($kit->parts as $part) {
            if ($part->inside !== null && self::joint($kit, $part->id) !== null) {
                $asks[] = [$part->id, self::INSIDE];
            }
        }
        foreach ($kit->joints as $joint) {
            $areas = self::areasOf($kit, $joint->parts[1]);
            $panes = array_filter($areas, static fn (Area $a): bool => $a->isPane());
            if ($panes !== []) {
                $asks[] = [$joint->id, self::LID];
            } elseif ($joint->kind === JointKind::Seam && $joint->blocks === [] && count($areas) > 1) {
                $asks[] = [$joint->id, self::WING];
            }
        }
        $outside = array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->isPainted() && $a->face === Face::Outside));
        if ($outside !== []) {
            $asks[] = [$outside[0]->id, self::WASH];
            $asks[] = [$outside[0]->id, self::DECALS];
        }

        return array_slice($asks, 0, self::MOST);
    }

    /** @return list<Question> that are not answered yet */
    public static function open(Kit $kit): array
    {
        $open = [];
        foreach ($kit->proposed as $asked) {
            $question = match ($asked->as) {
                self::INSIDE => self::inside($kit, $asked),
                self::WING => self::wing($kit, $asked),
                self::LID => self::lid($kit, $asked),
                self::DECALS => self::decals($kit, $asked),
                self::WASH => self::wash($kit, $asked),
                default => null,
            };
            if ($question !== null) {
                $open[] = $question;
            }
        }

        return $open;
    }

    private static function inside(Kit $kit, Proposed $asked): ?Question
    {
        $part = $kit->partsById[$asked->of] ?? null;
        $joint = $part === null ? null : self::joint($kit, $part->id);
        if ($part === null || $joint === null) {
            return null;
        }
        $shut = array_map(static fn (Area $a): string => $a->id, self::areasOf($kit, $part->id));
        $edits = [Edit::set('parts', $part->id, 'inside', null), Edit::set('joints', $joint->id, 'closed', Closed::AfterPaint->value), Edit::set('joints', $joint->id, 'glue', 'clear-glue')];
        foreach ($kit->joints as $other) {
            if (array_intersect($other->blocks, $shut) !== []) {
                $edits[] = Edit::set('joints', $other->id, 'blocks', array_values(array_diff($other->blocks, $shut)));
            }
        }

        return new Question($asked->id, "How does the {$part->name} come in?", 'what is painted before the halves close', [
            self::asItIs($asked, 'Before the halves close'), self::answer($asked, 'From below, when they are closed', $edits),
        ]);
    }

    private static function wing(Kit $kit, Proposed $asked): ?Question
    {
        $joint = $kit->jointsById[$asked->of] ?? null;
        $part = $joint === null ? null : $kit->partsById[$joint->parts[1]] ?? null;

        return $joint === null || $part === null ? null : new Question($asked->id, "Is the {$part->name} painted before it goes on?", 'one seam to fill against easier masking', [
            self::asItIs($asked, 'Glued first, the seam filled'),
            self::answer($asked, 'Painted first, it fits without a gap', [Edit::set('joints', $joint->id, 'closed', Closed::AfterPaint->value), Edit::set('joints', $joint->id, 'kind', JointKind::Line->value), Edit::set('joints', $joint->id, 'gapMm', 0), Edit::set('joints', $joint->id, 'lengthCm', 0), Edit::set('joints', $joint->id, 'filler', null)]),
        ]);
    }

    private static function lid(Kit $kit, Proposed $asked): ?Question
    {
        $joint = $kit->jointsById[$asked->of] ?? null;
        $part = $joint === null ? null : $kit->partsById[$joint->parts[1]] ?? null;

        return $joint === null || $part === null ? null : new Question($asked->id, "When does the {$part->name} go on?", 'whether its frame is painted with the rest, and whether the opening is covered meanwhile', [
            self::asItIs($asked, 'After paint'),
            self::answer($asked, 'Before paint, the joint closes under it', [Edit::set('joints', $joint->id, 'closed', Closed::BeforePaint->value)]),
        ]);
    }

    private static function decals(Kit $kit, Proposed $asked): Question
    {
        $with = array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->intent->decals));

        return $with === [] ? new Question($asked->id, 'Are there decals?', 'gloss before them, a seal after', [
            self::asItIs($asked, 'None'), self::answer($asked, 'Yes, on its largest face', [Edit::set('areas', self::largest($kit, $asked->of), 'intent.decals', true)]),
        ]) : new Question($asked->id, 'Are there decals?', 'gloss before them, a seal after', [
            self::asItIs($asked, 'Yes'), self::answer($asked, 'None', array_map(static fn (Area $a): Edit => Edit::set('areas', $a->id, 'intent.decals', false), $with)),
        ]);
    }

    private static function wash(Kit $kit, Proposed $asked): Question
    {
        $outside = array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->isPainted() && $a->face === Face::Outside && ! $a->intent->polish));
        $washed = array_values(array_filter($outside, static fn (Area $a): bool => $a->intent->wash !== null));

        return $washed === [] ? new Question($asked->id, 'Does it get a wash?', 'gloss under it, a day or more to dry', [
            self::asItIs($asked, 'No'), self::answer($asked, 'Yes, along the lines', array_map(static fn (Area $a): Edit => Edit::set('areas', $a->id, 'intent.wash', WashKind::Pin->value), $outside)),
        ]) : new Question($asked->id, 'Does it get a wash?', 'gloss under it, a day or more to dry', [
            self::asItIs($asked, 'Yes'), self::answer($asked, 'No', array_map(static fn (Area $a): Edit => Edit::set('areas', $a->id, 'intent.wash', null), $washed)),
        ]);
    }

    private static function asItIs(Proposed $asked, string $title): Fix
    {
        return self::answer($asked, $title, []);
    }

    /** @param  list<Edit>  $edits */
    private static function answer(Proposed $asked, string $title, array $edits): Fix
    {
        return new Fix($title, [...$edits, Edit::remove('proposed', $asked->id)]);
    }

    private static function joint(Kit $kit, string $part): ?Joint
    {
        foreach ($kit->joints as $joint) {
            if ($joint->parts[1] === $part) {
                return $joint;
            }
        }

        return null;
    }

    /** @return list<Area> */
    private static function areasOf(Kit $kit, string $part): array
    {
        return array_values(array_filter($kit->areas, static fn (Area $a): bool => $a->part === $part));
    }

    private static function largest(Kit $kit, string $or): string
    {
        $best = $kit->areasById[$or] ?? null;
        foreach ($kit->areas as $area) {
            if ($area->isPainted() && $area->face === Face::Outside && ($best === null || $area->cm2() > $best->cm2())) {
                $best = $area;
            }
        }

        return $best->id ?? $or;
    }
}
