<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A photograph of a place with marks where to look, or of a piece with its areas named. The picture itself lies beside the database, under its hash. */
final readonly class Photo
{
    private const MOST_MARKS = 100;

    /**
     * @param  string  $target  joint, flaw or part it is of
     * @param  string  $hash  SHA-256 of the picture, in hex
     * @param  list<array{float, float, string|null}>  $marks  from the left and from the top, 0 to 1, and the area that lies there
     */
    public function __construct(public string $id, public string $target, public string $hash, public array $marks = [])
    {
    }

    public static function read(Reader $in): self
    {
        $id = $in->id('id');
        $target = $in->id('target');
        $hash = $in->text('hash', 64);
        if (preg_match('/\A[0-9a-f]{64}\z/', $hash) !== 1) {
            $in->problems->add($in->path('hash'), 'is not the hash of a picture', 'give the 64 hex digits that storing it answered');
        }
        $marks = $in->each('marks', static function (Reader $mark): array {
            $at = [$mark->number('x', 0, 1), $mark->number('y', 0, 1), $mark->optionalId('area')];
            $mark->refuseTheRest();

            return $at;
        }, self::MOST_MARKS);
        $in->refuseTheRest();

        return new self($id, $target, $hash, $marks);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'target' => $this->target, 'hash' => $this->hash, 'marks' => array_map(static fn (array $m): array => ['x' => $m[0], 'y' => $m[1]] + ($m[2] === null ? [] : ['area' => $m[2]]), $this->marks)];
    }
}
