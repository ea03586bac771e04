<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Drying\Conditions;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Show;
use AmberStep\Core\Timing\SprayPlace;
use App\Clock\BenchZone;
use App\Models\Change;
use Illuminate\Support\Facades\DB;

/**
 * What a user has besides guns: how many pieces the drying cabinet takes, and where one may spray, when, in which air.
 *
 * @phpstan-type PlaceRow array{name: string, from: int, until: int, temperatureC: float|null, humidity: float|null}
 */
final readonly class Workshop
{
    private const SETTING = 'workshop';

    private const MOST = 6;

    public function __construct(private Settings $settings, private Guns $guns, private Shows $shows, private Ledger $ledger)
    {
    }

    /** All a plan has to share out. */
    public function bench(): Bench
    {
        $is = $this->all();

        return new Bench($this->guns->count(), $is['cabinet'] ?? PHP_INT_MAX, array_map(static fn (array $p): SprayPlace => new SprayPlace($p['name'], $p['from'], $p['until'], $p['temperatureC'] === null || $p['humidity'] === null ? null : new Conditions($p['temperatureC'], $p['humidity'])), $is['places']), array_map(static fn (Show $s): int => $s->dueEpoch, $this->shows->byBuild(BenchZone::zone())));
    }

    /** @return array{cabinet: int|null, places: list<PlaceRow>} */
    public function all(): array
    {
        try {
            $value = $this->settings->value(self::SETTING);

            return self::read($value === [] ? ['cabinet' => null, 'places' => []] : $value);
        } catch (BadDocument) {
            return ['cabinet' => null, 'places' => []];
        }
    }

    /**
     * @return array{id: string, title: string}|null the change; null where it was so already
     *
     * @throws BadDocument where something is none
     */
    public function set(mixed $sent): ?array
    {
        $new = self::read($sent);

        return DB::transaction(function () use ($new): ?array {
            $was = $this->all();
            if ($was === $new) {
                return null;
            }
            $this->settings->set(self::SETTING, $new);

            return Ledger::told($this->ledger->write(Ledger::WORKSHOP, $was['places'] === $new['places'] ? 'Places in the cabinet' : 'Where is sprayed', [new FieldEdit('workshop', '', $new)], [new FieldEdit('workshop', '', $was)]));
        });
    }

    /** Throws BadDocument where something later changed the same. */
    public function undo(string $changeId): Change
    {
        return $this->ledger->takeBack($changeId, function (FieldEdit $edit): void {
            $this->settings->set(self::SETTING, self::read($edit->value));
        });
    }

    /**
     * @return array{cabinet: int|null, places: list<PlaceRow>}
     *
     * @throws BadDocument
     */
    private static function read(mixed $sent): array
    {
        $problems = new Problems;
        $in = Reader::of(is_array($sent) ? $sent : [], '', $problems);
        $cabinet = $in->optionalNumber('cabinet', 1, 200);
        $places = $in->each('places', static function (Reader $p): array {
            $place = ['name' => $p->text('name', 60), 'from' => (int) $p->number('from', 0, 1435), 'until' => (int) $p->number('until', 5, 1440), 'temperatureC' => $p->optionalNumber('temperatureC', -10, 50), 'humidity' => $p->optionalNumber('humidity', 0, 1)];
            $p->refuseTheRest();

            return $place;
        }, self::MOST);
        $in->refuseTheRest();
        $problems->throwIfAny();
        foreach ($places as $i => $place) {
            if ($place['until'] <= $place['from']) {
                throw BadDocument::at("places[{$i}].until", 'does not come after its begin', 'give minutes of one day, such as 600 to 1080');
            }
            if (($place['temperatureC'] === null) !== ($place['humidity'] === null)) {
                throw BadDocument::at("places[{$i}]", 'has half an air', 'give temperature and humidity, or neither: then it is the room\'s');
            }
        }

        return ['cabinet' => $cabinet === null ? null : (int) $cabinet, 'places' => $places];
    }
}
