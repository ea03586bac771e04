<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Work\Severity;
use Attribute;
use LogicException;
use ReflectionClass;

/** What stands at the top of each rule: what it is about, how loudly it speaks, and what it rests on. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Says
{
    /**
     * @param  string  $sentence  for the bench: for the finder, and for a rule that is looked up while it is silent
     * @param  list<Severity>  $speaks  loudest first; none where it only orders or holds
     * @param  string  $rests  the figure or the words of the kit it decides by
     */
    public function __construct(public string $sentence, public array $speaks, public string $rests)
    {
    }

    public static function of(Rule $rule): self
    {
        $said = (new ReflectionClass($rule))->getAttributes(self::class)[0] ?? throw new LogicException("{$rule->id()} has no words");

        return $said->newInstance();
    }
}
