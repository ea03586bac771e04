<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** Tasks of several builds in one time. */
final class Joined
{
    /**
     * Tasks of several builds as one: numbered one after the other, their paints told once.
     *
     * @param  list<Tasks>  $builds
     */
    public static function of(array $builds): Tasks
    {
        if (count($builds) === 1) {
            return clone $builds[0];
        }
        $all = new Tasks;
        $paints = $mixed = [];
        foreach ($builds as $one) {
            $by = $all->count();
            $paint = [-1 => -1];
            foreach ($one->paints as $p => $each) {
                if (! isset($paints[$each->id])) {
                    $paints[$each->id] = count($all->paints);
                    $all->paints[] = $each;
                } elseif ($each->mixed !== null && $each->mixed > ($all->paints[$paints[$each->id]]->mixed ?? 0)) {
                    $all->paints[$paints[$each->id]] = $each;
                }
                $paint[$p] = $paints[$each->id];
            }
            foreach ($one->keys as $i => $key) {
                $all->paint[] = $paint[$one->paint[$i]];
                $all->sitting[] = $one->sitting[$i] < 0 ? -1 : $one->sitting[$i] + $by;
                $all->unlocks[] = self::moved($one->unlocks[$i], $by);
                $all->arcs[] = array_map(static fn (array $arc): array => [$arc[0] + $by, $arc[1], $arc[2], $arc[3], $arc[4]], $one->arcs[$i]);
                $all->readies[] = array_map(static fn (array $r): array => [$r[0] + count($all->groups), $r[1]], $one->readies[$i]);
            }
            foreach ($one->groups as [$open, $begin]) {
                $all->groups[] = [$open, array_combine(self::moved(array_keys($begin), $by), $begin)];
            }
            foreach ($one->loaded as [$p, $at]) {
                $all->loaded[] = [$paint[$p], $at];
            }
            foreach ($one->cleaned as $id => $at) {
                $all->cleaned[$id] = max($all->cleaned[$id] ?? 0, $at);
            }
            if ($one->last > $all->last) {
                [$all->last, $all->washed] = [$one->last, $one->washed];
            }
            array_push($all->begun, ...self::moved($one->begun, $by));
            array_push($all->inside, ...self::moved($one->inside, $by));
            foreach ($one->laid as $off => $until) {
                $all->laid[$off + $by] = $until;
            }
            foreach ($one->stays as $off => [$on, $seconds]) {
                $all->stays[$off + $by] = [$on + $by, $seconds];
            }
            foreach ($one->comesOff as $off => [$on, $seconds]) {
                $all->comesOff[$off + $by] = [$on < 0 ? -1 : $on + $by, $seconds];
            }
            foreach ($one->cabinet as $in => $for) {
                $all->cabinet[$in + $by] = $for + $by;
            }
            foreach ($one->warms as $in => [$celsius, $out]) {
                $all->warms[$in + $by] = [$celsius, self::moved($out, $by)];
            }
            array_push($all->keys, ...$one->keys);
            array_push($all->seconds, ...$one->seconds);
            array_push($all->gloss, ...$one->gloss);
            array_push($all->water, ...$one->water);
            array_push($all->fixed, ...$one->fixed);
            array_push($all->open, ...$one->open);
            array_push($all->shut, ...$one->shut);
            array_push($all->closes, ...$one->closes);
            array_push($all->shuts, ...$one->shuts);
            array_push($all->passes, ...$one->passes);
            array_push($all->air, ...$one->air);
        }

        $gates = array_values(array_unique(array_filter(array_column(array_merge(...$all->shuts), 0), static fn (string $gate): bool => str_ends_with($gate, Tasks::AIR))));
        $all->air = array_map(static fn (array $own): array => $own === [] ? [] : $gates, $all->air);

        return $all;
    }

    /**
     * @param  list<int>  $tasks
     * @return list<int>
     */
    private static function moved(array $tasks, int $by): array
    {
        return array_map(static fn (int $i): int => $i + $by, $tasks);
    }
}
