<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Timing\Calendar;
use App\Models\SessionDate;
use App\Models\Setting;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The user's own settings: sessions at the bench, house rules, where readings come from. */
final class Settings
{
    /** @var array<string, array<string, mixed>>|null all of them: a request asks for most */
    private ?array $all = null;

    public function calendar(DateTimeZone $zone): Calendar
    {
        $value = $this->value('calendar');
        $problems = new Problems;
        $calendar = $value === [] ? Calendar::usual($zone) : Calendar::read(Reader::of($value, 'calendar', $problems), $zone);
        $problems->throwIfAny();
        $dates = [];
        foreach (SessionDate::query()->get()->all() as $row) {
            $dates[$row->date] = array_map(static fn (array $s): array => [$s['from'], $s['until']], $row->sessions);
        }

        return $calendar->with($dates);
    }

    public function house(): HouseRules
    {
        try {
            $problems = new Problems;
            $rules = HouseRules::read(Reader::of($this->value('house'), 'house', $problems));
            $problems->throwIfAny();

            return $rules;
        } catch (BadDocument) {
            return new HouseRules;
        }
    }

    /** @return array<string, mixed> */
    public function value(string $name): array
    {
        if ($this->all === null) {
            $this->all = [];
            foreach (Setting::query()->get()->all() as $setting) {
                $this->all[$setting->name] = $setting->value;
            }
        }

        return $this->all[$name] ?? [];
    }

    /** @param  array<string, mixed>  $value */
    public function set(string $name, array $value): void
    {
        Setting::query()->updateOrCreate(['name' => $name], ['value' => $value]);
        $this->forget();
    }

    /**
     * Reads one, changes it and writes it, in one transaction: two hands at one setting do not lose each other's.
     *
     * @param  callable(array<string, mixed>): array<string, mixed>  $make
     */
    public function change(string $name, callable $make): void
    {
        DB::transaction(function () use ($name, $make): void {
            $this->forget();
            $this->set($name, $make($this->value($name)));
        });
    }

    /** What was here before is not what is here now: no answer that was kept, and no checkpoint, is of this bench any more. */
    public function renew(): void
    {
        $this->set('bench', ['since' => strtoupper((string) Str::ulid())]);
    }

    /** Others may have changed them while one waited. */
    public function forget(): void
    {
        $this->all = null;
    }
}
