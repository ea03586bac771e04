<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;

/** One edit. Edits are data: they are previewed, applied, stored with their inverse, and undone. */
final readonly class Edit
{
    /**
     * @param  string  $list  the kit's list the thing is in; the question for a house rule
     * @param  string  $id  id of the thing; empty for a house rule
     * @param  string  $field  for set: the field, dotted into an intent ("intent.sheen")
     */
    private function __construct(public EditOp $op, public string $list, public string $id = '', public string $field = '', public mixed $value = null)
    {
    }

    public static function set(string $list, string $id, string $field, mixed $value): self
    {
        return new self(EditOp::Set, $list, $id, $field, $value);
    }

    /** @param  array<string, mixed>  $thing */
    public static function add(string $list, array $thing): self
    {
        return new self(EditOp::Add, $list, is_string($thing['id'] ?? null) ? $thing['id'] : '', '', $thing);
    }

    public static function remove(string $list, string $id): self
    {
        return new self(EditOp::Remove, $list, $id);
    }

    public static function house(string $question, ?string $position): self
    {
        return new self(EditOp::House, $question, '', '', $position);
    }

    public static function pin(Pin $pin): self
    {
        return self::add('pins', $pin->toArray());
    }

    public static function insert(Inserted $step): self
    {
        return self::add('inserted', $step->toArray());
    }

    public static function read(Reader $in): self
    {
        $op = $in->oneOf('op', EditOp::class, EditOp::Set);
        $list = $in->text('list', 40);
        $edit = match ($op) {
            EditOp::Set => new self($op, $list, $list === EditedDocument::KIT ? ($in->optionalId('id') ?? '') : $in->id('id'), $in->text('field', 60), $in->raw('value')),
            EditOp::Add => new self($op, $list, '', '', $in->raw('value')),
            EditOp::Remove => new self($op, $list, $in->id('id')),
            EditOp::House => new self($op, $list, '', '', $in->optionalText('value', 40)),
        };
        $in->refuseTheRest();
        if ($op === EditOp::Add) {
            $thing = is_array($edit->value) ? $edit->value : [];
            $edit = new self($op, $list, is_string($thing['id'] ?? null) ? $thing['id'] : '', '', $edit->value);
        }

        return $edit;
    }

    /**
     * @return list<self>
     *
     * @throws BadDocument
     */
    public static function listFrom(mixed $edits): array
    {
        $problems = new Problems;
        $list = Reader::of(['edits' => $edits], '', $problems)->each('edits', self::read(...), 5000);
        if ($list === []) {
            $problems->add('edits', 'is empty', 'give at least one edit');
        }
        $problems->throwIfAny();

        return $list;
    }

    /** What it changes: two edits with the same mark touch the same field. */
    public function mark(): string
    {
        return match ($this->op) {
            EditOp::House => 'house/'.$this->list,
            EditOp::Set => $this->list.'/'.$this->id.'/'.$this->field,
            default => $this->list.'/'.$this->id,
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return match ($this->op) {
            EditOp::Set => ['op' => 'set', 'list' => $this->list, ...($this->id === '' ? [] : ['id' => $this->id]), 'field' => $this->field, 'value' => $this->value],
            EditOp::Add => ['op' => 'add', 'list' => $this->list, 'value' => $this->value],
            EditOp::Remove => ['op' => 'remove', 'list' => $this->list, 'id' => $this->id],
            EditOp::House => ['op' => 'house', 'list' => $this->list, 'value' => $this->value],
        };
    }
}
