<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\Shape\DxfFile;
use AmberStep\Core\Masking\Shape\Order;
use AmberStep\Core\Masking\Shape\SvgFile;
use AmberStep\Core\Masking\Shape\Templates;
use App\Http\Answer;
use App\Http\Presenters\ShapePresenter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Shapes of masks, worked out from a few measures: on screen, as SVG, as DXF. Nothing is kept. */
final readonly class ShapeController
{
    public function __construct(private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['templates' => ShapePresenter::templates()]);
    }

    /** @throws BadDocument */
    public function show(Request $request, string $template): JsonResponse
    {
        return $this->answer->json(ShapePresenter::of(self::order($request, $template)));
    }

    /** @throws BadDocument */
    public function svg(Request $request, string $template): Response
    {
        return self::file(SvgFile::of(self::order($request, $template)->sheet), 'image/svg+xml', "{$template}.svg");
    }

    /** @throws BadDocument */
    public function dxf(Request $request, string $template): Response
    {
        return self::file(DxfFile::of(self::order($request, $template)->sheet), 'image/vnd.dxf', "{$template}.dxf");
    }

    private static function order(Request $request, string $template): Order
    {
        $given = $request->query->all();
        $measures = [];
        foreach (is_array($given['m'] ?? null) ? $given['m'] : [] as $name => $text) {
            $measures[(string) $name] = is_string($text) && strlen($text) <= 2000 ? mb_scrub($text) : throw BadDocument::at((string) $name, 'cannot be read', 'write a number');
        }
        $number = static function (string $name, float $default) use ($given): float {
            $text = $given[$name] ?? '';

            return $text === '' ? $default : (is_string($text) && is_numeric(str_replace(',', '.', $text)) && abs((float) str_replace(',', '.', $text)) < 1e6 ? (float) str_replace(',', '.', $text) : throw BadDocument::at($name, 'is not a number', 'write it as 2.5'));
        };
        $start = is_string($given['start'] ?? null) ? mb_substr(mb_scrub($given['start']), 0, 60) : '';
        $scale = $number('scale', 0);
        $copies = $number('copies', 1);
        if ($copies !== floor($copies)) {
            throw BadDocument::at('copies', 'is not a whole number', 'count them');
        }

        return new Order(Templates::named($template), $measures, $scale >= 1 ? $scale : null, $number('grow', 0), ($given['mirror'] ?? '') === '1', (int) $copies, ($given['pair'] ?? '') === '1', $start, $number('sheet', 180));
    }

    private static function file(string $bytes, string $type, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
