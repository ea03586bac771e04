<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Removal;
use Closure;

/**
 * A kit while lines are read into it: things are found by name, made where they are missing, and keep the ids
 * they have.
 *
 * @phpstan-type Thing array<string, mixed>
 */
final class Draft
{
    public const LISTS = ['parts', 'joints', 'pieces', 'areas', 'edges', 'colours'];

    /** @var array<string, array<string, Thing>> by list and id, in order */
    private array $things;

    /** @var array<string, array<string, list<string>>> ids by list and "scope/lower name" */
    private array $named = [];

    /** @var array<string, array<string, list<string>>> of the kit that was, for ids that stay */
    private array $before;

    /** @var array<string, int> the last of the edges mentioned so far, by their pair of areas */
    private array $edgesSaid = [];

    /** @var array<string, true> ids that are new */
    private array $made = [];

    /** @var array<string, true> fields a line said, by "list/id/field" */
    private array $said = [];

    /**
     * @param  Closure(): string  $newId  a fresh ULID, later than those before
     * @param  bool  $whole  the lines are the whole kit: what they do not name is gone
     */
    public function __construct(private readonly Kit $kit, private readonly Closure $newId, private readonly bool $whole = false)
    {
        $document = $kit->toArray();
        $this->things = array_fill_keys(self::LISTS, []);
        foreach (self::LISTS as $list) {
            /** @var list<Thing> $things */
            $things = $document[$list];
            usort($things, static fn (array $a, array $b): int => [$a['position'] ?? 0, $a['id']] <=> [$b['position'] ?? 0, $b['id']]);
            foreach ($list === 'edges' ? [] : $things as $thing) {
                $this->keep($list, $thing);
            }
        }
        $this->edgesOf($kit);
        $this->before = $this->named;
        if ($whole) {
            $this->things = array_fill_keys(self::LISTS, []);
            $this->named = [];
        }
    }

    /** @return string|null id of a thing by its name, in a scope: the part of an area, nothing for the rest */
    public function find(string $list, Ref $ref, string $scope = ''): ?string
    {
        return $this->named[$list][$scope.'/'.$ref->key()][$ref->nth - 1] ?? null;
    }

    /** @return list<string> ids of all areas of a name, on whatever part */
    public function areasCalled(string $name): array
    {
        return array_values(array_map(strval(...), array_keys(array_filter($this->things['areas'], static fn (array $a): bool => mb_strtolower(self::text($a['name'])) === mb_strtolower($name)))));
    }

    /**
     * The thing of that name, made if it is not there.
     *
     * @param  Thing  $thing  fields it is made with, without id, name and position
     *
     * @throws NotRead where a number in the name skips one
     */
    public function findOrMake(string $list, Ref $ref, array $thing = [], string $scope = ''): string
    {
        $known = $this->find($list, $ref, $scope);
        if ($known !== null) {
            return $known;
        }
        $place = $scope.'/'.$ref->key();
        if ($ref->nth > count($this->named[$list][$place] ?? []) + 1) {
            throw new NotRead("there is no \"{$ref->name}\" before number {$ref->nth}", 'count up from ~2, or leave the number out');
        }
        $id = $this->before[$list][$place][$ref->nth - 1] ?? ($this->newId)();
        $this->keep($list, ['id' => $id, 'position' => count($this->things[$list]), 'name' => $ref->name, ...$thing]);
        if (! isset($this->before[$list][$place][$ref->nth - 1])) {
            $this->made[$id] = true;
        }

        return $id;
    }

    /**
     * The edge of two areas, from whichever side it is said.
     *
     * @param  bool  $another  not the first the two share: the next one that was not said yet
     */
    public function edge(string $areaA, string $areaB, bool $another): string
    {
        $pair = $areaA < $areaB ? $areaA.$areaB : $areaB.$areaA;
        $nth = $another ? $this->edgesSaid[$pair] = ($this->edgesSaid[$pair] ?? 1) + 1 : 1;
        $known = $this->named['edges'][$pair][$nth - 1] ?? null;
        if ($known !== null) {
            return $known;
        }
        $old = $this->before['edges'][$pair][$nth - 1] ?? null;
        $id = $old ?? ($this->newId)();
        $this->keep('edges', ['id' => $id, 'areas' => [$areaA, $areaB], 'mm' => 1.0]);

        return $id;
    }

