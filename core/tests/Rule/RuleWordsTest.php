<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\RuleWords;
use PHPUnit\Framework\TestCase;
use ReflectionClassConstant;

/** Each rule can be looked up in words, and none is described that is not there. */
final class RuleWordsTest extends TestCase
{
    public function test_each_rule_has_a_sentence_of_its_own(): void
    {
        $rules = RuleBook::ofTheTrade()->rules;
        $said = array_map(RuleWords::of(...), $rules);

        self::assertSame($said, array_unique($said));
        foreach ($said as $i => $sentence) {
            self::assertMatchesRegularExpression('/\A[A-Z0-9][^<>]{20,200}\.\z/u', $sentence, $rules[$i]->id());
            self::assertStringNotContainsString('handbook', $sentence);
        }
        self::assertSame([], array_diff(array_keys((array) (new ReflectionClassConstant(RuleWords::class, 'SAYS'))->getValue()), array_map(static fn (Rule $r): string => $r->id(), $rules)));
    }

    public function test_its_name_is_its_id_as_one_says_it(): void
    {
        foreach (RuleBook::ofTheTrade()->rules as $rule) {
            if ($rule->id() === 'tape-overstays') {
                self::assertSame('Tape overstays', RuleWords::name($rule));
            }
        }
    }
}
