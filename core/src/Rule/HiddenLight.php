<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Plan\ColourOrder;
use AmberStep\Core\Plan\Context;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Outlook;

/** Light comes through grilles, gaps and lamps: what lies behind them is dark before it is closed. */
final class HiddenLight implements Judges
{
    /** CIE L*: darker than this swallows light. */
    private const DARK = 35;

    public function id(): string
    {
        return 'hidden-light';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            $open = array_values(array_filter($joint->parts, static fn (string $p): bool => $context->kit->partsById[$p]->letsLight));
            if ($open === [] || $context->surface->joint($joint->id)->closedAt !== null || $this->isDarkBehind($context, $joint)) {
                continue;
            }
            $name = $context->kit->partsById[$open[0]]->name;
            $key = (new Finding($this->id(), Severity::Note, '', '', [$joint->id]))->key;
            yield new Finding($this->id(), Severity::Note, "Light comes through {$name}", "What lies behind {$joint->name} is not painted dark: bare plastic shines through once it is closed.", [$joint->id], [], [
                Say::look($outlook, $key, [$joint->id], "Paint it dark behind {$name} before {$joint->name} is closed", null, Operation::Look),
            ]);
        }
    }

    private function isDarkBehind(Context $context, Joint $joint): bool
    {
        foreach ($context->kit->areas as $area) {
            $behind = $area->face === Face::Inside && (in_array($area->part, $joint->parts, true) || in_array($area->id, $joint->blocks, true));
            if ($behind && ColourOrder::lightness($context->shelf->find($context->kit->colour($area->intent->colour)?->product)) < self::DARK) {
                return true;
            }
        }

        return false;
    }
}
