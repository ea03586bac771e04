<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Material\Grit;
use App\Build\Changer;
use App\Build\Planner;
use App\Http\Answer;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\SurfacePresenter;
use App\Repositories\BuildRepository;
use App\Repositories\Settings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The register of what is to be made good, and the grits that take it there. */
final readonly class SurfaceController
{
    use LoadsBuilds;

    private const USUAL = ['P400', 'P600', 'P800', 'P1000', 'P1500', 'P2000', 'P3000'];

    public function __construct(private BuildRepository $builds, private Planner $planner, private Settings $settings, private Changer $changer, private Answer $answer)
    {
    }

    public function show(string $build): JsonResponse
    {
        $loaded = $this->load($build);

        return $this->answer->json(['build' => KitPresenter::name($loaded), ...SurfacePresenter::page($this->planner->plan($loaded), $this->owned()), 'undoable' => $this->changer->undoable($build)?->toArray()]);
    }

    /** @throws BadDocument where one is no grit */
    public function grits(Request $request): JsonResponse
    {
        $given = $request->json()->all()['owned'] ?? null;
        if (! is_array($given) || count($given) > 60) {
            throw BadDocument::at('owned', 'is not a list of up to 60 grits', 'write it as ["P400", "P600"]');
        }
        $labels = [];
        foreach (array_values($given) as $i => $text) {
            $labels[] = self::read(is_string($text) ? $text : '', "owned[{$i}]")->label();
        }
        $this->settings->set('grits', ['owned' => array_values(array_unique($labels))]);

        return $this->answer->json(['owned' => array_values(array_unique($labels))]);
    }

    /** @return list<Grit> */
    private function owned(): array
    {
        $kept = $this->settings->value('grits')['owned'] ?? self::USUAL;

        return array_map(static fn (mixed $text): Grit => self::read(is_string($text) ? $text : '', 'owned'), is_array($kept) ? array_values($kept) : self::USUAL);
    }

    private static function read(string $text, string $path): Grit
    {
        try {
            // As it is told, so it is read.
            return Grit::read(str_replace('polishing ', '', $text));
        } catch (NotRead $not) {
            throw BadDocument::at($path, $not->wrong, $not->right);
        }
    }
}
