<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Drying\Reading as Air;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event as LogEvent;
use AmberStep\Core\Material\Product as Paint;
use App\Clock\BenchClock;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Models\Build;
use App\Models\Event;
use App\Models\Product;
use App\Models\Reading;
use App\Models\Setting;
use App\Repositories\Evenings;
use App\Repositories\Guns;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Repositories\Shows;
use Illuminate\Support\Facades\DB;

/** The whole bench in one document: builds, shelf with recipes, settings with house rules, readings. Canonical: the same bench gives the same bytes. */
final readonly class BenchFile
{
    public const FORMAT = 1;

    /** What tells one bench from another here, and is nothing of the user's. */
    private const OWN = [BenchClock::TESTING, 'bench', 'shelf', 'demo'];

    public function __construct(private Copies $copies, private Settings $settings, private ShelfRepository $shelf, private Evenings $evenings, private Guns $guns, private Shows $shows)
    {
    }

    public function toJson(): string
    {
        // One moment: what is written meanwhile is in it whole, or not at all.
        $data = DB::transaction(function (): array {
            /** @var list<Build> $builds */
            $builds = Build::query()->orderBy('position')->orderBy('id')->get()->all();
            /** @var list<Product> $products */
            $products = Product::query()->orderBy('position')->orderBy('id')->get()->all();
            /** @var list<Setting> $settings */
            $settings = Setting::query()->whereNotIn('name', self::OWN)->orderBy('name')->get()->all();
            /** @var list<Reading> $readings */
            $readings = Reading::query()->orderBy('at')->orderBy('id')->get()->all();

            return [
                'format' => self::FORMAT,
                'builds' => array_map(self::build(...), $builds),
                'products' => array_map(static fn (Product $p): array => ['demo' => $p->demo, ...Paint::fromArray($p->body)->toArray()], $products),
                'settings' => (object) array_combine(array_map(static fn (Setting $s): string => $s->name, $settings), array_map(static fn (Setting $s): object => (object) $s->value, $settings)),
                'dates' => (object) $this->evenings->dates(),
                'guns' => $this->guns->all(),
                'shows' => $this->shows->rows(),
                'readings' => array_map(static fn (Reading $r): array => ['at' => Instant::format($r->at), 'temperatureC' => $r->temperature_c, 'humidity' => $r->humidity], $readings),
            ];
        });

        return json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** Whether a text is of a whole bench, and not of one build. */
    public static function isIn(string $json): bool
    {
        $data = json_decode($json, true, 32);

        return is_array($data) && array_key_exists('builds', $data);
    }

    /** @return list<string> hashes of all photographs of its builds */
    public function photographs(): array
    {
        $hashes = [];
        foreach (Build::query()->get()->all() as $build) {
            foreach (Kit::fromArray($build->kit)->photos as $photo) {
                $hashes[$photo->hash] = true;
            }
        }
        $hashes = array_map(strval(...), array_keys($hashes));
        sort($hashes);

        return $hashes;
    }

    /**
     * Everything that is here makes room, in one transaction; a copy of it is kept.
     *
     * @param  bool  $over  what is here may go
     *
     * @throws Conflict where something is here and nobody said that it may go
     * @throws BadDocument with every problem found
     */
    public function take(string $json, bool $over): void
    {
        [$builds, $products, $settings, $readings, $dates, $guns, $shows] = self::read($json);
        if ($over) {
            $this->copies->take(Cause::Replace);
        }
        DB::transaction(function () use ($builds, $products, $settings, $readings, $dates, $guns, $shows, $over): void {
            $here = Build::query()->orderBy('position')->pluck('name')->all();
            if ($here !== [] && ! $over) {
                throw new Conflict(count($here) === 1 ? "{$here[0]} is here already." : count($here).' builds are here already.', ['builds' => $here, 'choices' => [Porter::REPLACE]]);
            }
            foreach ([Build::class, Product::class, Reading::class] as $model) {
                $model::query()->delete();
            }
            DB::table('changes')->delete();
            Setting::query()->whereNotIn('name', self::OWN)->delete();
            foreach ($builds as $i => [$id, $kit, $events, $state]) {
                $build = Build::query()->create(['id' => $id, 'position' => $i + 1, 'name' => $kit->name, 'kit' => $kit->toArray(), 'revision' => 1, ...$state]);
                Replacement::write($build, $kit, $events);
            }
            foreach ($products as $i => [$paint, $demo]) {
                Product::query()->create(['id' => $paint->id, 'position' => $i + 1, 'body' => $paint->toArray(), 'demo' => $demo]);
            }
            foreach ($settings as $name => $value) {
                Setting::query()->create(['name' => $name, 'value' => $value]);
            }
            foreach ($readings as $reading) {
                Reading::query()->create(['at' => $reading->atEpoch, 'temperature_c' => $reading->air->temperatureC, 'humidity' => $reading->air->humidity]);
            }
            $this->evenings->replace($dates);
            $this->guns->put($guns);
            $this->shows->put($shows);
            $this->settings->renew();
        });
        $this->shelf->forget();
    }

    /** @return array<string, mixed> */
    private static function build(Build $build): array
    {
        $kit = Kit::fromArray($build->kit);
        /** @var list<Event> $rows */
        $rows = Event::query()->where('build_id', $build->id)->orderBy('number')->get()->all();
        $file = new BuildFile($build->id, $kit, [], array_map(static fn (Event $e): LogEvent => LogEvent::fromArray($e->body), $rows));
        $body = $file->toArray();

        return ['id' => $build->id, 'demo' => $build->demo, 'away' => $build->away, 'binned' => $build->binned === null ? null : Instant::format($build->binned), 'kit' => $body['kit'], 'events' => $body['events']];
    }

    /**
     * @return array{list<array{string, Kit, list<LogEvent>, array<string, mixed>}>, list<array{Paint, bool}>, array<string, array<string, mixed>>, list<Air>, array<string, list<array{from: int, until: int}>>, list<array{id: string, name: string, nozzleMm: float, cupMl: float}>, list<array{id: string, name: string, date: string, by: int, packing: int, travel: int, demands: list<string>, builds: list<string>}>}
     *
     * @throws BadDocument
     */
    private static function read(string $json): array
    {
        $problems = new Problems;
        $data = json_decode($json, true, 32);
        $in = Reader::of(is_array($data) ? $data : throw BadDocument::at('', 'is not JSON', 'give a file of the whole bench as this product writes it'), '', $problems);
        if ($in->raw('format') !== self::FORMAT) {
            throw BadDocument::at('format', 'is not '.self::FORMAT, 'give a file of the whole bench as this product writes it, or a newer version of the product');
        }
        $builds = $in->each('builds', static function (Reader $b): array {
            $id = $b->id('id');
            $state = ['demo' => $b->flag('demo'), 'away' => $b->flag('away'), 'binned' => $b->optionalInstant('binned')];
            $events = $b->each('events', LogEvent::read(...), 100000);
            $kit = $b->raw('kit');
            $b->refuseTheRest();

            return [$id, Kit::fromArray($kit), $events, $state];
        }, 1000);
        $products = $in->each('products', static function (Reader $p): array {
            $demo = $p->flag('demo');

            return [Paint::read($p), $demo];
        }, 20000);
        $settings = $in->raw('settings');
        // A file from before they were written down has none of these.
        $dates = Evenings::read($in->raw('dates') ?? []);
        $guns = Guns::read($in->raw('guns') ?? []);
        $shows = Shows::read($in->raw('shows') ?? []);
        $readings = $in->each('readings', static function (Reader $r): Air {
            $reading = new Air($r->instant('at'), new Conditions($r->number('temperatureC', -30, 80), $r->number('humidity', 0, 1)));
            $r->refuseTheRest();

            return $reading;
        }, 1000000);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $kept = [];
        foreach (is_array($settings) ? $settings : [] as $name => $value) {
            if (! is_string($name) || ! is_array($value) || strlen($name) > 60 || in_array($name, self::OWN, true)) {
                throw BadDocument::at("settings.{$name}", 'is no setting', 'leave it out');
            }
            $kept[$name] = $value;
        }

        return [$builds, $products, $kept, $readings, $dates, $guns, $shows];
    }
}
