<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Answers\Store;
use App\Http\Answer;
use App\Models\Product;
use App\Repositories\Settings;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** Answers are kept while nothing they rest on has changed and their plan holds, and never a moment longer; one compile serves all readers. */
final class FreshnessTest extends AppTestCase
{
    private const READERS = ['bench', 'plan', 'find', 'surface', 'booklet', 'lists', 'breakdown'];

    /** How often the build was compiled up to an answer. */
    private function compiled(string $reader = 'plan'): int
    {
        return (int) $this->send('GET', "/api/builds/{$this->buildId()}/{$reader}")->assertOk()->headers->get(Answer::TIMETABLE);
    }

    public function test_all_readers_read_one_plan(): void
    {
        $first = $this->compiled('bench');
        self::assertGreaterThan(0, $first);
        foreach (self::READERS as $reader) {
            self::assertSame($first, $this->compiled($reader), $reader);
        }
        $this->send('GET', '/api/frame')->assertOk();
        $this->send('GET', "/api/builds/{$this->buildId()}/mix")->assertOk();
        self::assertSame($first, $this->compiled());
    }

    #[DataProvider('changes')]
    public function test_a_change_of_what_it_rests_on_is_seen_at_once(string $what): void
    {
        $before = $this->compiled();
        match ($what) {
            'an event' => $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'x'])->assertCreated(),
            'an edit' => $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]], ['If-Match' => '"1"'])->assertCreated(),
            'a reading' => $this->send('POST', '/api/readings', ['temperatureC' => 18, 'humidity' => 0.5])->assertCreated(),
            'a house rule of the user' => app(Settings::class)->set('house', ['primer' => 'never']),
            'a session' => app(Settings::class)->set('calendar', ['mon' => [['from' => 600, 'until' => 700]]]),
            'a product' => Product::query()->firstOrFail()->delete(),
            'a product put right' => $this->send('POST', '/api/products.csv', ['csv' => 'id,name,family,role,levelMl'."\n".Product::query()->firstOrFail()->id.',Linnet Grey Undercoat,lacquer,colour,7'])->assertCreated(),
            'what was learned on another build' => $this->learnElsewhere(),
            default => self::fail($what),
        };

        self::assertSame($before + 1, $this->compiled(), $what);
    }

    /** @return iterable<string, array{string}> */
    public static function changes(): iterable
    {
        foreach (['an event', 'an edit', 'a reading', 'a house rule of the user', 'a session', 'a product', 'a product put right', 'what was learned on another build'] as $what) {
            yield $what => [$what];
        }
    }

    public function test_a_press_on_one_build_leaves_of_the_others_what_tells_no_time(): void
    {
        $before = $this->compiled('surface');
        $other = $this->send('GET', '/api/frame')->json('builds')[1]['id'];
        $this->send('POST', "/api/builds/{$other}/events", ['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'x'])->assertCreated();

        self::assertSame($before, $this->compiled('surface'));
        self::assertSame($before + 1, $this->compiled('plan'), 'one pair of hands: when it is done may be another');
    }

    public function test_it_holds_until_the_moment_its_plan_names_and_not_a_second_longer(): void
    {
        $first = $this->compiled('surface');
        $until = app(Store::class)->slice($this->buildId(), 'surface')?->untilEpoch ?? 0;
        self::assertGreaterThan(strtotime(self::NOW) + 60, $until, 'a minute that turns alone makes nothing new');

        $this->at(gmdate('Y-m-d\TH:i:s\Z', $until - 1));
        self::assertSame($first, $this->compiled('surface'));
        $this->at(gmdate('Y-m-d\TH:i:s\Z', $until));
        self::assertSame($first + 1, $this->compiled('surface'));
        $this->at('2026-03-03T19:04:00Z');
        self::assertSame($first + 2, $this->compiled('surface'), 'a clock that was set back makes it anew');
    }

    public function test_somebody_at_the_bench_is_there_for_all_readers_until_the_time_is_over(): void
    {
        $this->at('2026-03-04T03:00:00Z');
        $planned = fn (): string => min(array_map(static fn (array $s): string => $s['start'], $this->plan()['stages']));
        self::assertStringStartsWith('2026-03-04T19', $planned(), 'nobody is there at night');
        $this->bench(60);
        self::assertStringStartsWith('2026-03-04T03', $planned(), 'but somebody is');
        $this->at('2026-03-04T04:00:00Z');
        self::assertStringStartsWith('2026-03-04T19', $planned(), 'and gone after the hour');
    }

    public function test_every_answer_carries_now_whether_it_was_kept_or_not(): void
    {
        foreach ([self::NOW, '2026-03-03T19:05:41Z'] as $now) {
            $this->at($now);
            foreach (['/api/frame', ...array_map(fn (string $of): string => "/api/builds/{$this->buildId()}/{$of}", ['bench', 'plan', 'log', 'kit', 'mix', 'surface', 'finish', 'house'])] as $path) {
                self::assertSame($now, $this->send('GET', $path)->json('now'), $path);
            }
        }
    }

    public function test_answers_go_out_compressed_with_their_length_and_are_the_same(): void
    {
        foreach (['frame', ...array_map(fn (string $of): string => "builds/{$this->buildId()}/{$of}", [...self::READERS, 'mix', 'log', 'kit', 'house', 'finish', 'sheet'])] as $path) {
            $plain = $this->send('GET', "/api/{$path}");
            self::assertSame((string) strlen((string) $plain->getContent()), $plain->headers->get('Content-Length'), $path);
            $packed = $this->get("/api/{$path}", ['Accept-Encoding' => 'gzip, deflate, br']);
            $body = (string) $packed->getContent();
            $read = match ($packed->headers->get('Content-Encoding')) {
                // Both check the sum at the end.
                'deflate' => gzuncompress($body),
                'gzip' => gzdecode($body),
                default => self::fail("{$path} is not compressed"),
            };
            self::assertSame($plain->getContent(), $read, $path);
            self::assertSame((string) strlen($body), $packed->headers->get('Content-Length'), $path);
        }
    }

    public function test_an_encoding_that_is_refused_is_not_used(): void
    {
        $encoding = fn (string $takes, string $path): ?string => $this->get($path, ['Accept-Encoding' => $takes])->headers->get('Content-Encoding');
        $plan = "/api/builds/{$this->buildId()}/plan";
        foreach (['deflate;q=0' => null, 'deflate;q=0, gzip' => 'gzip', 'identity;q=1, *;q=0' => null, 'br' => null, 'deflate;q=0.1' => 'deflate', '*' => 'deflate', ';;q=x,,=' => null] as $takes => $sent) {
            self::assertSame($sent, $encoding($takes, $plan), $takes);
        }
        self::assertNull($encoding('gzip;q=0', "/api/builds/{$this->buildId()}/kit"));
    }

    public function test_who_asks_for_the_head_alone_is_told_the_length_of_the_whole(): void
    {
        foreach (['/api/frame', "/api/builds/{$this->buildId()}/plan"] as $path) {
            $head = $this->call('HEAD', $path);
            self::assertSame(['', $this->get($path)->headers->get('Content-Length')], [$head->getContent(), $head->headers->get('Content-Length')], $path);
        }
    }

    public function test_a_frame_with_nothing_new_says_so_and_no_more(): void
    {
        $first = $this->send('GET', '/api/frame')->assertOk();
        $tag = (string) $first->headers->get('ETag');
        $again = $this->get('/api/frame', ['If-None-Match' => $tag]);
        self::assertSame([304, '', $tag], [$again->getStatusCode(), $again->getContent(), $again->headers->get('ETag')]);
        self::assertSame(304, $this->get('/api/frame', ['If-None-Match' => "\"another\", {$tag}"])->getStatusCode());
        self::assertSame(200, $this->get('/api/frame', ['If-None-Match' => '"another"'])->getStatusCode());

        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]], ['If-Match' => '"1"'])->assertCreated();
        self::assertSame(200, $this->get('/api/frame', ['If-None-Match' => $tag])->getStatusCode());
    }

    private function learnElsewhere(): void
    {
        $other = $this->send('GET', '/api/frame')->json('builds')[1]['id'];
        $area = $this->send('GET', "/api/builds/{$other}/kit")->json('areas')[0]['id'];
        $this->send('POST', "/api/builds/{$other}/events", ['id' => self::ulid(1), 'kind' => 'verdict', 'at' => self::NOW, 'verdict' => 'soft', 'wait' => 'tape-safe', 'targets' => [$area]])->assertCreated();
    }

    public function test_the_users_sessions_move_what_is_planned(): void
    {
        app(Settings::class)->set('calendar', ['sun' => [['from' => 480, 'until' => 1200]]]);
        foreach ($this->plan()['stages'] as $stage) {
            foreach ($stage['steps'] as $step) {
                self::assertSame('Sun', gmdate('D', (int) strtotime($step['start'])), $step['title']);
            }
        }
    }

    public function test_the_users_house_rules_change_the_plan(): void
    {
        $primes = fn (): int => count(array_filter($this->plan()['stages'], static fn (array $s): bool => $s['operation'] === 'prime'));
        self::assertGreaterThan(0, $primes());
        app(Settings::class)->set('house', ['primer' => 'where-needed']);

        self::assertSame(0, $primes());
    }
}
