<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\Order;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\Presenters\KitPresenter;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Jars: how much is in them, how large their drops are, when they were stirred, what was taken out. */
final readonly class JarController
{
    public function __construct(private ShelfRepository $shelf, private BenchClock $clock, private Answer $answer)
    {
    }

    /** @throws BadDocument at the field */
    public function update(Request $request, string $product): JsonResponse
    {
        $known = $this->shelf->shelf()->find($product) ?? throw new NotFoundHttpException;
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $level = Order::optional($in, 'level', -1, 10000, 'give the ml that are in it, such as 12');
        $height = Order::optional($in, 'height', -1, 100, 'give how high it stands in % of the jar, such as 60');
        $drops = Order::optional($in, 'drops', 4.99, 100, 'count the drops into 1 ml, such as 28');
        $stirred = $in->flag('stirred');
        $in->refuseTheRest();
        if ($height !== null && $known->sizeMl === null) {
            $problems->add('height', 'needs the size of the jar', 'give ml instead');
        }
        $problems->throwIfAny();
        $level ??= $height === null ? null : (new Jar($known))->atHeight($height / 100);
        $used = null;
        $fresh = $known;
        $this->shelf->change(function (Shelf $shelf) use ($known, $level, $drops, $stirred, &$used, &$fresh): array {
            $jar = $shelf->find($known->id) ?? $known;
            $used = $level === null || $jar->levelMl === null ? null : $jar->levelMl - $level;
            $fresh = $jar->with([
                ...($level === null ? [] : ['levelMl' => max(0.0, round($level, 3))]),
                ...($drops === null ? [] : ['dropsPerMl' => $drops]),
                ...($stirred ? ['stirred' => Instant::format($this->clock->epoch())] : []),
            ]);

            return [$fresh];
        });

        return $this->answer->json(['product' => KitPresenter::product($fresh), 'usedMl' => $used === null ? null : round($used, 3)]);
    }

    /**
     * What went into a cup comes out of the jars, all of it or nothing.
     *
     * @throws BadDocument where a jar holds less
     */
    public function take(Request $request): JsonResponse
    {
        $fresh = [];
        $this->shelf->change(static function (Shelf $shelf) use ($request, &$fresh): array {
            $problems = new Problems;
            $in = Reader::of($request->json()->all(), '', $problems);
            $in->each('taken', static function (Reader $t) use ($shelf, &$fresh): null {
                self::taken($t, $shelf, $fresh);

                return null;
            }, 8);
            $in->refuseTheRest();
            $problems->throwIfAny();

            return array_values($fresh);
        });

        return $this->answer->json(['jars' => array_map(static fn (Product $p): array => ['name' => $p->name, 'levelMl' => $p->levelMl], array_values($fresh))]);
    }

    /** @param  array<string, Product>  $fresh  jars as they are after what was taken so far */
    private static function taken(Reader $t, Shelf $shelf, array &$fresh): void
    {
        [$id, $ml] = [$t->id('product'), $t->number('ml', 0, 1000)];
        $t->refuseTheRest();
        $jar = $fresh[$id] ?? $shelf->find($id);
        if ($jar === null) {
            $t->problems->add($t->path('product'), 'is not on the shelf', 'choose a paint of the shelf');
        } elseif ($jar->levelMl !== null && $jar->levelMl + 0.05 < $ml) {
            $t->problems->add($t->path('ml'), sprintf('is more than the %.2f ml in %s', $jar->levelMl, $jar->name), 'correct its level first, or mix less');
        } elseif ($jar->levelMl !== null) {
            $fresh[$id] = $jar->with(['levelMl' => max(0.0, round($jar->levelMl - $ml, 3))]);
        }
    }
}
