<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Subject\PaintByName;
use App\Http\Answer;
use App\Http\Presenters\KitPresenter;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Paints put on the shelf while a kit is typed in: one that is described, or several of which only the names are known. */
final readonly class ProductController
{
    /** Paints in one go. */
    private const MOST = 40;

    public function __construct(private ShelfRepository $shelf, private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['products' => array_map(KitPresenter::product(...), $this->shelf->shelf()->products)]);
    }

    public function store(Request $request): JsonResponse
    {
        $product = Product::fromArray(['id' => strtoupper((string) Str::ulid()), ...$request->json()->all()]);
        $this->shelf->put([$product]);

        return $this->answer->json(['product' => KitPresenter::product($product)], 201);
    }

    /**
     * What a pack of some paints holds and costs, said once for all of them.
     *
     * @throws BadDocument
     */
    public function packs(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $ids = $in->ids('paints', self::MOST);
        $ml = Order::optional($in, 'ml', 0.1, 10000, 'give the ml of a pack, such as 17') ?? 0.0;
        $price = Order::optional($in, 'price', -0.001, 100000, 'give what a pack costs, such as 3.20') ?? -1.0;
        $in->refuseTheRest();
        foreach ([['paints', $ids === [], 'are none', 'choose paints of the shelf'], ['ml', $ml <= 0, 'is missing', 'give the ml of a pack, such as 17'], ['price', $price < 0, 'is missing', 'give what a pack costs, such as 3.20']] as [$field, $isWrong, $wrong, $right]) {
            if ($isWrong) {
                $problems->add($field, $wrong, $right);
            }
        }
        $problems->throwIfAny();
        $said = [];
        $this->shelf->change(static function (Shelf $shelf) use ($ids, $ml, $price, &$said): array {
            $said = array_map(static fn (string $id): Product => ($shelf->find($id) ?? throw BadDocument::at('paints', 'are not all on the shelf', 'load the page again'))->with(['sizeMl' => $ml, 'price' => $price]), $ids);

            return $said;
        });

        return $this->answer->json(['products' => array_map(KitPresenter::product(...), $said)]);
    }

    /**
     * What several paints are taken for by their names; with "keep" they are put on the shelf, all or none.
     *
     * @throws BadDocument
     */
    public function several(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $family = $in->oneOf('family', Family::class, Family::WaterAcrylic);
        $keep = $in->flag('keep');
        $known = array_fill_keys(array_map(static fn (Product $p): string => mb_strtolower($p->name), $this->shelf->shelf()->products), true);
        $paints = [];
        $in->each('paints', static function (Reader $paint) use (&$known, &$paints, $family, $problems): void {
            $name = $paint->text('name', 120);
            $swatch = $paint->optionalText('swatch', 7);
            $paint->refuseTheRest();
            if ($swatch !== null && preg_match('/\A#[0-9A-Fa-f]{6}\z/', $swatch) !== 1) {
                $problems->add($paint->path('swatch'), 'is not a colour', 'write it as #7C96A3');
            }
            if ($name !== '' && ! isset($known[mb_strtolower($name)])) {
                $known[mb_strtolower($name)] = true;
                $paints[] = PaintByName::product(strtoupper((string) Str::ulid()), $name, $family, $swatch === null ? null : strtoupper($swatch));
            }
        }, self::MOST);
        $in->refuseTheRest();
        $problems->throwIfAny();
        if ($keep && $paints !== []) {
            $this->shelf->put($paints, count($paints) === 1 ? null : count($paints).' paints on the shelf');
        }

        return $this->answer->json(['products' => array_map(KitPresenter::product(...), $paints)], $keep ? 201 : 200);
    }
}
