<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class KitTest extends TestCase
{
    private Build $build;

    protected function setUp(): void
    {
        $this->build = new Build(['kit' => ['parts' => ['hull' => 'styrene', 'wing' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'wing']]], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]]]);
    }

    public function test_a_kit_written_out_and_read_again_is_the_same_kit(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $kit = (new Build((new RandomBuild($seed))->said()))->kit;
            self::assertEquals($kit->toArray(), Kit::fromArray(json_decode((string) json_encode($kit->toArray()), true))->toArray(), "seed {$seed}");
        }
    }

    public function test_edits_give_a_new_kit_and_their_inverse_the_old_one(): void
    {
        $kit = $this->build->kit;
        $side = $this->build->id('side');
        $edits = [
            Edit::set('areas', $side, 'intent.sheen', 'gloss'), Edit::set('areas', $side, 'name', 'flank'), Edit::house('primer', 'never'),
            Edit::add('pins', ['id' => Id::from('a pin'), 'operation' => 'gloss', 'present' => false]), Edit::remove('joints', $this->build->id('root')),
        ];
        [$after, $inverse] = $kit->applyWithInverse($edits);

        self::assertSame('flank', $after->areasById[$side]->name);
        self::assertSame('never', $after->house->position('primer'));
        self::assertSame([], $after->joints);
        self::assertEquals($kit->toArray(), $after->apply($inverse)->toArray());
        self::assertSame('side', $kit->areasById[$side]->name);
    }

    /** @param  callable(array<string, mixed>, Build): array<string, mixed>  $spoil */
    #[DataProvider('wrongKits')]
    public function test_what_is_wrong_is_said_with_its_place(callable $spoil, string $path, string $wrong): void
    {
        try {
            Kit::fromArray($spoil($this->build->kit->toArray(), $this->build));
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            $said = array_map(static fn ($p): string => $p->path.' '.$p->wrong, $bad->problems);
            self::assertNotSame([], array_filter($said, static fn (string $s): bool => str_starts_with($s, $path) && str_contains($s, $wrong)), implode('; ', $said));
            self::assertNotSame('', $bad->problems[0]->right);
        }
    }

    /** @return iterable<string, array{callable, string, string}> */
    public static function wrongKits(): iterable
    {
        $set = static fn (string $list, string $field, mixed $value): callable => static function (array $kit) use ($list, $field, $value): array {
            $kit[$list][0][$field] = $value;

            return $kit;
        };
        $add = static fn (string $list, array $thing): callable => static fn (array $kit): array => [...$kit, $list => [$thing]];
        yield 'unknown zone' => [static fn (array $k): array => [...$k, 'zone' => 'Moon/Base'], 'zone', 'is not a time zone'];
        yield 'no scale' => [static fn (array $k): array => [...$k, 'scale' => 'big'], 'scale', 'is not a number in range'];
        yield 'unknown substrate' => [$set('parts', 'substrate', 'cheese'), 'parts[0].substrate', 'which is not known'];
        yield 'misspelt field' => [$set('parts', 'frgile', true), 'parts[0].frgile', 'is not a field here'];
        yield 'before what is none' => [$add('inserted', ['id' => Id::from('step'), 'operation' => 'inspect', 'targets' => [Id::from('x')], 'title' => 'Look', 'before' => 'coulour/x']), 'inserted[0].before', 'coulour, which is none'];
        yield 'area of no part' => [$set('areas', 'part', Id::from('x')), 'areas[0].part', 'which is not in the kit'];
        yield 'bad id' => [$set('areas', 'id', 'side'), 'areas[0].id', 'is not an id'];
        yield 'negative size' => [$set('areas', 'cm2', -4), 'areas[0].cm2', 'is not a number in range'];
        yield 'joint of one part' => [$set('joints', 'parts', []), 'joints[0].parts', 'does not name two different parts'];
        yield 'same id twice' => [static function (array $k): array {
            $k['parts'][1]['id'] = $k['parts'][0]['id'];

            return $k;
        }, 'parts[1].id', 'is used twice'];
        yield 'paint on a pane' => [$set('areas', 'face', 'pane'), 'areas[0].intent.colour', 'is set on a pane'];
        yield 'list for object' => [static fn (array $k): array => [...$k, 'house' => [1]], 'house', 'is not an object'];
        yield 'no such position' => [static fn (array $k): array => [...$k, 'house' => ['primer' => 'perhaps']], 'house.primer', 'is no position'];
    }

    public function test_instants_are_utc_and_real(): void
    {
        self::assertSame('2026-03-02T19:05:00Z', Instant::format((int) Instant::parse('2026-03-02T19:05:00Z')));
        foreach (['2026-02-30T00:00:00Z', '2026-03-02T25:00:00Z', '2026-03-02 19:05', '2026-03-02T19:05:00+01:00', ''] as $wrong) {
            self::assertNull(Instant::parse($wrong), $wrong);
        }
    }
}
