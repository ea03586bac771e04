<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

/** The lists of a document's object, entry by entry. */
trait ReadsLists
{
    /**
     * @template T
     *
     * @param  callable(self): T  $read
     * @return list<T>
     */
    public function each(string $field, callable $read, int $most = 2000): array
    {
        $out = [];
        foreach ($this->items($field, $most) as $i => $item) {
            $out[] = $read(self::of($item, $this->path($field).'['.$i.']', $this->problems));
        }

        return $out;
    }

    /** @return list<string> */
    public function ids(string $field, int $most = 500): array
    {
        $out = [];
        foreach ($this->items($field, $most) as $i => $item) {
            if (is_string($item) && Id::isValid($item)) {
                $out[] = $item;
            } else {
                $this->problems->add($this->path($field).'['.$i.']', 'is not an id', 'give a ULID');
            }
        }

        return $out;
    }

    /**
     * @return list<float> numbers within bounds, so many at most; none where the field is absent
     */
    public function numbers(string $field, float $least, float $most, int $count): array
    {
        $value = $this->raw($field) ?? [];
        $wrong = ! is_array($value) || count($value) > $count;
        $out = [];
        foreach (is_array($value) && ! $wrong ? $value : [] as $each) {
            $wrong = $wrong || ! (is_int($each) || is_float($each)) || $each < $least || $each > $most;
            $out[] = is_numeric($each) ? (float) $each : 0.0;
        }
        if ($wrong) {
            $this->problems->add($this->path($field), 'is no list of numbers', "give up to {$count} numbers from {$least} to {$most}");
        }

        return $wrong ? [] : $out;
    }

    /** @return list<mixed> */
    private function items(string $field, int $most): array
    {
        $value = $this->raw($field) ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->problems->add($this->path($field), 'is not a list', 'write it as [ ... ]');

            return [];
        }
        if (count($value) > $most) {
            $this->problems->add($this->path($field), 'has '.count($value).' entries', "give at most {$most}");

            return [];
        }

        return $value;
    }
}
