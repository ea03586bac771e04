<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/** Which lines make what, and which speak of it: when lines fall out, what falls with them is known at once. */
final class Uses
{
    public int $line = -1;

    /** @var array<string, array<int, true>> lines that would make a thing, by id; what was there before has none */
    private array $makers = [];

    /** @var array<string, array<int, true>> lines that speak of a thing, by id */
    private array $users = [];

    public function of(?string $id): ?string
    {
        if ($id !== null) {
            $this->users[$id][$this->line] = true;
        }

        return $id;
    }

    public function made(string $id, bool $isNew): string
    {
        if ($isNew) {
            $this->makers[$id][$this->line] = true;
        }

        return $id;
    }

    /**
     * @param  list<int>  $failed
     * @return list<int> others that speak of what only lines make that fall out
     */
    public function lostWith(array $failed): array
    {
        $makes = [];
        foreach ($this->makers as $id => $lines) {
            foreach ($lines as $line => $_) {
                $makes[$line][] = (string) $id;
            }
        }
        $left = array_map(count(...), $this->makers);
        $out = array_fill_keys($failed, true);
        $lost = [];
        for ($queue = $failed; $queue !== [];) {
            foreach ($makes[array_pop($queue)] ?? [] as $id) {
                if (--$left[$id] > 0) {
                    continue;
                }
                foreach ($this->users[$id] ?? [] as $user => $_) {
                    if (! isset($out[$user])) {
                        $out[$user] = true;
                        $lost[] = $queue[] = $user;
                    }
                }
            }
        }

        return $lost;
    }
}
