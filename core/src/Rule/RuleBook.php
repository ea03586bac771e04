<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Work\Operation;

/** All rules. Their order here means nothing: no result depends on it. */
final class RuleBook
{
    /** @var array<string, list<OrdersHolds>> */
    private array $holding = [];

    /** @var list<OrdersSteps> */
    public readonly array $orders;

    /** @var list<OrdersHolds> */
    public readonly array $holds;

    /** @var list<ShutsGates> */
    public readonly array $gates;

    /** @var list<Judges> */
    public readonly array $judges;

    /** @var list<SeesDeeds> */
    public readonly array $watching;

    /** @param  list<Rule>  $rules */
    public function __construct(public readonly array $rules)
    {
        $this->orders = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersSteps));
        $this->holds = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersHolds));
        $this->gates = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof ShutsGates));
        $this->judges = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof Judges));
        $this->watching = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof SeesDeeds));
    }

    /** @return list<OrdersHolds> rules that may hold steps of an operation */
    public function holding(Operation $operation): array
    {
        return $this->holding[$operation->value] ??= array_values(array_filter($this->holds, static fn (OrdersHolds $r): bool => $r->concerns($operation)));
    }

    public static function ofTheTrade(): self
    {
        return new self(array_map(static fn (string $rule): Rule => new $rule, TradeRules::ALL));
    }
}
