<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Answers\Kept;
use App\Answers\Packed;
use App\Answers\Store;
use RuntimeException;
use Tests\Support\AppTestCase;

/** What is written at once, what follows, and who is let in meanwhile. */
final class StoreTest extends AppTestCase
{
    private static function kept(string $word): Kept
    {
        return new Kept('mark', 0, PHP_INT_MAX, 1, null, Packed::of(['word' => $word]));
    }

    private static function word(Store $store, string $slice): mixed
    {
        return $store->slice('one', $slice)?->answer->data()['word'];
    }

    /** Whether somebody else would be let in. */
    private static function isFree(Store $store): bool
    {
        $lock = fopen($store->path('one', 'lock'), 'c');
        self::assertNotFalse($lock);
        $free = flock($lock, LOCK_EX | LOCK_NB);
        fclose($lock);

        return $free;
    }

    public function test_nobody_is_let_in_before_the_rest_is_written(): void
    {
        $store = app(Store::class);
        $inside = null;
        $said = $store->alone('one', static function (callable $later) use ($store, &$inside): string {
            $inside = self::isFree($store);
            $store->putTogether('one', ['bench' => self::kept('first')]);
            $later(static fn () => $store->putTogether('one', ['plan' => self::kept('rest')], rest: true));

            return 'out';
        });

        self::assertSame(['out', false, false], [$said, $inside, self::isFree($store)]);
        self::assertSame(['first', null], [self::word($store, 'bench'), self::word($store, 'plan')]);
        $store->finish();
        self::assertSame(['rest', true], [self::word($store, 'plan'), self::isFree($store)]);
        $store->finish();
    }

    public function test_who_comes_again_in_one_breath_writes_the_rest_first(): void
    {
        $store = app(Store::class);
        $store->alone('one', static function (callable $later) use ($store): void {
            $later(static fn () => $store->putTogether('one', ['plan' => self::kept('rest')], rest: true));
        });

        self::assertSame('rest', $store->alone('one', static fn (): mixed => self::word($store, 'plan')));
        self::assertTrue(self::isFree($store));
    }

    public function test_what_was_asked_for_is_read_before_what_followed_earlier(): void
    {
        $store = app(Store::class);
        $store->putTogether('one', ['plan' => self::kept('earlier'), 'find' => self::kept('still')], rest: true);
        $store->putTogether('one', ['bench' => self::kept('b'), 'plan' => self::kept('now')]);

        self::assertSame(['now', 'still'], [self::word($store, 'plan'), self::word($store, 'find')]);
    }

    public function test_the_door_is_open_again_after_a_failure(): void
    {
        $store = app(Store::class);
        try {
            $store->alone('one', static fn () => throw new RuntimeException('no'));
            self::fail('it is heard');
        } catch (RuntimeException $e) {
            self::assertSame('no', $e->getMessage());
        }
        self::assertTrue(self::isFree($store));
        $store->alone('one', static function (callable $later): void {
            $later(static fn () => throw new RuntimeException('later'));
        });
        try {
            $store->finish();
            self::fail('it is heard');
        } catch (RuntimeException $e) {
            self::assertSame('later', $e->getMessage());
        }
        self::assertTrue(self::isFree($store));
    }

    public function test_a_bench_that_is_answered_leaves_nothing_to_be_done(): void
    {
        $store = app(Store::class);
        $this->send('GET', "/api/builds/{$this->buildId()}/bench?minutes=90")->assertOk();

        foreach (['bench', 'frame', 'plan', 'find', 'surface', 'mix', 'sprayings', 'breakdown', 'booklet', 'lists'] as $slice) {
            self::assertNotNull($store->slice($this->buildId(), $slice), $slice);
        }
    }

    public function test_a_damaged_file_is_no_answer(): void
    {
        $store = app(Store::class);
        $store->putTogether('one', ['bench' => self::kept('b')]);
        foreach (['', '{', "{\"bench\":[0]}\n", "{\"bench\":[0,5]}\nabcde", "{\"bench\":\"x\"}\n"] as $bytes) {
            $store->write($store->path('one', 'timetable'), $bytes);
            self::assertNull($store->slice('one', 'bench'), $bytes);
        }
    }
}
