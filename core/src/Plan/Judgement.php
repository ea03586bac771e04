<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Finding;

/** Hears all judging rules, and sets aside what a remedy answers and what the user has accepted. */
final readonly class Judgement
{
    public function __construct(private RuleBook $rules)
    {
    }

    /** @return list<Finding> stops first; one for each rule and set of targets */
    public function findings(Outlook $outlook): array
    {
        $kit = $outlook->context->kit;
        $answered = array_fill_keys(array_filter(array_map(static fn ($i): string => $i->answers ?? '', $kit->inserted), static fn (string $key): bool => $key !== ''), true);
        $findings = [];
        foreach ($this->rules->judges as $rule) {
            foreach ($rule->judge($outlook) as $finding) {
                $known = $findings[$finding->key] ?? null;
                if (! isset($answered[$finding->key]) && ($known === null || $finding->severity->rank() < $known->severity->rank())) {
                    $findings[$finding->key] = self::accepted($finding, $kit);
                }
            }
        }
        uasort($findings, static fn (Finding $a, Finding $b): int => [$a->severity->rank(), $a->rule, $a->key] <=> [$b->severity->rank(), $b->rule, $b->key]);

        return array_values($findings);
    }

    private static function accepted(Finding $finding, Kit $kit): Finding
    {
        foreach ($kit->accepted as $acceptance) {
            if ($finding->acceptable && $acceptance->finding === $finding->key && $acceptance->facts === $finding->facts) {
                return $finding->acceptedFor($acceptance->reason);
            }
        }

        return $finding;
    }
}
