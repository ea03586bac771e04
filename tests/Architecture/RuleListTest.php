<?php

declare(strict_types=1);

namespace Tests\Architecture;

use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use PHPUnit\Framework\TestCase;

/** The compiler hears every rule that lies in a folder, and each has its words at its top. */
final class RuleListTest extends TestCase
{
    public function test_the_list_is_what_lies_in_the_folders(): void
    {
        $list = RuleList::found();
        foreach ([RuleList::CODE => $list->code(), RuleList::PAGE => $list->page()] as $file => $text) {
            self::assertSame($text, file_get_contents(dirname(__DIR__, 2).'/'.$file), "{$file}: run bin/rules");
        }
    }

    public function test_each_rule_has_a_sentence_of_its_own_and_what_it_rests_on(): void
    {
        $said = [];
        foreach (RuleBook::ofTheTrade()->rules as $rule) {
            $says = Says::of($rule);
            self::assertMatchesRegularExpression('/\A[A-Z0-9][^<>]{20,200}\.\z/u', $says->sentence, $rule->id());
            self::assertStringNotContainsString('handbook', $says->sentence);
            self::assertNotSame('', $says->rests, $rule->id());
            self::assertSame($rule instanceof Judges || $rule instanceof SeesDeeds, $says->speaks !== [], "{$rule->id()}: what judges says how loudly");
            self::assertNotContains($says->sentence, $said, $rule->id());
            $said[] = $says->sentence;
        }
    }
}
