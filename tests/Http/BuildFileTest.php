<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Build\BuildFile;
use App\Models\Build;
use App\Models\Event;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\Support\AppTestCase;

final class BuildFileTest extends AppTestCase
{
    private function exported(?string $id = null): string
    {
        return (string) $this->get('/api/builds/'.($id ?? $this->buildId()).'/export')->assertOk()->getContent();
    }

    public function test_export_import_export_gives_the_same_bytes(): void
    {
        $first = $this->exported();
        $this->send('POST', '/api/builds?mode=replace', json_decode($first, true))->assertCreated();

        self::assertSame($first, $this->exported());
    }

    public function test_every_demo_build_comes_out_as_it_went_in(): void
    {
        foreach (Build::query()->pluck('id') as $id) {
            $first = $this->exported($id);
            $this->send('POST', '/api/builds?mode=replace', json_decode($first, true))->assertCreated();

            self::assertSame($first, $this->exported($id));
        }
    }

    public function test_a_file_of_format_one_is_lifted_and_means_the_same(): void
    {
        $old = json_decode((string) file_get_contents(__DIR__.'/../samples/build-format-1.json'), true);
        self::assertSame(1, $old['format']);
        $this->send('POST', '/api/builds?mode=replace', $old)->assertCreated();
        $new = json_decode($this->exported($old['id']), true);

        self::assertSame(BuildFile::FORMAT, $new['format']);
        self::assertSame([false], array_values(array_unique(array_column($new['kit']['parts'], 'letsLight'))));
        self::assertSame([null], array_values(array_unique(array_column($new['kit']['edges'], 'subject'))));
        self::assertSame($old['kit']['areas'], $new['kit']['areas']);
        self::assertSame($old['events'], array_map(static fn (array $e): array => array_diff_key($e, ['hardened' => 0, 'place' => 0, 'minutes' => 0, 'predictedMl' => 0, 'usedMl' => 0, 'nozzleMm' => 0, 'poured' => 0]), $new['events']));
    }

    public function test_a_file_of_format_two_is_lifted_and_means_the_same(): void
    {
        $old = json_decode((string) file_get_contents(__DIR__.'/../samples/build-format-2.json'), true);
        $this->send('POST', '/api/builds?mode=replace', $old)->assertCreated();
        $new = json_decode($this->exported($old['id']), true);

        self::assertSame([2, BuildFile::FORMAT], [$old['format'], $new['format']]);
        self::assertSame([false], array_values(array_unique(array_column($new['events'], 'hardened'))));
        self::assertSame($old['events'], array_map(static fn (array $e): array => array_diff_key($e, ['hardened' => 0, 'place' => 0, 'minutes' => 0, 'predictedMl' => 0, 'usedMl' => 0, 'nozzleMm' => 0, 'poured' => 0]), $new['events']));
        self::assertSame($old['kit']['areas'], $new['kit']['areas']);
        self::assertSame([1], array_values(array_unique(array_column($new['kit']['parts'], 'count'))));
    }

    public function test_a_file_of_format_three_is_lifted_and_means_the_same(): void
    {
        $old = json_decode((string) file_get_contents(__DIR__.'/../samples/build-format-3.json'), true);
        $this->send('POST', '/api/builds?mode=replace', $old)->assertCreated();
        $new = json_decode($this->exported($old['id']), true);

        self::assertSame([3, BuildFile::FORMAT], [$old['format'], $new['format']]);
        self::assertSame([[], []], [$new['kit']['flaws'], $new['kit']['features']]);
        self::assertSame($old['kit']['joints'], array_map(static fn (array $j): array => array_diff_key($j, ['access' => 0, 'crossed' => 0]), $new['kit']['joints']));
        self::assertSame(['open', false], [$new['kit']['joints'][0]['access'], $new['kit']['joints'][0]['crossed']]);
        self::assertSame($old['events'], array_map(static fn (array $e): array => array_diff_key($e, ['minutes' => 0, 'predictedMl' => 0, 'usedMl' => 0, 'nozzleMm' => 0, 'poured' => 0]), $new['events']));
    }

    public function test_a_file_of_format_four_is_lifted_and_means_the_same(): void
    {
        $old = json_decode((string) file_get_contents(__DIR__.'/../samples/build-format-4.json'), true);
        $this->send('POST', '/api/builds?mode=replace', $old)->assertCreated();
        $new = json_decode($this->exported($old['id']), true);

        self::assertSame([4, BuildFile::FORMAT], [$old['format'], $new['format']]);
        self::assertSame($old['kit']['pins'], array_map(static fn (array $p): array => array_diff_key($p, ['extraThinner' => 0]), $new['kit']['pins']));
        self::assertNotSame([], $old['kit']['pins']);
        self::assertSame($old['events'], array_map(static fn (array $e): array => array_diff_key($e, ['poured' => 0]), $new['events']));
        self::assertSame([[null, null, null, null]], array_values(array_unique(array_map(static fn (array $p): array => [$p['optics'], $p['mix'], $p['dropsPerMl'], $p['stirred']], $new['products']), SORT_REGULAR)));
    }

    public function test_the_file_keeps_to_its_schema(): void
    {
        $result = (new Validator)->validate(json_decode($this->exported()), (string) file_get_contents(__DIR__.'/../../docs/format/build-6.schema.json'));

        self::assertTrue($result->isValid(), (string) json_encode($result->error() === null ? '' : (new ErrorFormatter)->format($result->error())));
    }

    public function test_a_build_that_is_here_is_asked_about_and_a_copy_stands_beside_it(): void
    {
        $file = json_decode($this->exported(), true);
        [$builds, $events] = [Build::query()->count(), Event::query()->count()];
        $this->send('POST', '/api/builds', $file)->assertConflict()->assertJsonPath('error.there.choices', ['replace', 'copy']);
        $copy = $this->send('POST', '/api/builds?mode=copy', $file)->assertCreated()->json('build');

        self::assertSame($builds + 1, Build::query()->count());
        self::assertSame('Corvane S.4 Shearwater, copy', $copy['name']);
        self::assertSame($events + count($file['events']), Event::query()->count());
        self::assertSame([], array_intersect(array_column(json_decode($this->exported($copy['id']), true)['events'], 'id'), array_column($file['events'], 'id')));
    }

    public function test_damaged_files_are_refused_with_the_place_and_nothing_changes(): void
    {
        $good = json_decode($this->exported(), true);
        $damage = [
            'format' => fn (array $f): array => [...$f, 'format' => 99],
            'kit.areas[0].part' => function (array $f): array {
                $f['kit']['areas'][0]['part'] = self::ulid(5);

                return [...$f, 'id' => self::ulid(1)];
            },
            'events[3].kind' => function (array $f): array {
                $f['events'][3]['kind'] = 'flew';

                return $f;
            },
            'products[0].swatch' => function (array $f): array {
                $f['products'][0]['swatch'] = 'grey';

                return $f;
            },
            'kit.areas[1].nmae' => function (array $f): array {
                $f['kit']['areas'][1]['nmae'] = 'x';

                return $f;
            },
        ];
        $before = [Build::query()->count(), Event::query()->count()];
        foreach ($damage as $place => $spoil) {
            $problems = $this->send('POST', '/api/builds?mode=replace', $spoil($good))->assertUnprocessable()->json('error.problems');
            self::assertContains(str_replace('kit.', '', $place), array_map(static fn (array $p): string => str_replace('kit.', '', $p['path']), $problems), $place);
        }
        self::assertSame($before, [Build::query()->count(), Event::query()->count()]);
    }
}
