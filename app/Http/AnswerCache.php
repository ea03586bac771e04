<?php

declare(strict_types=1);

namespace App\Http;

use App\Clock\BenchClock;
use App\Models\Build;
use App\Models\Event;
use App\Models\Product;
use App\Models\Reading;
use App\Models\Setting;

/**
 * Keeps the last answer to a question about a build for as long as nothing it rests on has changed, a
 * minute at most: holds end on whole minutes, and in between the web picks by the clock.
 */
final readonly class AnswerCache
{
    public function __construct(private BenchClock $clock)
    {
    }

    /**
     * @param  string  $question  what is asked, such as "bench/01.../90"
     * @param  callable(): array<string, mixed>  $work
     * @return string the answer as JSON, as it was written: reading it again would cost more than keeping it
     */
    public function remember(string $question, callable $work): string
    {
        $file = storage_path('framework/cache/answer'.getenv('TEST_TOKEN').'-'.hash('xxh128', base_path().$question).'.json');
        $state = $this->state();
        // It may be replaced between a look and a read: then it is worked out again.
        [$keptState, $kept] = [...explode("\n", (string) @file_get_contents($file), 2), ''];
        if ($keptState === $state && $kept !== '') {
            return $kept;
        }
        // The moment is put in when an answer goes out, not when it was worked out.
        $answer = json_encode(array_diff_key($work(), ['now' => true]), JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        $fresh = $file.'.'.bin2hex(random_bytes(4));
        if (@file_put_contents($fresh, $state."\n".$answer) !== false) {
            rename($fresh, $file);
        }

        return $answer;
    }

    /** Changes whenever anything an answer rests on does. */
    private function state(): string
    {
        return implode('|', [
            intdiv($this->clock->epoch(), 60),
            // A database in memory belongs to its process.
            str_replace(':memory:', ':memory:'.getmypid(), (new Build)->getConnection()->getDatabaseName()),
            Build::query()->selectRaw("group_concat(id || ':' || revision) as mark")->value('mark'),
            Event::query()->max('number'), Event::query()->count(),
            Product::query()->max('position'), Product::query()->count(),
            Reading::query()->max('id'),
            hash('xxh128', (string) Setting::query()->orderBy('name')->get(['name', 'value'])->toJson()),
        ]);
    }
}
