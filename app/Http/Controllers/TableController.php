<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Lines\AreaTable;
use AmberStep\Core\Material\Shelf;
use App\Build\Changer;
use App\Csv\Csv;
use App\Csv\ProductTable;
use App\Http\Answer;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Repositories\BuildRepository;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Areas and products as CSV, out and in. */
final readonly class TableController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private Answer $answer)
    {
    }

    public function areas(string $build): Response
    {
        return self::csv(AreaTable::rows($this->load($build)->kit, $this->shelf->shelf()), 'areas.csv');
    }

    public function takeAreas(Request $request, string $build, Changer $changer): JsonResponse
    {
        $loaded = $this->load($build);
        $rows = self::rows($request);
        $kit = AreaTable::take($loaded->kit, $this->shelf->shelf(), $rows, self::newId(...));
        $edits = KitDiff::edits($loaded->kit, $kit);
        $looked = ['edits' => count($edits), 'emptied' => AreaTable::emptied($loaded->kit, $kit, $this->shelf->shelf()), 'unknown' => AreaTable::unknown($rows[0] ?? [])];
        if ($edits === [] || self::looks($request)) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => '', 'looked' => $looked]);
        }
        $change = $changer->apply($build, Answer::revision($request), 'Areas from a table', $edits);

        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision, 'left' => '', 'looked' => $looked], 201);
    }

    public function products(): Response
    {
        return self::csv(ProductTable::rows($this->shelf->shelf()), 'shelf.csv');
    }

    /** A table may change the whole shelf at once: what it would empty is said before, and a copy of everything is kept first. */
    public function takeProducts(Request $request, Copies $copies): JsonResponse
    {
        $rows = self::rows($request);
        $taken = ProductTable::read($rows, $this->shelf->shelf(), self::newId(...));
        $told = ['emptied' => $taken->emptied, 'unknown' => $taken->unknown];
        if (self::looks($request)) {
            [$added, $changed] = $this->shelf->wouldPut($taken->products);

            return $this->answer->json(['added' => $added, 'changed' => $changed, ...$told]);
        }
        $copies->take(Cause::Shelf);
        [$added, $changed] = $this->shelf->change(static function (Shelf $shelf) use ($rows, &$taken): array {
            $taken = ProductTable::read($rows, $shelf, self::newId(...));

            return $taken->products;
        }, 'Paints from a table');

        return $this->answer->json(['added' => $added, 'changed' => $changed, ...$told], 201);
    }

    /** What a table would do is said before it does it. */
    private static function looks(Request $request): bool
    {
        return ($request->json()->all()['look'] ?? false) === true;
    }

    /** @return list<list<string>> */
    private static function rows(Request $request): array
    {
        $text = $request->json()->all()['csv'] ?? null;

        return is_string($text) ? Csv::read($text) : throw BadDocument::at('csv', 'is missing', 'send the table as one text');
    }

    /** @param  list<list<string>>  $rows */
    private static function csv(array $rows, string $name): Response
    {
        return new Response(Csv::write($rows), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
