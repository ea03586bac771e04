<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The rooms of core, app and web, in one direction (docs/map.md). */
final class DirectionTest extends TestCase
{
    /** No file of core is longer: it has more than one reason to exist by then. */
    private const LONGEST = 250;

    private const LONGEST_RULE = 150;

    public function test_core_goes_one_way(): void
    {
        self::assertSame([], Direction::php('AmberStep\Core', Direction::CORE, self::files('core/src')));
    }

    public function test_app_goes_one_way(): void
    {
        self::assertSame([], Direction::php('App', Direction::APP, self::files('app')));
    }

    public function test_web_goes_one_way_and_stations_stand_side_by_side(): void
    {
        self::assertSame([], Direction::web(self::files('web')));
    }

    /** @param  list<string>  $breaches */
    #[DataProvider('planted')]
    public function test_a_planted_breach_is_named_with_file_and_line(array $breaches, string $expected): void
    {
        self::assertSame([$expected], $breaches);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function planted(): iterable
    {
        $kit = "<?php\n\nnamespace AmberStep\\Core\\Kit;\n\nuse AmberStep\\Core\\Material\\Family;\nuse AmberStep\\Core\\Plan\\Plan;\n";
        yield 'a use line in core' => [Direction::php('AmberStep\Core', Direction::CORE, ['core/src/Kit/Kit.php' => $kit]), 'core/src/Kit/Kit.php:6: Kit uses Plan\Plan, which comes after it'];
        yield 'a qualified name in core' => [Direction::php('AmberStep\Core', Direction::CORE, ['core/src/Rule/Glue/Fit.php' => "<?php\nnamespace AmberStep\\Core\\Rule\\Glue;\n\$x = new \\AmberStep\\Core\\Plan\\Compiler;\n"]), 'core/src/Rule/Glue/Fit.php:3: Rule uses Plan\Compiler, which comes after it'];
        yield 'a room nobody listed' => [Direction::php('AmberStep\Core', Direction::CORE, ['core/src/Misc/Bag.php' => "<?php\nnamespace AmberStep\\Core\\Misc;\n"]), 'core/src/Misc/Bag.php:1: lies in no room of AmberStep\Core'];
        yield 'a presenter that asks a controller' => [Direction::php('App', Direction::APP, ['app/Http/Presenters/X.php' => "<?php\nnamespace App\\Http\\Presenters;\nuse App\\Http\\Controllers\\KitController;\n"]), 'app/Http/Presenters/X.php:3: Http/Presenters uses Http\Controllers\KitController, which comes after it'];
        yield 'a repository that knows the row of builds' => [Direction::php('App', Direction::APP, ['app/Repositories/X.php' => "<?php\nnamespace App\\Repositories;\nuse App\\Build\\Row;\n"]), 'app/Repositories/X.php:3: Repositories uses Build\Row, which comes after it'];
        yield 'a station in a station' => [Direction::web(['web/kit/KitPage.tsx' => "import { a } from '../frame/keys';\nimport { b } from '../mix/order';\n"]), 'web/kit/KitPage.tsx:2: kit imports ../mix/order, which is not before it'];
        yield 'a station in the frame' => [Direction::web(['web/frame/Edge.tsx' => "const Page = lazy(() => import('../bench/BenchPage'));\n"]), 'web/frame/Edge.tsx:1: frame imports ../bench/BenchPage, which is not before it'];
    }

    public function test_files_of_core_stay_small(): void
    {
        $long = [];
        foreach (self::files('core/src') as $path => $code) {
            $lines = substr_count($code, "\n");
            if ($lines > (preg_match('~^core/src/Rule/\w+/~', $path) === 1 ? self::LONGEST_RULE : self::LONGEST)) {
                $long[] = "{$path} has {$lines} lines";
            }
        }
        self::assertSame([], $long);
    }

    /** @return array<string, string> code by path from the root of the project */
    private static function files(string $folder): array
    {
        $root = dirname(__DIR__, 2).'/';
        $files = [];
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder, RecursiveDirectoryIterator::SKIP_DOTS)) as $file) {
            if (in_array($file->getExtension(), ['php', 'ts', 'tsx'], true)) {
                $files[substr($file->getPathname(), strlen($root))] = (string) file_get_contents($file->getPathname());
            }
        }
        ksort($files);

        return $files;
    }

    public function test_no_folder_of_tests_is_left_out_of_its_suite(): void
    {
        $said = (string) file_get_contents(dirname(__DIR__, 2).'/phpunit.xml');
        foreach ((array) glob(dirname(__DIR__, 2).'/core/tests/*/*Test.php') as $file) {
            self::assertStringContainsString('<directory>core/tests/'.basename(dirname((string) $file)).'</directory>', $said);
        }
    }
}
