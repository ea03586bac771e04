<?php

declare(strict_types=1);

namespace App\Demo;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Material\Product as Paint;
use App\Build\BuildFile;
use App\Build\Porter;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Models\Build;
use App\Models\Gun;
use App\Models\Setting;
use App\Repositories\Settings;
use App\Repositories\Shows;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use RuntimeException;

/** The demo builds, in a state that is relative to now, so that they are always alive. */
final readonly class Demo
{
    /** Name, nozzle in mm and cup in ml. */
    private const GUNS = [['Fine', 0.2, 2.0], ['All-round', 0.35, 7.0], ['Wide', 0.5, 15.0]];

    /** Name, days from when the demo is loaded, and the builds that are made for it. */
    private const SHOWS = [['Harbour Lights', 25, ['shearwater', 'cinder', 'type6']], ['Quayside Open', 60, ['torsay']]];

    /** Minutes of the day by which the builds stand in the hall; minutes for packing and for the way there. */
    private const IN_THE_HALL = [480, 60, 120];

    private const BUILDS = ['shearwater', 'cinder', 'type6', 'torsay', 'marram', 'brindle'];

    /** Shut in its box until its masks are cut: it takes no time, and is taken back in hand at the builds. */
    private const AWAY = ['brindle'];

    public function __construct(private Porter $porter, private Settings $settings, private BenchClock $clock, private Copies $copies, private Shows $shows)
    {
    }

    /**
     * Loads the demo once on a file without builds.
     *
     * @return bool whether it did
     */
    public function loadOnce(): bool
    {
        return DB::transaction(function (): bool {
            if (Build::query()->exists() || Setting::query()->find('demo') !== null) {
                return false;
            }
            $this->load();

            return true;
        });
    }

    /** Makes the demo builds fresh; the user's own builds stay as they are. */
    public function again(): void
    {
        $this->copies->take(Cause::Demo);
        DB::transaction(function (): void {
            Build::query()->where('demo', true)->delete();
            $this->load();
        });
    }

    private function load(): void
    {
        $products = array_map(Paint::fromArray(...), self::list(self::read('shelf'), 'products'));
        $ids = [];
        foreach (self::BUILDS as $name) {
            $file = $this->file($name, array_values($products));
            $ids[$name] = $file->id;
            $this->porter->import($file, Porter::REPLACE, true);
            Build::query()->whereKey($file->id)->update(['away' => in_array($name, self::AWAY, true)]);
        }
        $this->enter($ids);
        if (! Gun::query()->exists()) {
            foreach (self::GUNS as $i => [$name, $nozzle, $cup]) {
                Gun::query()->create(['id' => strtoupper((string) Str::ulid()), 'name' => $name, 'nozzle_mm' => $nozzle, 'cup_ml' => $cup, 'position' => $i + 1]);
            }
        }
        $this->settings->set('demo', ['loaded' => Instant::format($this->clock->epoch())]);
    }

    /** @param  array<string, string>  $ids  of the demo builds, by their names in the files */
    private function enter(array $ids): void
    {
        $today = (new DateTimeImmutable('@'.$this->clock->epoch()))->setTimezone(BenchZone::zone());
        $demo = [];
        foreach (self::SHOWS as [$name, $days, $builds]) {
            [$by, $packing, $travel] = self::IN_THE_HALL;
            $demo[Id::from('show', $name)] = ['id' => Id::from('show', $name), 'name' => $name, 'date' => $today->modify("+{$days} days")->format('Y-m-d'), 'by' => $by, 'packing' => $packing, 'travel' => $travel, 'demands' => [], 'builds' => array_map(static fn (string $b): string => $ids[$b], $builds)];
        }
        $own = [];
        foreach ($this->shows->rows() as $show) {
            if (! isset($demo[$show['id']])) {
                $own[] = [...$show, 'builds' => array_values(array_diff($show['builds'], $ids))];
            }
        }
        $this->shows->put([...$own, ...array_values($demo)]);
    }

    /** @param  list<Paint>  $products */
    private function file(string $name, array $products): BuildFile
    {
        $data = self::read($name);
        $kit = is_array($data['kit'] ?? null) ? $data['kit'] : [];
        $now = $this->clock->epoch();
        $events = array_map(static function (mixed $event) use ($now): Event {
            $event = is_array($event) ? $event : [];
            $at = Instant::format(self::when($event, $now));
            unset($event['minutesAgo'], $event['daysAgo'], $event['wall']);

            return Event::fromArray([...$event, 'at' => $at, 'recorded' => $at]);
        }, self::list($data, 'events'));

        $own = array_map(Paint::fromArray(...), self::list($data, 'products'));

        return new BuildFile(is_string($data['id'] ?? null) ? $data['id'] : '', Kit::fromArray([...$kit, 'zone' => BenchZone::name()]), [...$products, ...array_values($own)], array_values($events));
    }

    /**
     * Recent events are so many minutes ago; older ones were on an evening so many days ago.
     *
     * @param  array<mixed>  $event
     */
    private static function when(array $event, int $now): int
    {
        if (is_int($event['minutesAgo'] ?? null)) {
            return $now - 60 * $event['minutesAgo'];
        }
        $day = (new DateTimeImmutable('@'.$now))->setTimezone(BenchZone::zone())->modify('-'.(is_int($event['daysAgo'] ?? null) ? $event['daysAgo'] : 1).' days');
        [$hour, $minute] = array_map(intval(...), [...explode(':', is_string($event['wall'] ?? null) ? $event['wall'] : '20:00'), '0']);

        return $day->setTime($hour, $minute)->getTimestamp();
    }

    /** @return array<mixed> */
    private static function read(string $name): array
    {
        $json = file_get_contents(database_path("demo/{$name}.json"));
        $data = $json === false ? null : json_decode($json, true);

        return is_array($data) ? $data : throw new RuntimeException("The demo file {$name}.json cannot be read.");
    }

    /**
     * @param  array<mixed>  $data
     * @return list<mixed>
     */
    private static function list(array $data, string $field): array
    {
        return is_array($data[$field] ?? null) ? array_values($data[$field]) : [];
    }
}
