<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Http\AnswerCache;
use App\Models\Product;
use App\Repositories\Settings;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** Answers are kept while nothing they rest on has changed, and never a moment longer. */
final class FreshnessTest extends AppTestCase
{
    private int $worked = 0;

    private function ask(): int
    {
        $answer = app(AnswerCache::class)->remember('a question of this test', fn (): array => ['n' => ++$this->worked]);

        return json_decode($answer, true, 2, JSON_THROW_ON_ERROR)['n'];
    }

    public function test_the_same_question_is_worked_out_once(): void
    {
        $first = $this->ask();

        self::assertSame([$first, $first], [$this->ask(), $this->ask()]);
    }

    #[DataProvider('changes')]
    public function test_a_change_of_what_it_rests_on_is_seen_at_once(string $what): void
    {
        $before = $this->ask();
        match ($what) {
            'an event' => $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'x'])->assertCreated(),
            'an edit' => $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]], ['If-Match' => '"1"'])->assertCreated(),
            'a reading' => $this->send('POST', '/api/readings', ['temperatureC' => 18, 'humidity' => 0.5])->assertCreated(),
            'a house rule of the user' => app(Settings::class)->set('house', ['primer' => 'never']),
            'a session' => app(Settings::class)->set('calendar', ['mon' => [['from' => 600, 'until' => 700]]]),
            'a product' => Product::query()->firstOrFail()->delete(),
            'a product put right' => $this->send('POST', '/api/products.csv', ['csv' => 'id,name,family,role,levelMl'."\n".Product::query()->firstOrFail()->id.',Linnet Grey Undercoat,lacquer,colour,7'])->assertCreated(),
            'the next minute' => $this->at('2026-03-03T19:06:00Z'),
            default => self::fail($what),
        };

        self::assertNotSame($before, $this->ask(), $what);
    }

    /** @return iterable<string, array{string}> */
    public static function changes(): iterable
    {
        foreach (['an event', 'an edit', 'a reading', 'a house rule of the user', 'a session', 'a product', 'a product put right', 'the next minute'] as $what) {
            yield $what => [$what];
        }
    }

    public function test_every_answer_carries_now_whether_it_was_kept_or_not(): void
    {
        foreach ([self::NOW, '2026-03-03T19:05:41Z'] as $now) {
            $this->at($now);
            foreach (['/api/frame', "/api/builds/{$this->buildId()}/bench", "/api/builds/{$this->buildId()}/plan", "/api/builds/{$this->buildId()}/log", "/api/builds/{$this->buildId()}/kit"] as $path) {
                self::assertSame($now, $this->send('GET', $path)->json('now'), $path);
            }
        }
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
