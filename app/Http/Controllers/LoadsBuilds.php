<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Repositories\LoadedBuild;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What the controllers of one build have in common. */
trait LoadsBuilds
{
    private function load(string $id): LoadedBuild
    {
        return $this->builds->find($id) ?? throw new NotFoundHttpException;
    }

    private static function newId(): string
    {
        return strtoupper((string) Str::ulid());
    }
}
