<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Document;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Sheen;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReaderTest extends TestCase
{
    /** @param  callable(Reader): mixed  $read */
    #[DataProvider('wrong')]
    public function test_a_wrong_field_is_named_with_what_would_be_right(mixed $value, callable $read, string $right): void
    {
        $problems = new Problems;
        $read(Reader::of(['thing' => ['field' => $value]], 'file', $problems)->object('thing'));
        try {
            $problems->throwIfAny();
            self::fail('nothing was said');
        } catch (BadDocument $bad) {
            self::assertStringStartsWith('file.thing.field', $bad->problems[0]->path);
            self::assertStringContainsString($right, $bad->problems[0]->right);
        }
    }

    /** @return iterable<string, array{mixed, callable, string}> */
    public static function wrong(): iterable
    {
        $text = static fn (Reader $r): string => $r->text('field', 10);
        $number = static fn (Reader $r): float => $r->number('field', 1, 5);
        $flag = static fn (Reader $r): bool => $r->flag('field');
        $id = static fn (Reader $r): string => $r->id('field');
        $sheen = static fn (Reader $r): Sheen => $r->oneOf('field', Sheen::class, Sheen::Matt);
        $instant = static fn (Reader $r): int => $r->instant('field');
        $list = static fn (Reader $r): array => $r->ids('field', 2);
        $whole = static fn (Reader $r): int => $r->whole('field', 0, 9, 1);
        yield 'no text' => [null, $text, '1 to 10 printable'];
        yield 'blank text' => ['   ', $text, 'printable'];
        yield 'long text' => ['elevenchars', $text, '1 to 10'];
        yield 'control characters' => ["a\x07", $text, 'printable'];
        yield 'broken UTF-8' => ["\xC3\x28", $text, 'printable'];
        yield 'number as text' => [7, $text, 'printable'];
        yield 'text as number' => ['3', $number, 'from 1 to 5'];
        yield 'number too large' => [6, $number, 'from 1 to 5'];
        yield 'no number' => [null, $number, 'from 1 to 5'];
        yield 'infinite' => [INF, $number, 'from 1 to 5'];
        yield 'a flag of one' => [1, $flag, 'true or false'];
        yield 'an id too short' => ['01K', $id, 'ULID'];
        yield 'an id with letters left out of the alphabet' => ['01K0000000000000000000000I', $id, 'ULID'];
        yield 'no id' => [null, $id, 'ULID'];
        yield 'an unknown word' => ['shiny', $sheen, 'matt, satin, semi-gloss, gloss'];
        yield 'a list for a word' => [['matt'], $sheen, 'use one of'];
        yield 'a wall time' => ['19:05', $instant, '2026-03-02T19:05:00Z'];
        yield 'no instant' => [null, $instant, 'UTC'];
        yield 'an object for a list' => [['a' => 1], $list, '[ ... ]'];
        yield 'too many' => [[1, 2, 3], $list, 'at most 2'];
        yield 'no ids in it' => [['x'], $list, 'ULID'];
        yield 'a fraction' => [1.5, $whole, 'whole number'];
    }

    public function test_all_problems_come_together_and_not_more_than_help(): void
    {
        $problems = new Problems;
        Reader::of(['list' => array_fill(0, 80, ['x' => 1])], '', $problems)->each('list', static function (Reader $r): null {
            $r->refuseTheRest();

            return null;
        });
        try {
            $problems->throwIfAny();
            self::fail('nothing was said');
        } catch (BadDocument $bad) {
            self::assertCount(50, $bad->problems);
            self::assertSame('list[0].x', $bad->problems[0]->path);
        }
    }

    public function test_ids_made_from_facts_are_ids_and_the_same_for_the_same_facts(): void
    {
        self::assertTrue(Id::isValid(Id::from('a', 'b')));
        self::assertSame(Id::from('a', 'b'), Id::from('a', 'b'));
        self::assertNotSame(Id::from('a', 'b'), Id::from('ab'));
        self::assertFalse(Id::isValid('81K00000000000000000000001'));
    }
}
