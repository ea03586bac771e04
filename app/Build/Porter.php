<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Product as Paint;
use App\Clock\BenchClock;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Models\Build;
use App\Models\Change;
use App\Repositories\FieldEdit;
use App\Repositories\Ledger;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Brings builds in from files and writes them out. */
final readonly class Porter
{
    public const REPLACE = 'replace';

    public const COPY = 'copy';

    public const ANYWAY = 'anyway';

    public function __construct(private ShelfRepository $shelf, private Copies $copies, private Ledger $ledger, private Settings $settings, private BenchClock $clock)
    {
    }

    /**
     * @param  string|null  $mode  what to do with a build that is here already; null: ask, by a conflict
     * @param  bool  $anyway  though its digest says that it was changed since it was written
     * @return string id of the build as it came in
     *
     * @throws Conflict when the build is here already, or was changed, and nobody said what to do
     * @throws BadDocument when an event of the file belongs to another build here
     */
    public function import(BuildFile $file, ?string $mode, bool $demo = false, bool $anyway = false): string
    {
        if ($file->changed && ! $anyway) {
            throw new Conflict("{$file->kit->name} was changed since this product wrote the file.", ['digest' => 'wrong', 'name' => $file->kit->name, 'choices' => [self::ANYWAY]]);
        }
        if (! $demo && $mode === self::REPLACE && Build::query()->whereKey($file->id)->exists()) {
            $this->copies->take(Cause::Replace);
        }

        // Whether it is here is asked where nobody can come in between.
        return DB::transaction(function () use ($file, $mode, $demo): string {
            $here = Build::query()->find($file->id);
            if ($here !== null && $mode === null) {
                throw new Conflict("{$here->name} is here already".($here->binned === null ? '.' : ', in the bin.'), ['id' => $here->id, 'name' => $here->name, 'choices' => [self::REPLACE, self::COPY]]);
            }
            if ($here !== null && $mode === self::REPLACE) {
                $this->replace($here, $file);
            } else {
                $file = $here === null ? $file : self::copyOf($file);
                $this->create($file, $demo);
            }
            $this->shelf->addMissing($file->products, $demo);

            return $file->id;
        });
    }

    private function create(BuildFile $file, bool $demo): void
    {
        $build = Build::query()->create(['id' => $file->id, 'position' => 1 + (int) Build::query()->max('position'), 'name' => $file->kit->name, 'kit' => $file->kit->toArray(), 'revision' => 1, 'demo' => $demo]);
        Replacement::write($build, $file->kit, $file->events);
        // A build of that id may have been here before, and be remembered.
        $this->settings->renew();
        if (! $demo) {
            $this->ledger->write(Ledger::BUILDS, "{$file->kit->name}, brought in", [new FieldEdit($file->id, 'binned', null)], [new FieldEdit($file->id, 'binned', $this->clock->epoch())]);
        }
    }

    private function replace(Build $here, BuildFile $file): void
    {
        $was = Replacement::of($here);
        Replacement::write($here, $file->kit, $file->events);
        $here->update(['revision' => $here->revision + 1, 'binned' => null]);
        Change::query()->create(['id' => strtoupper((string) Str::ulid()), 'scope' => Change::BUILD, 'build_id' => $here->id, 'revision' => $here->revision, 'title' => 'Replaced by a file', 'edits' => [], 'inverse' => $was, 'undoes' => null, 'at' => $this->clock->epoch()]);
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

        return new BuildFile($copy->id, Kit::fromArray($kit), $copy->products, $copy->events, $copy->readings);
    }
}
