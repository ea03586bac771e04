<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** The edits that make one kit of another, thing by thing and field by field. */
final class KitDiff
{
    /** In this order things are there before what speaks of them. */
    private const LISTS = ['colours', 'parts', 'joints', 'pieces', 'areas', 'edges', 'pins', 'orders', 'notBefore', 'inserted', 'accepted', 'callouts', 'options', 'holders', 'showRules', 'outages', 'flaws', 'features', 'photos', 'masks', 'proposed'];

    /** @return list<Edit> */
    public static function edits(Kit $from, Kit $to): array
    {
        $edits = [];
        [$before, $after] = [$from->toArray(), $to->toArray()];
        foreach (['name', 'subject', 'scale', 'noseWheel'] as $field) {
            if ($before[$field] !== $after[$field]) {
                $edits[] = Edit::set(EditedDocument::KIT, '', $field, $after[$field]);
            }
        }
        foreach (self::LISTS as $list) {
            /** @var list<array<string, mixed>> $old */
            $old = $before[$list];
            /** @var list<array<string, mixed>> $new */
            $new = $after[$list];
            array_push($edits, ...self::list($list, self::byId($old), self::byId($new)));
        }

        return $edits;
    }

    /**
     * @param  array<string, array<string, mixed>>  $old
     * @param  array<string, array<string, mixed>>  $new
     * @return list<Edit>
     */
    private static function list(string $list, array $old, array $new): array
    {
        $edits = [];
        foreach (array_diff_key($old, $new) as $id => $_) {
            $edits[] = Edit::remove($list, $id);
        }
        foreach ($new as $id => $thing) {
            if (! isset($old[$id])) {
                $edits[] = Edit::add($list, $thing);

                continue;
            }
            foreach ($thing as $field => $value) {
                array_push($edits, ...self::field($list, $id, $field, $old[$id][$field] ?? null, $value));
            }
        }

        return $edits;
    }

    /**
     * @param  list<array<string, mixed>>  $things
     * @return array<string, array<string, mixed>>
     */
    private static function byId(array $things): array
    {
        $byId = [];
        foreach ($things as $thing) {
            $byId[is_string($thing['id']) ? $thing['id'] : ''] = $thing;
        }

        return $byId;
    }

    /** @return list<Edit> */
    private static function field(string $list, string $id, string $field, mixed $old, mixed $new): array
    {
        if ($old === $new) {
            return [];
        }
        if ($field !== 'intent' || ! is_array($old) || ! is_array($new)) {
            return [Edit::set($list, $id, $field, $new)];
        }
        $edits = [];
        foreach ($new as $inner => $value) {
            if (($old[$inner] ?? null) !== $value) {
                $edits[] = Edit::set($list, $id, "intent.{$inner}", $value);
            }
        }

        return $edits;
    }
}
