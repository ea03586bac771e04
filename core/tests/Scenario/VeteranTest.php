<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Scenario;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** What somebody who has built for thirty years expects of a plan, written down before the product could do it. */
final class VeteranTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (glob(__DIR__.'/../scenarios/veteran/*.yaml') ?: [] as $file) {
            yield basename($file, '.yaml') => [$file];
        }
    }

    #[DataProvider('files')]
    public function test_what_is_expected_stands_as_it_was_first_written(string $file): void
    {
        $git = static fn (string $command): string => trim((string) shell_exec('cd '.escapeshellarg(dirname($file)).' && git '.$command.' 2>/dev/null'));
        $words = Yaml::parseFile($file)['words'];
        $commits = array_filter(explode("\n", $git('log --format=%H -- '.escapeshellarg(basename($file)))));
        $first = $commits === [] ? '' : $git('show '.end($commits).':./'.escapeshellarg(basename($file)));

        self::assertNotEmpty($words);
        self::assertSame($first === '' ? $words : Yaml::parse($first)['words'], $words);
    }
}
