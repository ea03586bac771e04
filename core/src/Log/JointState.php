<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Work\Operation;

/** What was done to one joint, or to one flaw that is made good. */
final class JointState
{
    public ?int $closedAt = null;

    /** The event or planned step that closed it. */
    public ?string $closedBy = null;

    public ?Glue $glue = null;

    public ?int $filledAt = null;

    public ?string $filledBy = null;

    public ?Filler $filler = null;

    /** @var array<string, non-empty-list<int>> instants by "operation/purpose" */
    public array $done = [];

    /** @var list<Deed> in the order they happened */
    public array $deeds = [];

    public function count(Operation $operation, string $purpose): int
    {
        return count($this->done[$operation->value.'/'.$purpose] ?? []);
    }
}
