<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Http\Answer;
use App\Repositories\Evenings;
use App\Repositories\Guns;
use App\Repositories\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** When the user is at the bench, with how many guns, and where is dried and sprayed: for all builds, since there is one pair of hands. */
final readonly class EveningController
{
    public function __construct(private Evenings $evenings, private Guns $guns, private Workshop $workshop, private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['week' => $this->evenings->week(), 'dates' => (object) $this->evenings->dates(), 'guns' => $this->guns->all(), 'workshop' => $this->workshop->all()]);
    }

    public function day(Request $request, string $day): JsonResponse
    {
        return $this->told($this->evenings->setDay($day, self::only($request, 'sessions')));
    }

    public function date(Request $request, string $date): JsonResponse
    {
        return $this->told($this->evenings->setDate($date, self::only($request, 'sessions')));
    }

    public function guns(Request $request): JsonResponse
    {
        return $this->told($this->guns->set(self::only($request, 'guns')));
    }

    public function workshop(Request $request): JsonResponse
    {
        return $this->told($this->workshop->set($request->json()->all()));
    }

    /** The one field a body has. */
    private static function only(Request $request, string $field): mixed
    {
        $body = $request->json()->all();
        if (array_keys($body) !== [$field]) {
            throw BadDocument::at($field, array_key_exists($field, $body) ? 'does not stand alone' : 'is missing', "send {$field} and nothing else");
        }

        return $body[$field];
    }

    /** @param  array{id: string, title: string}|null  $change */
    private function told(?array $change): JsonResponse
    {
        return $this->answer->json(['change' => $change]);
    }
}
