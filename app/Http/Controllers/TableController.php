<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Lines\AreaTable;
use App\Build\Backup;
use App\Build\Changer;
use App\Csv\Csv;
use App\Csv\ProductTable;
use App\Http\Answer;
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
        $kit = AreaTable::take($loaded->kit, $this->shelf->shelf(), self::rows($request), self::newId(...));
        $edits = KitDiff::edits($loaded->kit, $kit);
        if ($edits === []) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => '']);
        }
        $change = $changer->apply($build, Answer::revision($request), 'Areas from a table', $edits);

        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision, 'left' => ''], 201);
    }

    public function products(): Response
    {
        return self::csv(ProductTable::rows($this->shelf->shelf()), 'shelf.csv');
    }

    /** A table may change the whole shelf at once: a copy of everything is kept first. */
    public function takeProducts(Request $request, Backup $backup): JsonResponse
    {
        $products = ProductTable::read(self::rows($request), self::newId(...));
        $backup->take();
        [$added, $changed] = $this->shelf->put($products);

        return $this->answer->json(['added' => $added, 'changed' => $changed], 201);
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
