<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;
use Tests\Support\Pictures;
use ZipArchive;

/** Photographs of places: encoded anew, kept by hash, marked, and taken along in a zip. */
final class PhotoTest extends AppTestCase
{
    public function test_a_picture_is_encoded_anew_without_what_the_camera_wrote_into_it(): void
    {
        $jpeg = self::picture(3000, 1500, 'jpeg');
        // A comment as a camera would write its place: after the first marker.
        $secret = substr($jpeg, 0, 2)."\xFF\xFE\x00\x14GPS 38.7 N 9.1 W ab".substr($jpeg, 2);
        $hash = $this->photo($secret, 'image/jpeg')->assertCreated()->json('hash');
        $kept = (string) $this->get("/api/photos/{$hash}.jpg")->assertOk()->assertHeader('content-type', 'image/jpeg')->assertHeader('cache-control', 'immutable, max-age=31536000, private')->streamedContent();

        self::assertSame($hash, hash('sha256', $kept));
        self::assertStringNotContainsString('GPS', $kept);
        self::assertSame([2000, 1000], array_slice((array) getimagesizefromstring($kept), 0, 2), 'no larger than a bench needs');
        self::assertSame($hash, $this->photo($secret, 'image/jpeg')->json('hash'), 'the same picture is kept once');
        foreach (['png', 'webp'] as $type) {
            $this->photo(self::picture(40, 30, $type), "image/{$type}")->assertCreated();
        }
    }

    #[DataProvider('noPictures')]
    public function test_what_is_no_picture_is_refused(string $bytes, string $type, int $status, string $right): void
    {
        $this->photo($bytes, $type)->assertStatus($status)->assertJsonPath('error.problems.0.right', $right);
    }

    /** @return iterable<string, array{string, string, int, string}> */
    public static function noPictures(): iterable
    {
        yield 'words' => ['not a picture', 'image/jpeg', 422, 'send a JPEG, PNG or WebP'];
        yield 'nothing' => ['', 'image/png', 422, 'send a JPEG, PNG or WebP'];
        yield 'another kind' => [self::picture(4, 4, 'gif'), 'image/png', 422, 'send a JPEG, PNG or WebP'];
        yield 'cut short' => [substr(self::picture(400, 400, 'png'), 0, 60), 'image/png', 422, 'take it again, or send another'];
        yield 'more pixels than memory' => [self::claims(30000, 30000), 'image/png', 422, 'send one of up to 40 million'];
        yield 'JSON at the picture door' => ['[1]', 'text/plain', 415, 'send JSON'];
        yield 'too large' => [str_repeat('x', 10 * 1024 * 1024 + 1), 'image/png', 413, 'send less'];
    }

    public function test_pictures_come_through_no_other_door_and_nothing_else_is_read(): void
    {
        $this->call('POST', '/api/builds/blank', [], [], [], ['CONTENT_TYPE' => 'image/png', 'HTTP_HOST' => 'localhost:8087'], self::picture(4, 4, 'png'))->assertStatus(415);
        foreach ([str_repeat('0', 64), '..%2f..%2fbench', 'x'] as $hash) {
            $this->get("/api/photos/{$hash}.jpg")->assertNotFound();
        }
    }

    public function test_a_picture_with_marks_goes_along_in_the_zip_and_comes_back(): void
    {
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        $hash = $this->photo(self::picture(60, 40, 'png'), 'image/png')->json('hash');
        $place = $this->send('GET', "/api/builds/{$id}/surface")->json('places.0');
        $this->edit($id, [['op' => 'add', 'list' => 'photos', 'value' => ['id' => self::ulid(60), 'target' => $place['id'], 'hash' => $hash, 'marks' => [['x' => 0.25, 'y' => 0.5]]]]])->assertCreated();
        self::assertSame([['id' => self::ulid(60), 'hash' => $hash, 'marks' => [['x' => 0.25, 'y' => 0.5]]]], $this->send('GET', "/api/builds/{$id}/surface")->json('places.0.photos'));

        $zip = (string) $this->get("/api/builds/{$id}/export.zip")->assertOk()->assertHeader('content-type', 'application/zip')->getContent();
        $file = self::file($zip);
        $open = new ZipArchive;
        self::assertTrue($open->open($file));
        self::assertSame(['build.amber.json', "photos/{$hash}.jpg"], [$open->getNameIndex(0), $open->getNameIndex(1)]);
        self::assertSame($this->get("/api/builds/{$id}/export")->getContent(), $open->getFromName('build.amber.json'));

        array_map(unlink(...), (array) glob(sys_get_temp_dir().'/amber-memory/photos/*.jpg'));
        $this->get("/api/photos/{$hash}.jpg")->assertNotFound();
        $this->zip($zip, '?mode=copy')->assertCreated()->assertJsonPath('build.name', 'Dunmore Type 6, copy');
        $this->get("/api/photos/{$hash}.jpg")->assertOk();
        $this->artisan('amber:import', ['file' => $file, '--replace' => true])->assertSuccessful();
        $this->artisan('amber:export', ['build' => $id, '--to' => $file.'.zip'])->assertSuccessful();
        self::assertSame('PK', substr((string) file_get_contents($file.'.zip'), 0, 2));
    }

