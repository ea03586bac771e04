<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\BadDocument;

/** Carries edits out on a kit's document and works out what would take them back. */
final class EditedDocument
{
    /** Stands for the kit itself in an edit that sets its name, subject or scale. */
    public const KIT = 'kit';

    /** @var list<Edit> */
    private array $inverse = [];

    /** @param  array<string, mixed>  $document */
    public function __construct(private array $document)
    {
    }

    /** @throws BadDocument when the edit names something that is not there */
    public function carryOut(Edit $edit): void
    {
        $undo = match ($edit->op) {
            EditOp::House => $this->house($edit),
            EditOp::Set => $edit->list === self::KIT ? $this->setOfKit($edit) : $this->set($edit),
            EditOp::Add => $this->add($edit),
            EditOp::Remove => $this->remove($edit),
        };
        array_unshift($this->inverse, $undo);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return $this->document;
    }

    /** @return list<Edit> the edits that take everything back, in the order to carry them out */
    public function inverse(): array
    {
        return $this->inverse;
    }

    private function house(Edit $edit): Edit
    {
        /** @var array<string, string> $house */
        $house = $this->document['house'];
        $before = $house[$edit->list] ?? null;
        if ($edit->value === null) {
            unset($house[$edit->list]);
        } else {
            $house[$edit->list] = $edit->value;
        }
        $this->document['house'] = $house;

        return Edit::house($edit->list, $before);
    }

    private function setOfKit(Edit $edit): Edit
    {
        if (! in_array($edit->field, ['name', 'subject', 'scale', 'noseWheel'], true)) {
            throw BadDocument::at(self::KIT.'.'.mb_scrub($edit->field), 'is not a field that can be set', 'use name, subject, scale or noseWheel');
        }
        $before = $this->document[$edit->field];
        $this->document[$edit->field] = $edit->value;

        return Edit::set(self::KIT, '', $edit->field, $before);
    }

    private function set(Edit $edit): Edit
    {
        $things = $this->things($edit->list);
        $place = $this->place($things, $edit);
        $thing = $things[$place];
        $path = explode('.', $edit->field, 2);
        $outer = $path[0];
        $inner = $path[1] ?? null;
        if ($outer === 'id' || ! array_key_exists($outer, $thing)) {
            throw BadDocument::at($edit->list.'.'.mb_scrub($outer), 'is not a field that can be set', 'use one of '.implode(', ', array_diff(array_keys($thing), ['id'])));
        }
        if ($inner === null) {
            $before = $thing[$outer];
            $thing[$outer] = $edit->value;
        } else {
            $part = $thing[$outer];
            if (! is_array($part) || ! array_key_exists($inner, $part)) {
                throw BadDocument::at($edit->list.'.'.mb_scrub($edit->field), 'is not a field that can be set', 'use a field of '.$outer);
            }
            $before = $part[$inner];
            $part[$inner] = $edit->value;
            $thing[$outer] = $part;
        }
        $things[$place] = $thing;
        $this->document[$edit->list] = $things;

        return Edit::set($edit->list, $edit->id, $edit->field, $before);
    }

    private function add(Edit $edit): Edit
    {
        $things = $this->things($edit->list);
        if (! is_array($edit->value) || $edit->id === '') {
            throw BadDocument::at($edit->list, 'cannot take this', 'give an object with an id');
        }
        foreach ($things as $thing) {
            if (($thing['id'] ?? null) === $edit->id) {
                throw BadDocument::at($edit->list, 'already holds '.mb_scrub($edit->id), 'give a new id');
            }
        }
        $this->document[$edit->list] = [...$things, $edit->value];

        return Edit::remove($edit->list, $edit->id);
    }

    private function remove(Edit $edit): Edit
    {
        $things = $this->things($edit->list);
        $place = $this->place($things, $edit);
        $gone = $things[$place];
        array_splice($things, $place, 1);
        $this->document[$edit->list] = $things;

        return Edit::add($edit->list, $gone);
    }

    /** @return list<array<string, mixed>> */
    private function things(string $list): array
    {
        if (! in_array($list, Kit::LISTS, true)) {
            throw BadDocument::at(mb_scrub($list), 'is not a list of the kit', 'use one of '.implode(', ', Kit::LISTS));
        }

        /** @var list<array<string, mixed>> */
        return $this->document[$list];
    }

    /** @param  list<array<string, mixed>>  $things */
    private function place(array $things, Edit $edit): int
    {
        foreach ($things as $i => $thing) {
            if (($thing['id'] ?? null) === $edit->id) {
                return $i;
            }
        }
        throw BadDocument::at($edit->list, 'holds no '.$edit->id, 'it may have been changed meanwhile: load the build again');
    }
}