    /** What the user says of the piece a part belongs to. */
    public function piece(string $partId): string
    {
        if (! isset($this->things['pieces'][$partId])) {
            $this->keep('pieces', ['id' => $partId, 'name' => $this->things['parts'][$partId]['name'], 'heldBy' => null]);
        }

        return $partId;
    }

    public function set(string $list, string $id, string $field, mixed $value): void
    {
        $this->said["{$list}/{$id}/{$field}"] = true;
        $path = explode('.', $field, 2);
        if (isset($path[1])) {
            $inner = $this->things[$list][$id][$path[0]] ?? [];
            $this->things[$list][$id][$path[0]] = [...(is_array($inner) ? $inner : []), $path[1] => $value];
        } else {
            $this->things[$list][$id][$field] = $value;
        }
    }

    public function get(string $list, string $id, string $field): mixed
    {
        return $this->things[$list][$id][$field] ?? null;
    }

    /** @return list<string> */
    public function names(string $list): array
    {
        return array_values(array_map(static fn (array $t): string => is_string($t['name'] ?? null) ? $t['name'] : '', $this->things[$list]));
    }

    /** @return list<Thing> */
    public function all(string $list): array
    {
        return array_values($this->things[$list]);
    }

    /** Whether a line said this of the thing, or it was there before. */
    public function isSettled(string $list, string $id, string $field): bool
    {
        return ! isset($this->made[$id]) || isset($this->said["{$list}/{$id}/{$field}"]);
    }

    public function isSaid(string $list, string $id, string $field): bool
    {
        return isset($this->said["{$list}/{$id}/{$field}"]);
    }

    public function isMade(string $id): bool
    {
        return isset($this->made[$id]);
    }

    /** The kit as it is now; what steers the plan stays, as far as what it is about does. */
    public function kit(): Kit
    {
        return Kit::fromArray($this->document());
    }

    /** What stands at a path of the kit, such as "areas[3].seenThrough", by its name; empty where it has none. */
    public function nameAt(string $path): string
    {
        preg_match('/^(\w+)\[(\d+)\]/', $path, $at);
        $list = $this->document()[$at[1] ?? ''] ?? null;
        $thing = is_array($list) ? $list[(int) ($at[2] ?? -1)] ?? null : null;

        return is_array($thing) ? self::text($thing['name'] ?? '') : '';
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        $document = $this->kit->toArray();
        foreach (self::LISTS as $list) {
            $document[$list] = array_values($this->things[$list]);
        }

        $document['joints'] = array_map(fn (array $joint): array => JointGlue::of($joint, $this), $document['joints']);

        return $this->whole ? Removal::withoutLoose($document) : $document;
    }

    public static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /** Edges keep their order in the kit, and are told apart in the order they are written: on the line of their first area. */
    private function edgesOf(Kit $kit): void
    {
        $byArea = [];
        foreach ($kit->edges as $edge) {
            $this->things['edges'][$edge->id] = $edge->toArray();
            $byArea[$edge->areas[0]][] = $edge;
        }
        foreach (array_keys($this->things['areas']) as $area) {
            foreach ($byArea[$area] ?? [] as $edge) {
                $this->name('edges', $edge->toArray());
            }
        }
    }

    /** @param  Thing  $thing */
    private function keep(string $list, array $thing): void
    {
        $this->things[$list][self::text($thing['id'])] = $thing;
        $this->name($list, $thing);
    }

    /** @param  Thing  $thing */
    private function name(string $list, array $thing): void
    {
        $id = self::text($thing['id']);
        if ($list === 'edges') {
            /** @var array{string, string} $areas */
            $areas = $thing['areas'];
            sort($areas);
            $this->named[$list][implode('', $areas)][] = $id;

            return;
        }
        $scope = $list === 'areas' ? self::text($thing['part']) : '';
        $this->named[$list][$scope.'/'.mb_strtolower(self::text($thing['name']))][] = $id;
    }
}