    public function test_a_zip_that_is_not_ours_is_refused_and_nothing_is_kept(): void
    {
        $before = Build::query()->count();
        $picture = self::picture(9, 9, 'jpeg');
        $hash = hash('sha256', $picture);
        foreach ([['readme.txt' => 'x'], ['build.amber.json' => '{}', '../evil.php' => 'x'], ['build.amber.json' => '{}', 'photos/'.str_repeat('0', 64).'.jpg' => $picture], ['build.amber.json' => '{"format": 4}', "photos/{$hash}.jpg" => 'not it']] as $entries) {
            $this->zip(self::zipped($entries), '')->assertUnprocessable();
        }
        $this->zip('PK and no zip', '')->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'is not a zip this product wrote');

        self::assertSame($before, Build::query()->count());
    }

    public function test_what_makes_no_sense_of_a_photograph_is_refused(): void
    {
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        $place = $this->send('GET', "/api/builds/{$id}/surface")->json('places.0.id');
        foreach ([['target' => self::ulid(5)], ['hash' => 'abc'], ['marks' => [['x' => 2, 'y' => 0]]], ['marks' => array_fill(0, 101, ['x' => 0, 'y' => 0])]] as $wrong) {
            $this->edit($id, [['op' => 'add', 'list' => 'photos', 'value' => ['id' => self::ulid(61), 'target' => $place, 'hash' => str_repeat('a', 64), 'marks' => [], ...$wrong]]])->assertUnprocessable();
        }
        self::assertSame([], $this->send('GET', "/api/builds/{$id}/surface")->json('places.0.photos'));
    }

    /** @param  list<array<string, mixed>>  $edits */
    private function edit(string $id, array $edits): TestResponse
    {
        return $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'A photograph', 'edits' => $edits], ['If-Match' => '"'.$this->send('GET', "/api/builds/{$id}/surface")->json('build.revision').'"']);
    }

    private function photo(string $bytes, string $type): TestResponse
    {
        return $this->call('POST', '/api/photos', [], [], [], ['CONTENT_TYPE' => $type, 'CONTENT_LENGTH' => strlen($bytes), 'HTTP_HOST' => 'localhost:8087'], $bytes);
    }

    private function zip(string $bytes, string $query): TestResponse
    {
        return $this->call('POST', "/api/builds{$query}", [], [], [], ['CONTENT_TYPE' => 'application/zip', 'HTTP_HOST' => 'localhost:8087'], $bytes);
    }

    private static function picture(int $width, int $height, string $type): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 120, 130, 140));
        ob_start();
        match ($type) {
            'jpeg' => imagejpeg($image),
            'png' => imagepng($image),
            'webp' => imagewebp($image),
            default => imagegif($image),
        };

        return (string) ob_get_clean();
    }

    /** A picture that says it is so large. */
    private static function claims(int $width, int $height): string
    {
        $header = pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0);

        return "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.$header.pack('N', crc32('IHDR'.$header));
    }

    /** @param  array<string, string>  $entries */
    private static function zipped(array $entries): string
    {
        $file = self::file('');
        $zip = new ZipArchive;
        $zip->open($file, ZipArchive::OVERWRITE);
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();

        return (string) file_get_contents($file);
    }

    private static function file(string $bytes): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'amber-zip');
        file_put_contents($file, $bytes);

        return $file;
    }

    /** @return iterable<string, array{int, array{int, int}, array{int, int}}> orientation, and where the begin and the end of the first row lie once it is upright, as corners */
    public static function orientations(): iterable
    {
        [$tl, $tr, $bl, $br] = [[0, 0], [1, 0], [0, 1], [1, 1]];
        // EXIF: 1 rows from the top, columns from the left; 2 top, right; 3 bottom, right; 4 bottom, left; 5 left, top; 6 right, top; 7 right, bottom; 8 left, bottom.
        foreach ([1 => [$tl, $tr], 2 => [$tr, $tl], 3 => [$br, $bl], 4 => [$bl, $br], 5 => [$tl, $bl], 6 => [$tr, $br], 7 => [$br, $tr], 8 => [$bl, $tl]] as $orientation => [$begin, $end]) {
            yield "orientation {$orientation}" => [$orientation, $begin, $end];
        }
    }

    /**
     * @param  array{int, int}  $begin
     * @param  array{int, int}  $end
     */
    #[DataProvider('orientations')]
    public function test_a_camera_held_on_its_side_gives_an_upright_picture(int $orientation, array $begin, array $end): void
    {
        $hash = $this->photo(Pictures::jpeg(400, 200, $orientation), 'image/jpeg')->assertCreated()->json('hash');
        $kept = imagecreatefromstring((string) $this->get("/api/photos/{$hash}.jpg")->streamedContent());
        self::assertNotFalse($kept);
        [$w, $h] = [imagesx($kept), imagesy($kept)];
        self::assertSame($orientation < 5 ? [400, 200] : [200, 400], [$w, $h]);
        $at = static fn (array $corner): array => imagecolorsforindex($kept, (int) imagecolorat($kept, $corner[0] === 0 ? 20 : $w - 21, $corner[1] === 0 ? 20 : $h - 21));
        self::assertGreaterThan(200, $at($begin)['red']);
        self::assertLessThan(80, $at($begin)['blue']);
        self::assertGreaterThan(200, $at($end)['blue']);
        self::assertLessThan(80, $at($end)['red']);
    }
}
