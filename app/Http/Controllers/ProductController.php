<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Material\Product;
use App\Http\Answer;
use App\Http\Presenters\KitPresenter;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Paints put on the shelf while a kit is typed in. */
final readonly class ProductController
{
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
}
