<?php

declare(strict_types=1);

namespace Tests\Http;

use AmberStep\Core\Kit\HouseBook;
use AmberStep\Core\Kit\HouseQuestion;
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
        $differ = $seen = [];
        foreach ($this->send('GET', '/api/frame')->json('builds') as $demo) {
            $build = $this->send('POST', "/api/builds/{$demo['id']}/copy", [])->assertCreated()->json('build.id');
            foreach (HouseBook::questions() as $id => $question) {
                // What was sound and made a difference on two builds is taken to on the others: each plan costs.
                if (($seen[$id] ?? 0) < 2) {
                    $plans = count(array_unique($this->changes($build, $question)));
                    $differ[$id] = max($differ[$id] ?? 0, $plans);
                    $seen[$id] = ($seen[$id] ?? 0) + ($plans > 1 ? 1 : 0);
                }
            }
        }

        // No bare metal is painted on them, nothing is put into a cabinet, they have no filter, say themselves when a canopy is closed,
        // no paint is enamel but the wash, no mask is liquid or fine film, and nothing was found low.
        $applies = array_diff_key($differ, array_flip(['etch', 'cabinet', 'barrier', 'panes', 'hardener', 'liquid-mask', 'patterns', 'low-spot', 'base', 'weathering']));
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
            'tape-after' => "hull / a, 40, Obrey Dock Grey, hard 90 to b\nhull / b, 40, Obrey Track Brown\nfin / a, 60, sea grey, hard 90 to b\nfin / b, 60, slate green, hard 90 to c\nfin / c, 60, pale grey",
            'barrier' => "hull, 60, sea grey, filter, matt\nwing, 60, sea grey, pin wash, matt",
            'primer' => "hull, 60, sea grey\nband, 9, band yellow",
            'cabinet' => 'hull, 60, sea grey',
            'hardener' => 'hull, 60, Obrey Dock Grey',
            'cover' => "hull / a, 40, sea grey, hard 200 to b\nhull / b, 40, slate green",
            'patterns' => "hull / a, 4, sea grey, hard 90 fiddly to b\nhull / b, 40, slate green",
            'bought-masks' => "canopy / frame, 4, sea grey\ncanopy / panes, 8, pane",
            'liquid-mask' => "hull / a, 40, sea grey, hard 200 to b\nhull / b, 40, slate green",
            'drying' => "hull / a, 40, sea grey, hard 200 to b, decals, pin wash, matt\nhull / b, 40, slate green",
            'sanding' => "hull, 60, sea grey\nwing, 60, sea grey\nwing root: hull + wing, seam, before paint, gap 0.2, 9 long",
            'hidden' => 'hull, 60, band yellow',
            'tones' => 'hull, 300, sea grey',
            'weathering' => 'hull, 60, sea grey, pin wash',
            'darkened-lines' => 'hull, 60, pale grey',
            'base' => "hull, 60, sea grey\npart stand, styrene, base part\nstand, 30, slate green\npeg: hull + stand",
            'evening' => "hull / hull a0, 4, band yellow\nhull / hull a1, 60, harbour cream, hard 200 to hull a0\nhull / hull a2, 4, pale grey, hard 20 to hull a1\nfin / fin a0, 30, tyre black\nfin / fin a1, 90, Linnet Ground White, hard 60 to fin a0\npod / pod a0, 4, slate green\npod / pod a1, 30, Linnet Ground White, hard 200 to pod a0\npod / pod a2, 30, harbour cream, hard 60 to pod a0",
            'light-first' => "hull / a, 90, sea grey, hard 60 to b\nhull / b, 9, slate green\nhull / c, 30, pale grey, hard 30 to a",
        ];
        $other = "hull / a, 60, sea grey, decals, pin wash, matt, hard 90 to b\nhull / b, 40, Garnock Rally Bronze, gloss\nprop, S, interior dark";
        foreach (HouseBook::questions() as $id => $question) {
            // One build at a time: what others do of an evening bears on none of these.
            Build::query()->update(['away' => true]);
            $build = $this->send('POST', '/api/builds/blank', ['name' => "House {$id}", 'scale' => 72])->json('build.id');
            $this->send('POST', "/api/builds/{$build}/lines", ['text' => $lines[$id] ?? $other], ['If-Match' => '"1"'])->assertCreated()->assertJsonPath('left', '');
            if ($id === 'cabinet') {
                $area = $this->send('GET', "/api/builds/{$build}/kit")->json('areas.0.id');
                $this->send('POST', "/api/builds/{$build}/changes", ['title' => 'Dry it warm', 'edits' => [['op' => 'add', 'list' => 'inserted', 'value' => ['id' => self::ulid(3), 'operation' => 'cabinet', 'targets' => [$area], 'title' => 'Into the cabinet overnight']]]], ['If-Match' => '"2"'])->assertCreated();
            }
            $this->bear($id, $build);
            $plans = $this->changes($build, $question);
            self::assertCount(count($question->positions), array_unique($plans), "{$id}: two positions make the same plan");
        }
    }

    /**
     * What each position changes in a build, which must not be a stop.
     *
     * @return array<string, string> by position
     */
    private function changes(string $build, HouseQuestion $question): array
    {
        $changes = [];
        foreach ($question->positions as $position) {
            $preview = $this->send('POST', "/api/builds/{$build}/preview", ['edits' => [['op' => 'house', 'list' => $question->id, 'value' => $position->id]]])->assertOk()->json('preview');
            self::assertSame([], array_filter($preview['findingsNew'], static fn (array $f): bool => $f['severity'] === 'stop'), "{$question->id}: {$position->id} stops");
            $changes[$position->id] = (string) json_encode($preview);
        }

        return $changes;
    }

    /** What a question needs beside the lines of its build: a pinned medium, a round that found something. */
    private function bear(string $question, string $build): void
    {
        $areas = $this->send('GET', "/api/builds/{$build}/kit")->json('areas');
        $change = fn (string $title, array $edit): mixed => $this->send('POST', "/api/builds/{$build}/changes", ['title' => $title, 'edits' => [$edit]], ['If-Match' => '"2"'])->assertCreated();
        match ($question) {
            'liquid-mask' => $change('Liquid', ['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(4), 'operation' => 'mask', 'medium' => 'liquid-mask']]),
            'patterns' => $change('Film', ['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(4), 'operation' => 'mask', 'medium' => 'cut-film']]),
            'low-spot' => $this->send('POST', "/api/builds/{$build}/events", ['id' => self::ulid(5), 'kind' => 'done', 'operation' => 'inspect', 'purpose' => 'prime', 'found' => 3, 'targets' => [$areas[0]['id']], 'at' => '2026-03-03T18:00:00Z'])->assertSuccessful(),
            default => null,
        };
    }
}
