<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use App\Build\Applied;
use App\Build\Row;
use App\Build\Undo;
use App\Http\Answer;
use App\Http\Presenters\Time;
use App\Repositories\Ledger;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** All builds there are: in hand, put away, in the bin; and what was changed that belongs to none. */
final readonly class RowController
{
    private const RECENT = 40;

    public function __construct(private Row $row, private Ledger $ledger, private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json([
            'builds' => array_map(static fn (array $b): array => ['id' => $b['id'], 'name' => $b['name'], 'revision' => $b['revision'], 'away' => $b['away'], 'events' => $b['events'], 'goneAt' => Time::utc($b['goneEpoch'])], $this->row->all()),
            'changes' => array_map(static fn (array $c): array => ['id' => $c['id'], 'scope' => $c['scope'], 'title' => $c['title'], 'at' => Time::utc($c['atEpoch']), 'undone' => $c['undone']], $this->ledger->recent(self::RECENT)),
        ]);
    }

    public function order(Request $request): JsonResponse
    {
        $ids = $request->json()->all()['order'] ?? null;
        if (! is_array($ids) || array_filter($ids, is_string(...)) !== $ids) {
            throw BadDocument::at('order', 'is not a list of ids', 'name each build in hand once');
        }

        return $this->told($this->row->order(array_values($ids)));
    }

    public function away(Request $request, string $build): JsonResponse
    {
        return $this->told($this->row->putAway($build, self::flag($request, 'away')));
    }

    public function bin(Request $request, string $build): JsonResponse
    {
        return $this->told(self::flag($request, 'binned') ? $this->row->toBin($build) : $this->row->outOfBin($build));
    }

    public function undo(string $change, Undo $undo): JsonResponse
    {
        return $this->told($undo->of($change), 201);
    }

    private static function flag(Request $request, string $name): bool
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $flag = $in->flag($name);
        if (! array_key_exists($name, $request->json()->all())) {
            $problems->add($name, 'is missing', 'give true or false');
        }
        $in->refuseTheRest();
        $problems->throwIfAny();

        return $flag;
    }

    private function told(?Applied $change, int $status = 200): JsonResponse
    {
        return $this->answer->json(['change' => $change?->toArray()], $status);
    }
}
