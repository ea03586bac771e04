<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Material\Product as Paint;
use App\Models\Build;
use App\Models\Event;
use App\Models\Product;

/** What a change of the shelf does, field by field, and what would take it back. */
final class ShelfEdits
{
    /** @var list<FieldEdit> */
    public array $edits = [];

    /** @var list<FieldEdit> */
    public array $inverse = [];

    /** @var array<string, string> by paint: its name, and whether it is new */
    private array $titles = [];

    public function added(Paint $paint): void
    {
        $this->note($paint->id, FieldEdit::WHOLE, $paint->toArray(), null);
        $this->titles[$paint->id] = "{$paint->name} on the shelf";
    }

    /**
     * @param  array<string, mixed>  $was
     * @param  array<string, mixed>  $is
     */
    public function changed(string $id, array $was, array $is): void
    {
        $fields = [];
        foreach ($is as $field => $value) {
            if ($value !== ($was[$field] ?? null)) {
                $this->note($id, $field, $value, $was[$field] ?? null);
                $fields[$field] = true;
            }
        }
        // A spectrum follows from the swatch, and is no news.
        unset($fields['spectrum']);
        $name = is_string($is['name'] ?? null) ? $is['name'] : '';
        $this->titles[$id] ??= $name.', '.(array_keys($fields) === ['levelMl'] ? 'level' : implode(', ', array_map(self::word(...), array_keys($fields))));
    }

    public function title(): string
    {
        $titles = array_values($this->titles);

        return $titles[0].(count($titles) > 1 ? ', and '.(count($titles) - 1).' more' : '');
    }

    /**
     * @param  list<FieldEdit>  $edits
     *
     * @throws BadDocument where a build uses a paint that would go
     */
    public static function apply(array $edits): self
    {
        $done = new self;
        foreach ($edits as $edit) {
            $row = Product::query()->whereKey($edit->id)->first();
            if ($edit->field !== FieldEdit::WHOLE) {
                $was = $row === null ? null : Paint::fromArray($row->body);
                $is = $was?->with([$edit->field => $edit->value])->toArray();
                if ($was !== null && $is !== null) {
                    $done->changed($edit->id, $was->toArray(), $is);
                    $row?->update(['body' => $is]);
                }

                continue;
            }
            if ($edit->value === null) {
                self::refuseIfUsed($edit->id, self::nameOf($row));
                $row?->delete();
            } else {
                Product::query()->create(['id' => $edit->id, 'position' => 1 + (int) Product::query()->max('position'), 'body' => $edit->value, 'demo' => false]);
            }
            $done->note($edit->id, FieldEdit::WHOLE, $edit->value, $row?->body);
        }

        return $done;
    }

    private function note(string $id, string $field, mixed $is, mixed $was): void
    {
        $this->edits[] = new FieldEdit($id, $field, $is);
        $this->inverse[] = new FieldEdit($id, $field, $was);
    }

    private static function nameOf(?Product $row): string
    {
        return is_string($row?->body['name'] ?? null) ? $row->body['name'] : 'it';
    }

    private static function refuseIfUsed(string $id, string $name): void
    {
        $build = Build::query()->where('kit', 'like', "%\"{$id}\"%")->value('name')
            ?? Build::query()->whereIn('id', Event::query()->where('body', 'like', "%\"{$id}\"%")->select('build_id'))->value('name');
        if (is_string($build)) {
            throw BadDocument::at('change', "cannot be taken back: {$build} uses {$name}", 'give that build another paint first');
        }
        $mix = Product::query()->where('body', 'like', "%\"{$id}\"%")->whereKeyNot($id)->first();
        if ($mix !== null) {
            throw BadDocument::at('change', 'cannot be taken back: '.self::nameOf($mix)." is mixed from {$name}", 'take that back first');
        }
    }

    private static function word(string $field): string
    {
        return strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', ' ', (string) preg_replace('/Ml\z/', '', $field)));
    }
}
