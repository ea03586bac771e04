<?php

declare(strict_types=1);

namespace App\Answers;

/** One kept answer: what it rests on, from when until when it holds, and the answer. */
final readonly class Kept
{
    /**
     * @param  string  $mark  of all it rests on
     * @param  int  $serial  counts the times its build was compiled
     * @param  array{int, int}|null  $session  when the user was asked to be at the bench from, and for how many minutes
     */
    public function __construct(public string $mark, public int $fromEpoch, public int $untilEpoch, public int $serial, public ?array $session, public Packed $answer)
    {
    }

    public function holds(string $mark, int $nowEpoch): bool
    {
        return $this->mark === $mark && $nowEpoch >= $this->fromEpoch && $nowEpoch < $this->untilEpoch;
    }

    public function bytes(): string
    {
        return json_encode([$this->mark, $this->fromEpoch, $this->untilEpoch, $this->serial, $this->session], JSON_THROW_ON_ERROR)."\n".$this->answer->bytes();
    }

    public static function fromBytes(string $bytes): ?self
    {
        [$head, $body] = [...explode("\n", $bytes, 2), ''];
        $said = json_decode($head, true);
        $answer = Packed::fromBytes($body);
        if (! is_array($said) || $answer === null || ! is_string($said[0] ?? null) || ! is_int($said[1] ?? null) || ! is_int($said[2] ?? null) || ! is_int($said[3] ?? null)) {
            return null;
        }
        $session = is_array($said[4] ?? null) && is_int($said[4][0] ?? null) && is_int($said[4][1] ?? null) ? [$said[4][0], $said[4][1]] : null;

        return new self($said[0], $said[1], $said[2], $said[3], $session, $answer);
    }
}
