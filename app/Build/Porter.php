<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Product as Paint;
use App\Models\Build;
use App\Models\Change;
use App\Models\Event;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Brings builds in from files and writes them out. */
final readonly class Porter
{
    public const REPLACE = 'replace';

    public const COPY = 'copy';

    public function __construct(private ShelfRepository $shelf, private Backup $backup)
    {
    }

    /**
     * @param  string|null  $mode  what to do with a build that is here already; null: ask, by a conflict
     * @return string id of the build as it came in
     *
     * @throws Conflict when the build is here already and nobody said what to do
     * @throws BadDocument when an event of the file belongs to another build here
     */
    public function import(BuildFile $file, ?string $mode, bool $demo = false): string
    {
        $here = Build::query()->find($file->id);
        if ($here !== null && $mode === null) {
            throw new Conflict("{$here->name} is here already.", ['id' => $here->id, 'name' => $here->name, 'choices' => [self::REPLACE, self::COPY]]);
        }
        if ($here !== null && $mode === self::REPLACE) {
            $this->backup->take();
        }
        if ($here !== null && $mode === self::COPY) {
            $file = self::copyOf($file);
        }

        return DB::transaction(function () use ($file, $demo): string {
            $position = Build::query()->find($file->id)->position ?? 1 + (int) Build::query()->max('position');
            Event::query()->where('build_id', $file->id)->delete();
            Change::query()->where('build_id', $file->id)->delete();
            Build::query()->updateOrCreate(['id' => $file->id], ['position' => $position, 'name' => $file->kit->name, 'kit' => $file->kit->toArray(), 'revision' => 1, 'demo' => $demo]);
            $this->shelf->addMissing($file->products, $demo);
            foreach ($file->events as $event) {
                if (Event::query()->where('id', $event->id)->exists()) {
                    throw BadDocument::at('events', "holds {$event->id}, which belongs to another build here", 'import the file as a copy');
                }
                Event::query()->create(['id' => $event->id, 'build_id' => $file->id, 'kind' => $event->kind->value, 'at' => $event->atEpoch, 'recorded' => $event->recordedEpoch, 'step_key' => $event->stepKey, 'body' => $event->toArray()]);
            }

            return $file->id;
        });
    }

    /** A new build with nothing done on it. */
    public function add(Kit $kit): string
    {
        $id = strtoupper((string) Str::ulid());
        DB::transaction(static fn () => Build::query()->create(['id' => $id, 'position' => 1 + (int) Build::query()->max('position'), 'name' => $kit->name, 'kit' => $kit->toArray(), 'revision' => 1, 'demo' => false]));

        return $id;
    }

    /** The kit of a build as a build of its own, under new ids, with an empty log. */
    public function kitCopy(LoadedBuild $build): string
    {
        return $this->import(self::copyOf(new BuildFile($build->id, $build->kit, $this->export($build)->products, [])), null);
    }

    public function export(LoadedBuild $build): BuildFile
    {
        $used = [];
        foreach ($build->kit->colours as $colour) {
            $used[$colour->product] = true;
        }
        foreach ([...$build->kit->pins, ...$build->kit->inserted, ...$build->events()] as $thing) {
            if ($thing->product !== null) {
                $used[$thing->product] = true;
            }
        }

        // A mixed colour travels with what it is mixed from.
        foreach ($this->shelf->shelf()->products as $product) {
            foreach (isset($used[$product->id]) ? $product->mix->products ?? [] : [] as $part) {
                $used[(string) $part] = true;
            }
        }

        return new BuildFile($build->id, $build->kit, array_values(array_filter($this->shelf->shelf()->products, static fn (Paint $p): bool => isset($used[$p->id]))), $build->events());
    }

    /** The same build under new ids, so that both can stand side by side. Products keep theirs: one shelf. */
    private static function copyOf(BuildFile $file): BuildFile
    {
        $new = [];
        $products = array_fill_keys(array_map(static fn (Paint $p): string => $p->id, $file->products), true);
        foreach ($file->kit->colours as $colour) {
            $products[$colour->product] = true;
        }
        $json = preg_replace_callback('/(?<![0-9A-Za-z])[0-7][0-9A-HJKMNP-TV-Z]{25}(?![0-9A-Za-z])/', static function (array $m) use (&$new, $products): string {
            return isset($products[$m[0]]) ? $m[0] : $new[$m[0]] ??= strtoupper((string) Str::ulid());
        }, $file->toJson());
        $copy = BuildFile::parse((string) $json);
        $kit = $copy->kit->toArray();
        $kit['name'] = mb_substr($copy->kit->name, 0, 110).', copy';

        return new BuildFile($copy->id, \AmberStep\Core\Kit\Kit::fromArray($kit), $copy->products, $copy->events, $copy->readings);
    }
}
