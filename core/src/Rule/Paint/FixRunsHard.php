<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Log\Fault;
use AmberStep\Core\Rule\Bench\StateFirst;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

#[Says(
    'A run, a speck or grain is left to harden before it is flatted: rubbing wet paint makes it worse.',
    speaks: [],
    rests: 'Handbook 2, Faults and remedies',
)]
final class FixRunsHard implements OrdersHolds
{
    /** Faults that are rubbed out. */
    public const RUBBED = [Fault::Run, Fault::Dust, Fault::Grain, Fault::OrangePeel];

    public function id(): string
    {
        return 'fix-runs-hard';
    }

    public function concerns(Operation $operation): bool
    {
        return true;
    }

    public function holds(Step $step, World $world): iterable
    {
        return in_array($step->fault, self::RUBBED, true) ? StateFirst::untilReached($step, $world, $this->id()) : [];
    }
}
