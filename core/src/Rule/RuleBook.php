<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

/** All rules. Their order here means nothing: no result depends on it. */
final readonly class RuleBook
{
    /** @var list<OrdersSteps> */
    public array $orders;

    /** @var list<OrdersHolds> */
    public array $holds;

    /** @var list<Judges> */
    public array $judges;

    /** @param  list<Rule>  $rules */
    public function __construct(public array $rules)
    {
        $this->orders = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersSteps));
        $this->holds = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof OrdersHolds));
        $this->judges = array_values(array_filter($rules, static fn (Rule $r): bool => $r instanceof Judges));
    }

    public static function ofTheTrade(): self
    {
        return new self(array_map(static fn (string $rule): Rule => new $rule, TradeRules::ALL));
    }
}
