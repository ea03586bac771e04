<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** What waits for what among tasks, what begins together counted: orders are changed by it so that nothing comes before what it waits for. */
final readonly class Following
{
    /** @var list<list<int>> of each task, those that wait for it */
    public array $of;

    public function __construct(Tasks $tasks)
    {
        $of = [];
        foreach (array_keys($tasks->keys) as $i) {
            $next = array_fill_keys($tasks->unlocks[$i], true);
            foreach ($tasks->readies[$i] as [$group, $piece]) {
                $next += array_fill_keys(array_keys(array_filter($tasks->groups[$group][1], static fn (string $on): bool => $on !== $piece)), true);
            }
            $of[] = array_keys($next);
        }
        $this->of = $of;
    }

    /**
     * Tasks come sooner, with all they wait for.
     *
     * @param  list<int>  $order
     * @param  int  $from  place they come to
     * @param  int  $until  place of the last of them
     * @param  array<int, true>  $these
     * @return list<int>
     */
    public function sooner(array $order, int $from, int $until, array $these): array
    {
        $some = array_slice($order, $from, $until - $from + 1);
        foreach (array_reverse($some) as $i) {
            foreach (isset($these[$i]) ? [] : $this->of[$i] as $next) {
                if (isset($these[$next])) {
                    $these[$i] = true;
                    break;
                }
            }
        }

        return self::parted($order, $from, $some, $these, true);
    }

    /**
     * Tasks come later, with all that waits for them.
     *
     * @param  list<int>  $order
     * @param  int  $from  place of the first of them
     * @param  int  $until  place they come to
     * @param  array<int, true>  $these
     * @return list<int>
     */
    public function later(array $order, int $from, int $until, array $these): array
    {
        $some = array_slice($order, $from, $until - $from + 1);
        foreach ($some as $i) {
            foreach (isset($these[$i]) ? $this->of[$i] : [] as $next) {
                $these[$next] = true;
            }
        }

        return self::parted($order, $from, $some, $these, false);
    }

    /**
     * @param  list<int>  $order
     * @param  list<int>  $some
     * @param  array<int, true>  $these
     * @return list<int>
     */
    private static function parted(array $order, int $from, array $some, array $these, bool $first): array
    {
        $parts = [[], []];
        foreach ($some as $i) {
            $parts[isset($these[$i]) === $first ? 0 : 1][] = $i;
        }
        array_splice($order, $from, count($some), [...$parts[0], ...$parts[1]]);

        return $order;
    }
}
