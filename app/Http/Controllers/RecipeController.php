<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Ask;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Mixing\OwnMix;
use AmberStep\Core\Mixing\RecipeLine;
use AmberStep\Core\Mixing\Remade;
use App\Http\Answer;
use App\Http\Presenters\JarPresenter;
use App\Http\Presenters\KitPresenter;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Recipes typed in a line, kept on the shelf, and asked about where they can be read two ways. */
final readonly class RecipeController
{
    public function __construct(private ShelfRepository $shelf, private Answer $answer)
    {
    }

    /** @throws BadDocument naming the part that is not read */
    public function read(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $text = $in->text('text', 400);
        $in->refuseTheRest();
        $problems->throwIfAny();

        return $this->answer->json(JarPresenter::lines((new RecipeLine($this->shelf->shelf()))->read($text)));
    }

    /**
     * Kept under a name it becomes a paint of the shelf; under the name of a recipe that is kept, it takes its place.
     *
     * @throws BadDocument at the field
     */
    public function keep(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $name = $in->text('name', 120);
        [$parts, $products] = Order::parts($in);
        $kept = Order::optional($in, 'keptMl', -1, 10000, 'give ml that are set aside, such as 1.2, or leave it empty');
        $ground = $in->optionalText('ground', 120);
        $gun = $in->optionalText('gun', 120);
        $asks = $in->each('asks', Ask::read(...), 8);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $parts = array_values(array_filter($parts));
        $shelf = $this->shelf->shelf();
        $same = array_values(array_filter($shelf->products, static fn ($p): bool => mb_strtolower($p->name) === mb_strtolower($name)))[0] ?? null;
        if ($same !== null && $same->mix === null) {
            throw BadDocument::at('name', "{$same->name} is a paint of the shelf", 'give the mix a name of its own');
        }
        $recipe = KeptRecipe::read(Reader::of(['parts' => $parts === [] ? [] : (new KeptRecipe($parts, $products))->toArray()['parts'], 'ground' => $ground, 'gun' => $gun, 'asks' => array_map(static fn (Ask $a): array => $a->toArray(), $asks)], '', $problems));
        $problems->throwIfAny();
        if ($recipe === null) {
            throw BadDocument::at('parts', 'are empty', 'name at least one paint');
        }
        $product = OwnMix::of($recipe, $same->id ?? strtoupper((string) Str::ulid()), $name, $shelf, $kept);
        // Another recipe under the name is another paint: only its jar is the same.
        $product = $same === null ? $product : $product->with(array_diff_key(Remade::ofTheJar($same), ['optics' => true, 'triedOn' => true]));
        $this->shelf->put([$product]);

        return $this->answer->json(['product' => KitPresenter::product($product)], 201);
    }

    /**
     * Which of its readings is right.
     *
     * @throws BadDocument where it is not asked any more
     */
    public function answer(Request $request, string $product): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        [$ask, $reading] = [$in->whole('ask', 0, 7, 0), $in->whole('reading', 0, 5, 0)];
        $in->refuseTheRest();
        $problems->throwIfAny();
        $this->shelf->change(static function (Shelf $shelf) use ($product, $ask, $reading): array {
            $known = $shelf->find($product);
            if ($known?->mix === null) {
                throw new NotFoundHttpException;
            }

            return [OwnMix::of($known->mix->answered($ask, $reading), $known->id, $known->name, $shelf, $known->levelMl)->with(Remade::ofTheJar($known))];
        });

        return $this->answer->json(['product' => KitPresenter::product($this->shelf->shelf()->find($product) ?? throw new NotFoundHttpException)]);
    }
}
