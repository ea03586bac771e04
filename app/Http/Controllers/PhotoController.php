<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Http\Answer;
use App\Photos\Photographs;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Photographs of places: kept under their hash, shown for ever. */
final readonly class PhotoController
{
    public function __construct(private Photographs $photographs, private Answer $answer)
    {
    }

    /** @throws BadDocument where it is no picture */
    public function store(Request $request): JsonResponse
    {
        return $this->answer->json(['hash' => $this->photographs->keep((string) $request->getContent())], 201);
    }

    public function show(string $hash): BinaryFileResponse
    {
        $file = $this->photographs->file($hash) ?? throw new NotFoundHttpException;

        return new BinaryFileResponse($file, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable'], public: false);
    }
}
