<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Answers\Store;
use App\Models\Event;
use Tests\Support\AppTestCase;

/** A log of months is folded from its last checkpoint that holds, and says the same as one folded from its beginning. */
final class LongLogTest extends AppTestCase
{
    private const COATS = 320;

    protected function setUp(): void
    {
        parent::setUp();
        $area = $this->send('GET', "/api/builds/{$this->buildId()}/kit")->json('areas')[0]['id'];
        $paint = $this->send('GET', '/api/products')->json('products')[0]['id'];
        for ($i = 0; $i < self::COATS; $i++) {
            $at = (int) strtotime(self::NOW) - 60 * 86400 + 3600 * $i;
            $this->write(['id' => self::ulid($i + 1), 'kind' => 'done', 'operation' => 'colour', 'at' => gmdate('Y-m-d\TH:i:s\Z', $at), 'targets' => [$area], 'product' => $paint], $at);
        }
        $this->plan();
    }

    public function test_it_is_kept_and_used_and_equals_the_log_from_its_beginning(): void
    {
        self::assertNotSame([], $this->checkpoints());
        $note = ['id' => self::ulid(900), 'kind' => 'note', 'at' => self::NOW, 'note' => 'x'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", $note)->assertCreated();
        $short = $this->plan();
        app(Store::class)->sweep();

        self::assertSame($short, $this->plan());
    }

    public function test_an_event_set_back_and_one_taken_back_are_seen_though_a_checkpoint_went_over_them(): void
    {
        foreach ([
            ['id' => self::ulid(901), 'kind' => 'note', 'at' => '2026-01-03T10:00:00Z', 'note' => 'early'],
            ['id' => self::ulid(902), 'kind' => 'take-back', 'at' => self::NOW, 'takesBack' => self::ulid(5)],
        ] as $event) {
            $this->send('POST', "/api/builds/{$this->buildId()}/events", $event)->assertCreated();
            $short = $this->plan();
            app(Store::class)->sweep();
            self::assertSame($short, $this->plan(), $event['kind']);
        }
    }

    public function test_steering_the_plan_leaves_it_and_changing_what_it_is_about_does_not(): void
    {
        $before = $this->checkpoints();
        $this->edit(1, ['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(903), 'operation' => 'gloss', 'present' => true]]);
        self::assertSame($before, $this->checkpoints());
        $this->edit(2, ['op' => 'house', 'list' => 'primer', 'value' => 'never']);
        self::assertSame([], array_intersect($before, $this->checkpoints()));
    }

    /** @param  array<string, mixed>  $edit */
    private function edit(int $revision, array $edit): void
    {
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [$edit]], ['If-Match' => "\"{$revision}\""])->assertCreated();
        $this->plan();
    }

    /** @return list<string> */
    private function checkpoints(): array
    {
        $said = json_decode((string) app(Store::class)->read($this->buildId(), 'checkpoints'), true);

        return array_column($said[1] ?? [], 0);
    }

    /** @param  array<string, mixed>  $event */
    private function write(array $event, int $at): void
    {
        $body = \AmberStep\Core\Log\Event::fromArray([...$event, 'recorded' => gmdate('Y-m-d\TH:i:s\Z', $at)])->toArray();
        Event::query()->create(['id' => $event['id'], 'build_id' => $this->buildId(), 'kind' => $event['kind'], 'at' => $at, 'recorded' => $at, 'step_key' => null, 'body' => $body]);
    }
}
