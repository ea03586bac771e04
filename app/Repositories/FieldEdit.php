<?php

declare(strict_types=1);

namespace App\Repositories;

/** One field of one thing set to a value; an empty field stands for the whole thing, which null takes away. */
final readonly class FieldEdit
{
    public const WHOLE = '';

    public function __construct(public string $id, public string $field, public mixed $value)
    {
    }

    /**
     * @param  array<mixed>  $list  as it is stored
     * @return list<self>
     */
    public static function listFrom(array $list): array
    {
        return array_values(array_map(static function (mixed $edit): self {
            $edit = is_array($edit) ? $edit : [];

            return new self(is_string($edit['id'] ?? null) ? $edit['id'] : '', is_string($edit['field'] ?? null) ? $edit['field'] : '', $edit['value'] ?? null);
        }, $list));
    }

    /**
     * @param  list<self>  $edits
     * @return list<array{id: string, field: string, value: mixed}>
     */
    public static function toList(array $edits): array
    {
        return array_map(static fn (self $e): array => ['id' => $e->id, 'field' => $e->field, 'value' => $e->value], $edits);
    }

    /** @return string what it is about: two edits of one mark cannot be taken back out of order */
    public function mark(): string
    {
        return "{$this->id} {$this->field}";
    }
}
