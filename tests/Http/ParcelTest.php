<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use App\Photos\Parcel;
use App\Photos\Photographs;
use App\Photos\PlainJpeg;
use Illuminate\Testing\TestResponse;
use Tests\Support\AppTestCase;
use Tests\Support\Pictures;
use ZipArchive;

/** A parcel's photographs come through the same door as one that is sent, within limits; of a refused one nothing stays. */
final class ParcelTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        array_map(unlink(...), (array) glob(self::folder().'/*'));
    }

    public function test_what_a_camera_wrote_into_a_picture_of_a_parcel_does_not_come_in_and_the_build_shows_the_new_one(): void
    {
        [$id, $target] = $this->place();
        $jpeg = Pictures::jpeg(60, 40);
        $secret = substr($jpeg, 0, 2)."\xFF\xFE\x00\x10GPS 38.7 N 9 W".substr($jpeg, 2);
        $hash = hash('sha256', $secret);
        $file = json_decode((string) $this->get("/api/builds/{$id}/export")->getContent(), true);
        $file['kit']['photos'] = [['id' => self::ulid(60), 'target' => $target, 'hash' => $hash, 'marks' => []]];
        $file['kit']['house'] = (object) $file['kit']['house'];
        unset($file['digest']);
        $copy = $this->zip(['build.amber.json' => (string) json_encode($file), "photos/{$hash}.jpg" => $secret])->assertCreated()->json('build.id');
        $shown = array_merge(...array_column($this->send('GET', "/api/builds/{$copy}/surface")->json('places'), 'photos'))[0]['hash'];

        self::assertNotSame($hash, $shown);
        $kept = (string) $this->get("/api/photos/{$shown}.jpg")->assertOk()->streamedContent();
        self::assertStringNotContainsString('GPS', $kept);
        self::assertTrue(PlainJpeg::is($kept));
        $this->get("/api/photos/{$hash}.jpg")->assertNotFound();
    }

    public function test_a_plain_picture_keeps_its_bytes_so_that_a_parcel_comes_back_the_same(): void
    {
        [$id, $target] = $this->place();
        $hash = app(Photographs::class)->keep(Pictures::jpeg(300, 200));
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'A photograph', 'edits' => [['op' => 'add', 'list' => 'photos', 'value' => ['id' => self::ulid(60), 'target' => $target, 'hash' => $hash, 'marks' => []]]]], ['If-Match' => '"'.$this->send('GET', "/api/builds/{$id}/surface")->json('build.revision').'"'])->assertCreated();
        $zip = (string) $this->get("/api/builds/{$id}/export.zip")->getContent();
        array_map(unlink(...), (array) glob(self::folder().'/*'));
        $this->send('PUT', "/api/builds/{$id}/bin", ['binned' => true])->assertOk();
        $this->call('POST', '/api/builds?mode=replace', [], [], [], ['CONTENT_TYPE' => 'application/zip', 'HTTP_HOST' => 'localhost:8087'], $zip)->assertCreated();

        self::assertSame($zip, (string) $this->get("/api/builds/{$id}/export.zip")->getContent());
    }

    public function test_of_a_refused_parcel_nothing_stays_neither_picture_nor_temporary_file(): void
    {
        $plain = Pictures::jpeg(30, 20);
        $photo = ['photos/'.hash('sha256', $plain).'.jpg' => $plain];
        $temporary = count((array) glob(sys_get_temp_dir().'/amber??????'));
        $refused = [
            'no build in it' => $photo,
            'a build that makes no sense' => ['build.amber.json' => '{"format": 6}', ...$photo],
            'a build of tomorrow' => ['build.amber.json' => '{"format": 99}', ...$photo],
            'another file' => ['build.amber.json' => '{}', '../x.php' => 'x', ...$photo],
            'a picture that is another' => ['build.amber.json' => '{}', ...$photo, 'photos/'.str_repeat('0', 64).'.jpg' => $plain],
            'a picture that is none' => ['build.amber.json' => '{}', ...$photo, 'photos/'.hash('sha256', 'none').'.jpg' => 'none'],
        ];
        foreach ($refused as $what => $entries) {
            $this->zip($entries)->assertUnprocessable();
            self::assertSame([], (array) glob(self::folder().'/*'), $what);
        }
        // It is here already, and nobody said what is to become of it.
        [$id] = $this->place();
        $json = (string) $this->get("/api/builds/{$id}/export")->getContent();
        $this->zip(['build.amber.json' => $json, ...$photo], '')->assertStatus(409);
        self::assertSame([], (array) glob(self::folder().'/*'));
        self::assertCount($temporary, (array) glob(sys_get_temp_dir().'/amber??????'));
    }

    public function test_a_bomb_is_refused_before_it_is_unpacked(): void
    {
        $bomb = self::zipped(['build.amber.json' => str_repeat(' ', 205 * 1024 * 1024)]);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $this->parcel($bomb, '?mode=copy')->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'holds over 200 MB');
        self::assertLessThan(40 * 1024 * 1024, memory_get_peak_usage() - $before);

        $many = ['build.amber.json' => '{}'];
        for ($i = 0; $i <= Parcel::MOST_PHOTOGRAPHS; $i++) {
            $many['photos/'.hash('sha256', (string) $i).'.jpg'] = 'x';
        }
        $this->zip($many)->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'holds 202 files');
        $this->zip(['build.amber.json' => '{}', 'photos/'.str_repeat('a', 64).'.jpg' => str_repeat("\0", Photographs::MOST_BYTES + 1)])->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'is over 10 MB');
        $sum = ['build.amber.json' => '{}'];
        for ($i = 0; $i < 21; $i++) {
            $sum['photos/'.hash('sha256', (string) $i).'.jpg'] = str_repeat("\0", Photographs::MOST_BYTES);
        }
        $this->zip($sum)->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'holds over 200 MB');
        self::assertSame([], (array) glob(self::folder().'/*'));
    }

    public function test_more_photographs_than_come_in_again_do_not_go_out(): void
    {
        $this->expectExceptionMessage('are 201');
        app(Parcel::class)->packed(Parcel::BENCH, '{}', array_map(static fn (int $n): string => hash('sha256', (string) $n), range(0, 200)));
    }

    public function test_a_plain_picture_is_one_that_carries_nothing_else(): void
    {
        $plain = Pictures::jpeg(50, 40);
        self::assertTrue(PlainJpeg::is($plain));
        foreach (['behind its end' => $plain.'x', 'a place' => substr($plain, 0, 2)."\xFF\xE1\x00\x0AExif\0\0xx".substr($plain, 2), 'words' => substr($plain, 0, 2)."\xFF\xFE\x00\x08secret".substr($plain, 2), 'cut short' => substr($plain, 0, -3), 'none' => 'not a picture', 'nothing' => ''] as $what => $bytes) {
            self::assertFalse(PlainJpeg::is($bytes), $what);
        }
    }

    /** @return array{string, string} a build, and a place of it */
    private function place(): array
    {
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');

        return [$id, (string) $this->send('GET', "/api/builds/{$id}/surface")->json('places.0.id')];
    }

    /** @param  array<string, string>  $entries */
    private function zip(array $entries, string $query = '?mode=copy'): TestResponse
    {
        return $this->parcel(self::zipped($entries), $query);
    }

    private function parcel(string $bytes, string $query): TestResponse
    {
        return $this->call('POST', "/api/builds{$query}", [], [], [], ['CONTENT_TYPE' => 'application/zip', 'HTTP_HOST' => 'localhost:8087'], $bytes);
    }

    /** @param  array<string, string>  $entries */
    private static function zipped(array $entries): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'test-zip');
        $zip = new ZipArchive;
        $zip->open($file, ZipArchive::OVERWRITE);
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();
        $bytes = (string) file_get_contents($file);
        unlink($file);

        return $bytes;
    }

    private static function folder(): string
    {
        return sys_get_temp_dir().'/amber-memory/photos';
    }
}
