<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

/** Gives each name in a test an id, in the order names turn up, so that tests can be written in words. */
final class Names
{
    /** @var array<string, string> */
    private array $ids = [];

    public function id(string $name): string
    {
        return $this->ids[$name] ??= sprintf('01K0000000%016d', count($this->ids) + 1);
    }

    public function name(string $id): string
    {
        return (string) (array_search($id, $this->ids, true) ?: $id);
    }

    public function has(string $name): bool
    {
        return isset($this->ids[$name]);
    }
}
