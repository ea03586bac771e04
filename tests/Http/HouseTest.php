<?php

declare(strict_types=1);

namespace Tests\Http;

use AmberStep\Core\Kit\HouseBook;
use App\Models\Build;
use Tests\Support\AppTestCase;

/** House rules: each question, for all builds and for one, and what each position does to the demo. */
final class HouseTest extends AppTestCase
{
    public function test_every_question_says_what_holds_and_why(): void
    {
        $house = $this->send('GET', "/api/builds/{$this->buildId()}/house")->assertOk()->json('questions');

        self::assertSame(array_keys(HouseBook::questions()), array_column($house, 'id'));
        foreach ($house as $question) {
            self::assertGreaterThan(1, count($question['positions']));
            foreach ($question['positions'] as $position) {
                self::assertMatchesRegularExpression('/\\.\\z/', $position['reason'], 'one line on each position');
            }
        }
        self::assertSame(['oil', 'enamel'], [array_column($house, 'yours', 'id')['wash'], array_column($house, 'here', 'id')['wash']]);
    }

    public function test_a_position_of_ones_own_holds_for_all_builds_but_those_that_do_otherwise(): void
    {
        $this->send('PUT', '/api/house', ['question' => 'primer', 'position' => 'never'])->assertOk();
        $id = $this->send('POST', '/api/builds/blank', ['name' => 'Plain', 'scale' => 72])->json('build.id');
        $this->send('POST', "/api/builds/{$id}/lines", ['text' => 'hull, M, sea grey'], ['If-Match' => '"1"'])->assertCreated();
        $primes = fn (): int => count(array_filter($this->send('GET', "/api/builds/{$id}/plan")->json('stages'), static fn (array $s): bool => $s['operation'] === 'prime'));
        self::assertSame(0, $primes());
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'Primed here', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'always']]], ['If-Match' => '"2"'])->assertCreated();
        self::assertSame(1, $primes());
        $this->send('PUT', '/api/house', ['question' => 'primer', 'position' => null])->assertOk();
        self::assertSame('always', array_column($this->send('GET', "/api/builds/{$id}/house")->json('questions'), 'yours', 'id')['primer']);
    }

    public function test_what_is_no_question_or_no_position_is_said(): void
    {
        $this->send('PUT', '/api/house', ['question' => 'brand', 'position' => 'best'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'question');
        $this->send('PUT', '/api/house', ['question' => 'wash', 'position' => 'coffee'])->assertUnprocessable()->assertJsonPath('error.problems.0.right', 'use one of oil, enamel, acrylic');
    }

    public function test_every_position_is_sound_on_the_demo_builds_and_different_where_it_applies(): void
    {
        $differ = [];
        foreach ($this->send('GET', '/api/frame')->json('builds') as $demo) {
            $build = $this->send('POST', "/api/builds/{$demo['id']}/copy", [])->assertCreated()->json('build.id');
            foreach (HouseBook::questions() as $id => $question) {
                $plans = [];
                foreach ($question->positions as $position) {
                    $revision = (int) Build::query()->findOrFail($build)->revision;
                    $this->send('POST', "/api/builds/{$build}/changes", ['title' => $position->title, 'edits' => [['op' => 'house', 'list' => $id, 'value' => $position->id]]], ['If-Match' => "\"{$revision}\""])->assertCreated();
                    $plan = $this->send('GET', "/api/builds/{$build}/plan")->json();
                    self::assertSame([], array_column(array_filter($plan['findings'], static fn (array $f): bool => $f['severity'] === 'stop'), 'title'), "{$demo['name']}, {$id}: {$position->id} stops");
                    $plans[] = json_encode([array_map(static fn (array $s): array => [$s['title'], $s['start'], array_column($s['steps'], 'title')], $plan['stages']), $plan['cleaning'], $plan['section']['caps']]);
                }
                $differ[$id] = max($differ[$id] ?? 0, count(array_unique($plans)));
                $revision = (int) Build::query()->findOrFail($build)->revision;
                $this->send('POST', "/api/builds/{$build}/changes", ['title' => 'Back', 'edits' => [['op' => 'house', 'list' => $id, 'value' => null]]], ['If-Match' => "\"{$revision}\""])->assertCreated();
            }
        }

        // No bare metal is painted on them, nothing is put into a cabinet, they have no filter, and say themselves when a canopy is closed.
        $applies = array_diff_key($differ, ['etch' => 1, 'cabinet' => 1, 'barrier' => 1, 'panes' => 1]);
        foreach ($applies as $id => $plans) {
            self::assertGreaterThan(1, $plans, "{$id} changes nothing on either demo build");
        }
    }

    public function test_every_position_gives_a_different_and_sound_plan_where_it_applies(): void
    {
        // Each question with lines it bears on: what the demo builds leave out is put in.
        $lines = [
            'etch' => "grille, brass, 3, sea grey\nhull / top, 40, slate green",
            'camouflage' => "hull / a, 40, sea grey, soft 200 to b\nhull / b, 40, slate green",
            'seam-check' => "hull / side, 60, sea grey\nwing / top, 40, sea grey\nwing root: hull + wing, seam, before paint, gap 0.2, 9 long",
            'panes' => "hull / side, 60, sea grey\ncanopy / frame, 4, sea grey\ncanopy / panes, 8, pane\ncanopy sill: canopy + hull",
            'tape-after' => "hull / a, 40, Obrey Dock Grey, hard 90 to b\nhull / b, 40, Obrey Track Brown\nfin / a, 9, Garnock Signal Red, hard 30 to b\nfin / b, 9, sea grey",
            'barrier' => 'hull, 60, sea grey, filter, matt',
            'primer' => "hull, 60, sea grey\nband, 9, band yellow",
            'cabinet' => 'hull, 60, sea grey',
            'light-first' => "body / sides, 60, Garnock Rally Bronze, gloss, hard 90 to roof\nbody / roof, 40, Garnock Roof Cream, gloss",
        ];
        $other = "hull / a, 60, sea grey, decals, pin wash, matt, hard 90 to b\nhull / b, 40, Garnock Rally Bronze, gloss\nprop, S, interior dark";
        foreach (HouseBook::questions() as $id => $question) {
            $build = $this->send('POST', '/api/builds/blank', ['name' => "House {$id}", 'scale' => 72])->json('build.id');
            $this->send('POST', "/api/builds/{$build}/lines", ['text' => $lines[$id] ?? $other], ['If-Match' => '"1"'])->assertCreated()->assertJsonPath('left', '');
            if ($id === 'cabinet') {
                $area = $this->send('GET', "/api/builds/{$build}/kit")->json('areas.0.id');
                $this->send('POST', "/api/builds/{$build}/changes", ['title' => 'Dry it warm', 'edits' => [['op' => 'add', 'list' => 'inserted', 'value' => ['id' => self::ulid(3), 'operation' => 'cabinet', 'targets' => [$area], 'title' => 'Into the cabinet overnight']]]], ['If-Match' => '"2"'])->assertCreated();
            }
            $plans = [];
            foreach ($question->positions as $position) {
                $revision = (int) Build::query()->findOrFail($build)->revision;
                $this->send('POST', "/api/builds/{$build}/changes", ['title' => $position->title, 'edits' => [['op' => 'house', 'list' => $id, 'value' => $position->id]]], ['If-Match' => "\"{$revision}\""])->assertCreated();
                $plan = $this->send('GET', "/api/builds/{$build}/plan")->json();
                $sheet = $this->send('GET', "/api/builds/{$build}/sheet?minutes=720")->json('steps');
                self::assertSame([], array_values(array_filter($plan['findings'], static fn (array $f): bool => $f['severity'] === 'stop')), "{$id}: {$position->id} stops");
                self::assertNotSame(0, $plan['stepsLeft']);
                $plans[$position->id] = json_encode([array_map(static fn (array $s): array => [$s['title'], $s['start'], array_column($s['steps'], 'title')], $plan['stages']), $plan['cleaning'], array_column($sheet, 'setUp'), array_column($sheet, 'event')]);
            }
            self::assertCount(count($question->positions), array_unique($plans), "{$id}: two positions make the same plan");
        }
    }
}
