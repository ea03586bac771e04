<?php

declare(strict_types=1);

namespace Tests\Crash;

use PHPUnit\Framework\TestCase;
use Tests\Support\Server;

/** Scripts and styles as they are sent: small to who takes it, whole to who does not, and nothing else from the disk. */
final class BuiltFilesTest extends TestCase
{
    private Server $server;

    protected function setUp(): void
    {
        $this->server = new Server('2026-03-03T19:05:00Z');
    }

    protected function tearDown(): void
    {
        $this->server->stop();
    }

    /** @return array{int, string, string} status, bytes as sent, and how they are encoded */
    private function file(string $path, string $takes): array
    {
        $ask = curl_init($this->server->address().$path);
        self::assertNotFalse($ask);
        $encoding = '';
        curl_setopt_array($ask, [CURLOPT_RETURNTRANSFER => true, CURLOPT_PATH_AS_IS => true, CURLOPT_HTTPHEADER => $takes === '' ? [] : ["Accept-Encoding: {$takes}"], CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$encoding): int {
            if (stripos($line, 'content-encoding:') === 0) {
                $encoding = trim(substr($line, 17));
            }

            return strlen($line);
        }]);
        $bytes = (string) curl_exec($ask);
        $code = (int) curl_getinfo($ask, CURLINFO_HTTP_CODE);
        curl_close($ask);

        return [$code, $bytes, $encoding];
    }

    public function test_they_are_compressed_for_who_takes_it_and_the_same_for_who_does_not(): void
    {
        $manifest = (string) file_get_contents(__DIR__.'/../../public/build/manifest.json');
        $built = array_unique(array_filter(array_column(json_decode($manifest, true, 512, JSON_THROW_ON_ERROR), 'file'), static fn (string $f): bool => str_ends_with($f, '.js') || str_ends_with($f, '.css')));
        self::assertNotEmpty($built);
        foreach ($built as $file) {
            [$code, $plain, $none] = $this->file("/build/{$file}", '');
            [$packedCode, $packed, $gzip] = $this->file("/build/{$file}", 'br, gzip');
            self::assertSame([200, 200, '', 'gzip'], [$code, $packedCode, $none, $gzip], $file);
            self::assertSame($plain, gzdecode($packed), $file);
            // A line of code is not made smaller: what packs it is as long.
            self::assertLessThan(max(strlen($plain), 128), strlen($packed), $file);
        }
    }

    public function test_no_file_outside_of_the_build_is_to_be_had(): void
    {
        $composer = (string) file_get_contents(__DIR__.'/../../composer.json');
        foreach (['/../composer.json', '/%2e%2e/composer.json', '/build/..%2f..%2fcomposer.json', '/index.php%00.css', '/build/%2e%2e/index.php'] as $path) {
            [$code, $bytes] = $this->file($path, 'gzip');
            self::assertLessThan(500, $code, $path);
            self::assertStringNotContainsString(trim(substr($composer, 0, 60)), $bytes, $path);
            self::assertStringNotContainsString('<?php', $bytes, $path);
        }
    }

    public function test_files_and_refusals_carry_the_headers_that_keep_others_out_and_no_version(): void
    {
        $manifest = json_decode((string) file_get_contents(__DIR__.'/../../public/build/manifest.json'), true, 512, JSON_THROW_ON_ERROR);
        $script = '/build/'.array_values(array_filter(array_column($manifest, 'file'), static fn (string $f): bool => str_ends_with($f, '.js')))[0];
        foreach ([$script => 200, '/mark.svg' => 200, '/api/frame' => 200, '/api/nothing' => 404, '/build/none.js' => 404] as $path => $status) {
            [$code, $head] = $this->server->exchange('GET', $path);
            self::assertSame($status, $code, $path);
            foreach (['Content-Security-Policy: ', 'X-Content-Type-Options: nosniff', 'X-Frame-Options: DENY', 'Cross-Origin-Opener-Policy: same-origin', 'Cross-Origin-Resource-Policy: same-origin', 'Referrer-Policy: no-referrer'] as $header) {
                self::assertStringContainsStringIgnoringCase($header, $head, $path);
            }
            self::assertStringNotContainsStringIgnoringCase('x-powered-by', $head, $path);
        }
        // Files of the build are named by what is in them, others are asked for again.
        self::assertStringContainsString('immutable', $this->server->header($script, 'Cache-Control'));
        self::assertSame('no-cache', $this->server->header('/mark.svg', 'Cache-Control'));
    }

    public function test_the_fonts_licences_lie_beside_the_build(): void
    {
        foreach (['barlow-condensed', 'atkinson-hyperlegible-next'] as $font) {
            [$code, $bytes] = $this->file("/build/licences/{$font}.txt", '');
            self::assertSame(200, $code, $font);
            self::assertStringContainsString('SIL Open Font License', $bytes, $font);
        }
    }

    public function test_a_foreign_host_gets_no_file_either(): void
    {
        foreach (['/mark.svg', '/', '/api/frame'] as $path) {
            self::assertSame(421, $this->server->exchange('GET', $path, null, ['Host: bench.example'])[0], $path);
        }
    }
}
