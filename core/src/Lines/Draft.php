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

    private NameIndex $named;

    /** Of the kit that was, for ids that stay. */
    private NameIndex $before;

    /** @var array<string, int> the last of the edges mentioned so far, by their pair of areas */
    private array $edgesSaid = [];

    /** @var array<string, true> ids that are new */
    private array $made = [];

    /** @var array<string, true> fields a line said, by "list/id/field" */
    private array $said = [];

    public Uses $uses;

    /**
     * @param  Closure(): string  $newId  a fresh ULID, later than those before
     * @param  bool  $whole  the lines are the whole kit: what they do not name is gone
     */
    public function __construct(private readonly Kit $kit, private readonly Closure $newId, private readonly bool $whole = false)
    {
        $this->uses = new Uses;
        $this->named = new NameIndex;
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
        $this->before = clone $this->named;
        if ($whole) {
            $this->things = array_fill_keys(self::LISTS, []);
            $this->named = new NameIndex;
        }
    }

    /** What a probe makes is its own. */
    public function __clone()
    {
        $this->uses = clone $this->uses;
        $this->named = clone $this->named;
    }

    /** @return string|null id of a thing by its name, in a scope: the part of an area, nothing for the rest */
    public function find(string $list, Ref $ref, string $scope = ''): ?string
    {
        $known = $this->known($list, $ref, $scope);

        // A colour that nobody wrote down is made by whoever names its paint: it falls with no line.
        return $list === 'colours' ? $known : $this->uses->of($known);
    }

    private function known(string $list, Ref $ref, string $scope): ?string
    {
        return $this->named->at($list, $scope.'/'.$ref->key(), $ref->nth);
    }

    /** @return list<string> ids of all areas of a name, on whatever part */
    public function areasCalled(string $name): array
    {
        return array_values(array_filter(array_map($this->uses->of(...), $this->named->areasCalled($name)), static fn (?string $id): bool => $id !== null));
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
        $known = $this->known($list, $ref, $scope);
        if ($known !== null) {
            return $this->uses->made($known, isset($this->made[$known]));
        }
        $place = $scope.'/'.$ref->key();
        if ($ref->nth > $this->named->count($list, $place) + 1) {
            throw new NotRead("there is no \"{$ref->name}\" before number {$ref->nth}", 'count up from ~2, or leave the number out');
        }
        $old = $this->before->at($list, $place, $ref->nth);
        $id = $old ?? ($this->newId)();
        $this->keep($list, ['id' => $id, 'position' => count($this->things[$list]), 'name' => $ref->name, ...$thing]);
        if ($old === null) {
            $this->made[$id] = true;
        }

        return $this->uses->made($id, true);
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
        $known = $this->named->at('edges', $pair, $nth);
        if ($known !== null) {
            return $known;
        }
        $old = $this->before->at('edges', $pair, $nth);
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

    /** @return array<string, mixed> the kit as a document */
    public function document(): array
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
                $this->named->add('edges', $edge->toArray());
            }
        }
    }

    /** @param  Thing  $thing */
    private function keep(string $list, array $thing): void
    {
        $this->things[$list][self::text($thing['id'])] = $thing;
        $this->named->add($list, $thing);
    }
}
