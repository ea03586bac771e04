<?php

declare(strict_types=1);

namespace Tests\Unit;

use App\Keeping\Logs;
use PHPUnit\Framework\TestCase;

/** Logs that grow too large are set aside, three of them. */
final class LogsTest extends TestCase
{
    public function test_what_has_grown_too_large_is_set_aside_and_only_three_are_kept(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'log');
        $writer = fopen($file, 'a');
        self::assertNotFalse($writer);
        foreach (['a', 'b', 'c', 'd'] as $letter) {
            fwrite($writer, str_repeat($letter, Logs::MOST_BYTES));
            Logs::rotate($file);
            self::assertSame(Logs::MOST_BYTES, strlen((string) file_get_contents($file)), 'not before it is too large');
            fwrite($writer, $letter);
            Logs::rotate($file);
            self::assertSame('', file_get_contents($file));
        }
        fwrite($writer, 'e');

        self::assertSame('e', file_get_contents($file), 'who writes goes on at its end');
        self::assertSame(['d', 'c', 'b'], array_map(static fn (int $n): string => (string) file_get_contents("{$file}.{$n}", length: 1), [1, 2, 3]));
        self::assertFileDoesNotExist("{$file}.4");
        array_map(unlink(...), (array) glob("{$file}*"));
    }
}
