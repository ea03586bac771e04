<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Fault;
use AmberStep\Core\Log\Log;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EventTest extends TestCase
{
    private const AREA = '01K00000000000000000000001';

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function said(array $more): array
    {
        return ['id' => '01E00000000000000000000001', 'kind' => 'done', 'at' => '2026-03-02T19:05:00Z', ...$more];
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('incomplete')]
    public function test_each_kind_has_to_say_what_gives_it_meaning(array $said, string $path): void
    {
        try {
            Event::fromArray(self::said($said));
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertContains($path, array_column($bad->problems, 'path'));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function incomplete(): iterable
    {
        yield 'done without what' => [['targets' => [self::AREA]], 'operation'];
        yield 'done on nothing' => [['operation' => 'wash'], 'targets'];
        yield 'a coat of nothing' => [['operation' => 'colour', 'targets' => [self::AREA]], 'product'];
        yield 'mask on nothing' => [['kind' => 'mask-on'], 'targets'];
        yield 'nothing glued' => [['kind' => 'glued'], 'targets'];
        yield 'a cabinet without heat' => [['kind' => 'into-cabinet', 'targets' => [self::AREA]], 'cabinetC'];
        yield 'a fault without a name' => [['kind' => 'fault', 'targets' => [self::AREA]], 'fault'];
        yield 'a fault nowhere' => [['kind' => 'fault', 'fault' => 'run'], 'targets'];
        yield 'an empty verdict' => [['kind' => 'verdict'], 'verdict'];
        yield 'half a reading' => [['kind' => 'reading', 'temperatureC' => 20], 'temperatureC'];
        yield 'taking back nothing' => [['kind' => 'take-back'], 'takesBack'];
        yield 'a mix of nothing' => [['kind' => 'mixed'], 'product'];
        yield 'an empty note' => [['kind' => 'note'], 'note'];
        yield 'no instant' => [['kind' => 'note', 'note' => 'x', 'at' => 'yesterday'], 'at'];
        yield 'humidity in percent' => [['kind' => 'reading', 'temperatureC' => 20, 'humidity' => 50], 'humidity'];
        yield 'unknown field' => [['kind' => 'note', 'note' => 'x', 'colour' => 'grey'], 'colour'];
    }

    public function test_written_out_and_read_again_it_is_the_same(): void
    {
        $event = Event::fromArray(self::said(['operation' => 'colour', 'targets' => [self::AREA], 'product' => self::AREA, 'coatKind' => 'mist', 'filmMicrons' => 4.5, 'temperatureC' => 19.4, 'humidity' => 0.58, 'note' => 'Über dem Bug']));

        self::assertEquals($event, Event::fromArray(json_decode((string) json_encode($event->toArray()), true)));
    }

    public function test_the_fold_goes_by_when_it_happened_then_when_it_was_written_then_id(): void
    {
        $note = static fn (string $id, string $at, string $recorded): Event => Event::fromArray(self::said(['id' => $id, 'kind' => 'note', 'note' => $id, 'at' => $at, 'recorded' => $recorded]));
        $events = [
            $note('01E00000000000000000000004', '2026-03-02T19:05:00Z', '2026-03-02T19:06:00Z'),
            $note('01E00000000000000000000003', '2026-03-02T19:05:00Z', '2026-03-02T19:06:00Z'),
            $note('01E00000000000000000000001', '2026-03-02T19:05:00Z', '2026-03-02T19:07:00Z'),
            $note('01E00000000000000000000002', '2026-03-02T18:00:00Z', '2026-03-02T20:00:00Z'),
        ];

        self::assertSame(['2', '3', '4', '1'], array_map(static fn (Event $e): string => substr($e->id, -1), Log::standing($events)));
    }

    #[DataProvider('faults')]
    public function test_each_fault_says_what_to_do_now_and_then(Fault $fault): void
    {
        self::assertStringEndsWith('.', $fault->now());
        self::assertNotSame('', $fault->word());
        foreach ($fault->remedy() as [, $title]) {
            self::assertNotSame('', $title);
        }
        self::assertSame($fault === Fault::Run ? 2.0 : 1.0, $fault->waitFactor());
    }

    /** @return iterable<string, array{Fault}> */
    public static function faults(): iterable
    {
        foreach (Fault::cases() as $fault) {
            yield $fault->value => [$fault];
        }
    }
}
