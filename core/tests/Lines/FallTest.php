<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Lines;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Lines\Uses;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

/** Lines that fall out, and those that fall with them since they speak of what is gone. */
final class FallTest extends TestCase
{
    private int $ids = 0;

    private function read(string $text): Reading
    {
        return LineReader::read($text, new Kit('A build', '', 72, new DateTimeZone('UTC'), []), Paints::shelf(new Names), fn (): string => Id::from('line', (string) ++$this->ids));
    }

    /** @return list<string> */
    private static function unread(Reading $reading): array
    {
        return array_map(static fn ($l): string => "{$l->number}: {$l->problems[0]->wrong}", $reading->unread());
    }

    public function test_what_speaks_of_a_line_that_is_out_is_out_too_and_says_so_and_the_rest_is_read(): void
    {
        $reading = $this->read("hull / a, 4, sea grey, hard 5 to b\nhull / b, 4, see gray\nhull / c, 4, sea grey, hard 5 to d\nhull / d, 4, sea grey");

        self::assertSame(['1: there is no area "b"', '2: "see gray" is not understood here'], self::unread($reading));
        self::assertSame(['c', 'd'], array_map(static fn ($a): string => $a->name, $reading->kit->areas));
        self::assertCount(1, $reading->kit->edges);
    }

    public function test_what_another_line_makes_too_stays(): void
    {
        // The part is made by two lines, of which one is out: the line that speaks of it stands.
        $reading = $this->read("hull / a, 4, see gray\nhull / b, 4, sea grey\nmast, 4, sea grey\nfoot: hull + mast, line");

        self::assertSame(['1: "see gray" is not understood here'], self::unread($reading));
        self::assertCount(1, $reading->kit->joints);
    }

    public function test_a_long_chain_falls_in_a_few_passes_each_line_with_its_own_reason(): void
    {
        $lines = array_map(static fn (int $i): string => "p{$i} / a{$i}, 4, sea grey, hard 5 to a".($i + 1), range(1, 300));
        $before = $this->ids;
        $reading = $this->read(implode("\n", $lines));

        self::assertCount(300, $reading->unread());
        self::assertSame('17: there is no area "a18"', self::unread($reading)[16]);
        self::assertSame([], $reading->kit->areas);
        // An id is taken each time a thing is made: twice for each line and its part, and once more where it is asked by itself.
        self::assertLessThan(10 * 300, $this->ids - $before, 'it is not read anew for each line that falls');
    }

    public function test_many_refusals_of_the_whole_kit_are_said_at_once(): void
    {
        $reading = $this->read("part a, inside b\npart b, inside a\npart c, inside d\npart d, inside c\nhull, 4, sea grey");

        self::assertSame(['hull'], array_map(static fn ($a): string => $a->name, $reading->kit->areas));
        self::assertGreaterThanOrEqual(2, count($reading->unread()));
    }

    public function test_who_falls_with_whom(): void
    {
        $uses = new Uses;
        foreach ([[0, 'x', 'y'], [1, 'y', 'z'], [2, 'z', null], [3, 'z', null], [4, null, 'x']] as [$line, $makes, $of]) {
            $uses->line = $line;
            $makes === null ?: $uses->made($makes, true);
            $uses->of($of);
        }

        self::assertSame([], $uses->lostWith([2]), 'another line makes it too');
        self::assertEqualsCanonicalizing([1, 0, 4], $uses->lostWith([2, 3]));
        self::assertSame([4], $uses->lostWith([0]));
    }
}
