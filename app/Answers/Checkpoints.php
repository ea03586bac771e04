<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Plan\Checkpoint;
use AmberStep\Core\Plan\Replay;
use App\Repositories\EventRepository;

/**
 * Checkpoints of the logs, kept beside the answers: a compile reads what came after the last one that still holds. One is
 * kept for each so many events, and the last few; each with how far the log had come in when it was made.
 *
 * @phpstan-import-type CheckpointRow from Checkpoint
 */
final readonly class Checkpoints
{
    public function __construct(private Store $store, private EventRepository $events)
    {
    }

    /**
     * The last that holds, and the events it does not cover; the whole log where none does.
     *
     * @param  callable(): string  $mark  of what bears on how it is folded: asked where there is a checkpoint at all
     * @return array{Checkpoint|null, list<Event>}
     */
    public function from(string $build, callable $mark): array
    {
        $kept = $this->store->read($build, 'checkpoints') === null ? [] : $this->list($build, $mark());
        foreach (array_reverse($kept) as [$name, $number]) {
            $bytes = $this->store->read($build, $name);
            $row = $bytes === null ? false : @unserialize($bytes, ['allowed_classes' => false]);
            if (! is_array($row)) {
                continue;
            }
            /** @var CheckpointRow $row */
            $checkpoint = Checkpoint::fromArray($row);
            if ($checkpoint->holds($this->events->since($build, $number), fn (string $id): ?Event => $this->events->find($build, $id))) {
                $after = $this->events->after($build, $checkpoint->atEpoch);

                return [$checkpoint, array_values(array_filter($after, static fn (Event $e): bool => ! $checkpoint->covers($e)))];
            }
        }

        return [null, $this->events->all($build)];
    }

    /**
     * @param  list<Checkpoint>  $made
     * @param  int  $number  how far the log had come in
     */
    public function keep(string $build, string $mark, array $made, int $number): void
    {
        $known = $this->list($build, $mark);
        foreach (array_slice($made, -Replay::KEPT) as $checkpoint) {
            $name = 'checkpoint-'.bin2hex(random_bytes(6));
            $this->store->write($this->store->path($build, $name), serialize($checkpoint->toArray()));
            $known[] = [$name, $number];
        }
        foreach (array_slice($known, 0, -Replay::KEPT) as [$name]) {
            @unlink($this->store->path($build, $name));
        }
        $this->store->write($this->store->path($build, 'checkpoints'), json_encode([$mark, array_slice($known, -Replay::KEPT)], JSON_THROW_ON_ERROR));
    }

    /** Whether so much came in since the last one that another is worth its while. */
    public static function every(int $events): int
    {
        return $events >= Replay::EVERY ? Replay::EVERY : 0;
    }

    /** @return list<array{string, int}> names and how far the log had come in, oldest first */
    private function list(string $build, string $mark): array
    {
        $said = json_decode((string) $this->store->read($build, 'checkpoints'), true);
        if (! is_array($said) || ! is_array($said[1] ?? null)) {
            return [];
        }
        $list = [];
        foreach ($said[1] as $each) {
            if (is_array($each) && is_string($each[0] ?? null) && is_int($each[1] ?? null)) {
                $list[] = [$each[0], $each[1]];
            }
        }
        if ($said[0] !== $mark) {
            foreach ($list as [$name]) {
                @unlink($this->store->path($build, $name));
            }

            return [];
        }

        return $list;
    }
}
