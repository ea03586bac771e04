<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\ShowDemand;
use AmberStep\Core\Timing\Show;
use App\Clock\BenchClock;
use App\Models\Build;
use App\Models\Change;
use App\Models\Entry;
use App\Models\Show as ShowModel;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The shows one builds for, and what is entered: each build for one at a time. Each change can be taken back.
 *
 * @phpstan-type ShowRow array{id: string, name: string, date: string, by: int, packing: int, travel: int, demands: list<string>, builds: list<string>}
 */
final readonly class Shows
{
    private const MOST = 20;

    /** Minutes a build may be packed or carried for. */
    private const LONGEST = 2880;

    /** Days ahead. */
    private const AHEAD = 1100;

    public function __construct(private Ledger $ledger, private BenchClock $clock)
    {
    }

    /** @return list<ShowRow> the soonest first */
    public function rows(): array
    {
        $builds = [];
        // A build that is gone for good is entered for nothing.
        /** @var list<Entry> $entries */
        $entries = Entry::query()->whereIn('build_id', Build::query()->select('id'))->orderBy('build_id')->get()->all();
        foreach ($entries as $entry) {
            $builds[$entry->show_id][] = $entry->build_id;
        }
        /** @var list<ShowModel> $shows */
        $shows = ShowModel::query()->orderBy('date')->orderBy('by')->orderBy('id')->get()->all();

        return array_map(static fn (ShowModel $s): array => ['id' => $s->id, 'name' => $s->name, 'date' => $s->date, 'by' => $s->by, 'packing' => $s->packing, 'travel' => $s->travel, 'demands' => $s->demands, 'builds' => $builds[$s->id] ?? []], $shows);
    }

    /** The show a build is made for; null where it has none. */
    public function of(string $build, DateTimeZone $zone): ?Show
    {
        /** @var Entry|null $entry */
        $entry = Entry::query()->find($build);
        /** @var ShowModel|null $show */
        $show = $entry === null ? null : ShowModel::query()->find($entry->show_id);

        return $show === null ? null : Show::on($show->id, $show->name, $show->date, $show->by, $show->packing, $show->travel, $show->demands, $zone);
    }

    /** @return array<string, Show> by build that is entered */
    public function byBuild(DateTimeZone $zone): array
    {
        $shows = [];
        foreach ($this->rows() as $row) {
            $shows += array_fill_keys($row['builds'], self::show($row, $zone));
        }

        return $shows;
    }

    /** @return list<Show> the soonest first */
    public function all(DateTimeZone $zone): array
    {
        return array_map(static fn (array $row): Show => self::show($row, $zone), $this->rows());
    }

    /** @param  ShowRow  $row */
    private static function show(array $row, DateTimeZone $zone): Show
    {
        return Show::on($row['id'], $row['name'], $row['date'], $row['by'], $row['packing'], $row['travel'], $row['demands'], $zone);
    }

    /**
     * @param  mixed  $sent  all of them; a new one without id
     * @return array{id: string, title: string}|null the change; null where it was so already
     *
     * @throws BadDocument where one is none
     */
    public function set(mixed $sent): ?array
    {
        $shows = self::read($sent);
        $this->refuse($shows);

        return DB::transaction(function () use ($shows): ?array {
            $was = $this->rows();
            $this->put($shows);
            $is = $this->rows();
            if ($was === $is) {
                return null;
            }
            $title = count($is) === count($was) ? 'Shows changed' : (count($is) > count($was) ? 'A show more' : 'A show less');

            return Ledger::told($this->ledger->write(Ledger::SHOWS, $title, [new FieldEdit('shows', '', $is)], [new FieldEdit('shows', '', $was)]));
        });
    }

    /**
     * What leads nowhere: a build that is not here, a day nobody plans for evening by evening.
     *
     * @param  list<ShowRow>  $shows
     *
     * @throws BadDocument
     */
    private function refuse(array $shows): void
    {
        $problems = new Problems;
        $here = Build::query()->pluck('id')->all();
        foreach ($shows as $i => $show) {
            if (strtotime($show['date'].' UTC') > $this->clock->epoch() + self::AHEAD * 86400) {
                $problems->add("shows.{$i}.date", 'is further off than '.self::AHEAD.' days', 'write it down when it comes nearer');
            }
            foreach (array_diff($show['builds'], $here) as $id) {
                $problems->add("shows.{$i}.builds", "names {$id}, which is no build here", 'use the id of one that is');
            }
        }
        $problems->throwIfAny();
    }

    /** Throws BadDocument where something later changed the same. */
    public function undo(string $changeId): Change
    {
        return $this->ledger->takeBack($changeId, function (FieldEdit $edit): void {
            $this->put(self::read($edit->value));
        });
    }

    /** @param  list<ShowRow>  $shows  in the place of all there are */
    public function put(array $shows): void
    {
        ShowModel::query()->delete();
        Entry::query()->delete();
        foreach ($shows as $show) {
            $builds = $show['builds'];
            unset($show['builds']);
            ShowModel::query()->create($show);
            foreach ($builds as $build) {
                Entry::query()->create(['build_id' => $build, 'show_id' => $show['id']]);
            }
        }
    }

    /**
     * @return list<ShowRow> as they were sent, or as a file has them
     *
     * @throws BadDocument where one is none
     */
    public static function read(mixed $sent): array
    {
        if (! is_array($sent) || ! array_is_list($sent) || count($sent) > self::MOST) {
            throw BadDocument::at('shows', 'is no list of at most '.self::MOST.' shows', 'give each its name, date and hour');
        }
        $problems = new Problems;
        $shows = [];
        foreach ($sent as $i => $one) {
            $in = Reader::of(is_array($one) ? $one : [], "shows.{$i}", $problems);
            $id = $in->optionalText('id', 26);
            $show = [
                'id' => $id ?? strtoupper((string) Str::ulid()),
                'name' => $in->text('name', 60),
                'date' => $in->text('date', 10),
                'by' => (int) $in->number('by', 0, 1439),
                'packing' => (int) $in->number('packing', 0, self::LONGEST),
                'travel' => (int) $in->number('travel', 0, self::LONGEST),
                'demands' => self::demands($in->raw('demands') ?? [], "shows.{$i}.demands"),
                'builds' => self::builds($in->raw('builds') ?? [], "shows.{$i}.builds"),
            ];
            $in->refuseTheRest();
            $day = DateTimeImmutable::createFromFormat('!Y-m-d', $show['date'], new DateTimeZone('UTC'));
            if ($day === false || $day->format('Y-m-d') !== $show['date']) {
                $problems->add("shows.{$i}.date", 'is no date', 'write it as 2026-03-28');
            }
            $shows[] = $show;
        }
        $problems->throwIfAny();
        self::once(array_column($shows, 'id'), 'shows', 'name one show twice', 'leave the id out for a new one');
        self::once(array_merge(...array_column($shows, 'builds')), 'shows', 'enter one build for two shows', 'a build is made for one show at a time');

        return $shows;
    }

    /** @param  list<string>  $ids */
    private static function once(array $ids, string $where, string $what, string $right): void
    {
        if (count(array_unique($ids)) < count($ids)) {
            throw BadDocument::at($where, $what, $right);
        }
    }

    /** @return list<string> */
    private static function demands(mixed $sent, string $where): array
    {
        $known = array_column(ShowDemand::cases(), 'value');
        if (! is_array($sent) || ! array_is_list($sent) || array_filter($sent, static fn (mixed $d): bool => ! in_array($d, $known, true)) !== []) {
            throw BadDocument::at($where, 'says what no show asks for', 'use some of '.implode(', ', $known));
        }

        return array_values(array_filter($known, static fn (string $d): bool => in_array($d, $sent, true)));
    }

    /** @return list<string> */
    private static function builds(mixed $sent, string $where): array
    {
        if (! is_array($sent) || ! array_is_list($sent) || array_filter($sent, static fn (mixed $id): bool => ! is_string($id) || preg_match('/\A[0-9A-Z]{26}\z/', $id) !== 1) !== []) {
            throw BadDocument::at($where, 'is no list of builds', 'give their ids');
        }
        /** @var list<string> $sent */
        sort($sent);

        return $sent;
    }
}
