<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Colour\Palette;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Document\BadDocument;
use App\Csv\Csv;
use App\Http\Answer;
use App\Repositories\BuildRepository;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The colours of a build as a palette and as a table of swatches; a palette read for colours that are wanted. */
final readonly class PaletteController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private Answer $answer)
    {
    }

    public function palette(string $build): Response
    {
        $loaded = $this->load($build);

        return new Response(Palette::write($loaded->kit->name, array_map(static fn (array $s): array => [$s[0], $s[1]], $this->swatches($build))), 200, ['Content-Type' => 'text/plain; charset=utf-8', 'Content-Disposition' => 'attachment; filename="colours.gpl"']);
    }

    public function table(string $build): Response
    {
        $rows = [['colour', 'paint', 'swatch', 'L*', 'a*', 'b*']];
        foreach ($this->swatches($build) as [$name, $hex, $paint]) {
            $lab = Srgb::fromHex($hex)->lab();
            $rows[] = [$name, $paint, $hex, sprintf('%.2f', $lab->l), sprintf('%.2f', $lab->a), sprintf('%.2f', $lab->b)];
        }

        return new Response(Csv::write($rows), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="swatches.csv"']);
    }

    /** @throws BadDocument naming the line */
    public function read(Request $request): JsonResponse
    {
        $text = $request->json()->all()['text'] ?? null;
        if (! is_string($text)) {
            throw BadDocument::at('text', 'is missing', 'give the text of a .gpl file');
        }

        return $this->answer->json(['colours' => Palette::read($text)]);
    }

    /** @return list<array{string, string, string}> colour, #RRGGBB and paint of each colour of the build that has one */
    private function swatches(string $build): array
    {
        $shelf = $this->shelf->shelf();
        $out = [];
        foreach ($this->load($build)->kit->colours as $colour) {
            $paint = $shelf->find($colour->product);
            if ($paint?->swatch !== null) {
                $out[] = [$colour->name, $paint->swatch, $paint->name];
            }
        }

        return $out;
    }
}
