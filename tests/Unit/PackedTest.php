<?php

declare(strict_types=1);

namespace Tests\Unit;

use App\Answers\Kept;
use App\Answers\Packed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;

/** Kept answers go out compressed with the time of day put in: zlib itself reads what we have joined. */
final class PackedTest extends TestCase
{
    private const NOW = 1772564700;

    /** @param  array<string, mixed>  $data */
    #[DataProvider('answers')]
    public function test_what_goes_out_is_read_by_any_reader_and_says_now(array $data): void
    {
        $packed = Packed::of($data);
        $sent = gzuncompress($packed->deflated(self::NOW));

        self::assertIsString($sent, 'the check sum is right');
        self::assertSame($packed->plain(self::NOW), $sent);
        self::assertSame([...$data, 'now' => '2026-03-03T19:05:00Z'], json_decode($sent, true, 512, JSON_THROW_ON_ERROR));
        self::assertSame($data, $packed->data());
        self::assertSame($data, Packed::fromBytes($packed->bytes())?->data());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function answers(): iterable
    {
        yield 'small' => [['a' => 1]];
        yield 'words of other tongues' => [['name' => 'Möwe “grey” ½ — 灰', 'slash' => 'a/b', 'zero' => 1.0, 'none' => null]];
        yield 'nothing to gain' => [['x' => base64_encode(self::noise(40))]];
        yield 'longer than a block' => [['x' => base64_encode(self::noise(200_000)), 'y' => str_repeat('mask ', 50_000)]];
        for ($seed = 1; $seed <= 30; $seed++) {
            yield "at random {$seed}" => [['x' => bin2hex(self::noise($seed * 331)), 'seed' => $seed]];
        }
    }

    private static function noise(int $bytes): string
    {
        mt_srand($bytes);

        return implode('', array_map(static fn (): string => chr(mt_rand(0, 255)), range(1, $bytes)));
    }

    public function test_its_mark_is_that_of_its_words_not_of_the_hour(): void
    {
        self::assertSame(Packed::of(['a' => 1])->mark(), Packed::of(['a' => 1])->mark());
        self::assertNotSame(Packed::of(['a' => 1])->mark(), Packed::of(['a' => 2])->mark());
    }

    public function test_what_is_damaged_is_not_taken_for_an_answer(): void
    {
        self::assertNull(Packed::fromBytes(''));
        self::assertNull(Packed::fromBytes('12345678'));
        self::assertNull(Kept::fromBytes('nothing that was kept'));
        self::assertNull(Kept::fromBytes("[\"mark\",1]\n".Packed::of(['a' => 1])->bytes()));
        $this->expectException(RuntimeException::class);
        Packed::fromBytes(substr(Packed::of(['a' => str_repeat('x', 99)])->bytes(), 0, 9)."\xff\xff\xff")?->data();
    }

    public function test_it_holds_for_its_mark_from_when_it_was_made_until_it_said(): void
    {
        $kept = new Kept('mark', 100, 200, 7, [100, 90], Packed::of(['a' => 1]));
        $read = Kept::fromBytes($kept->bytes());

        self::assertEquals($kept, $read);
        self::assertSame([false, true, true, false], array_map(static fn (int $t): bool => $kept->holds('mark', $t), [99, 100, 199, 200]));
        self::assertFalse($kept->holds('another', 150));
    }
}
