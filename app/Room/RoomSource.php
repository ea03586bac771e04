<?php

declare(strict_types=1);

namespace App\Room;

use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Reading;
use AmberStep\Core\Drying\Room;
use App\Clock\BenchZone;
use App\Models\Reading as StoredReading;
use App\Repositories\Settings;
use Illuminate\Support\Facades\DB;

/** Where the air comes from: the simulated hygrometer, or readings the user types. */
final readonly class RoomSource
{
    public const SIMULATED = 'simulated';

    public const TYPED = 'typed';

    /** Older air than this bears on no hold that still runs. */
    private const DAYS_BACK = 15;

    public function __construct(private Settings $settings)
    {
    }

    public function room(int $nowEpoch): Room
    {
        $cycle = $this->cycle();
        if ($this->source() === self::TYPED) {
            $typed = $this->typed($nowEpoch);

            return new Room($typed, $nowEpoch, $typed === [] ? $cycle : null);
        }
        $simulated = (new Hygrometer($cycle, $this->seed()))->between($nowEpoch - 86400 * self::DAYS_BACK, $nowEpoch);

        return new Room($simulated, $nowEpoch, $cycle);
    }

    /** When another reading is due; null where they are typed, and come when they come. */
    public function nextReading(int $nowEpoch): ?int
    {
        return $this->source() === self::SIMULATED ? Hygrometer::after($nowEpoch) : null;
    }

    public function source(): string
    {
        return ($this->settings->value('room')['source'] ?? self::SIMULATED) === self::TYPED ? self::TYPED : self::SIMULATED;
    }

    public function useSource(string $source): void
    {
        $this->settings->change('room', static fn (array $room): array => [...$room, 'source' => $source]);
    }

    public function record(int $atEpoch, Conditions $air): void
    {
        DB::transaction(function () use ($atEpoch, $air): void {
            StoredReading::query()->create(['at' => $atEpoch, 'temperature_c' => $air->temperatureC, 'humidity' => $air->humidity]);
            $this->useSource(self::TYPED);
        });
    }

    public function cycle(): DailyCycle
    {
        $room = $this->settings->value('room');
        $number = static fn (string $name, float $otherwise): float => is_numeric($room[$name] ?? null) ? (float) $room[$name] : $otherwise;

        return new DailyCycle($number('lowC', 14), $number('highC', 22), $number('lowHumidity', 0.45), $number('highHumidity', 0.80), BenchZone::zone());
    }

    private function seed(): int
    {
        $seed = $this->settings->value('room')['seed'] ?? 7;

        return is_int($seed) ? $seed : 7;
    }

    /** @return list<Reading> */
    private function typed(int $nowEpoch): array
    {
        /** @var list<StoredReading> $rows */
        $rows = StoredReading::query()->where('at', '>=', $nowEpoch - 86400 * self::DAYS_BACK)->orderBy('at')->get()->all();

        return array_map(static fn (StoredReading $r): Reading => new Reading($r->at, new Conditions($r->temperature_c, $r->humidity)), $rows);
    }
}
