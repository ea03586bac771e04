<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Finish;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Work\Operation;

/** The finish sheet: what went on, with what, what was put right, and what was taken as it is, for the table at a show and for the next model. */
final class FinishPresenter
{
    private const FEW = 6;

    /** @return array<string, mixed> */
    public static function sheet(Finish $finish, Kit $kit, int $left): array
    {
        return [
            'subject' => $kit->subject,
            'first' => $finish->firstEpoch === null ? null : Time::utc($finish->firstEpoch), 'last' => $finish->lastEpoch === null ? null : Time::utc($finish->lastEpoch),
            'evenings' => $finish->evenings, 'left' => $left,
            'coats' => array_map(static fn (array $c): array => [
                'what' => self::what($c[0], $c[1]), 'colour' => $c[0] === Operation::Colour ? $kit->colour($c[1])?->name : null,
                'swatch' => $c[2]?->swatch, 'name' => $c[2]?->name, 'recipe' => self::recipe($c[2]),
                'on' => self::few($c[3]), 'coats' => $c[4] === $c[5] ? (string) $c[4] : "{$c[4]} to {$c[5]}",
            ], $finish->coats),
            'good' => $finish->good, 'fillers' => array_map(static fn (Filler $f): string => $f->word(), $finish->fillers),
            'faults' => array_map(static fn (array $f): array => ['at' => Time::utc($f[0]), 'what' => ucfirst($f[1]->word()), 'on' => self::few(array_map(static fn (string $id): string => $kit->nameOf($id) ?? 'something that is gone', $f[2])), 'with' => $f[3]?->name], $finish->faults),
            'accepted' => $finish->accepted,
        ];
    }

    /** A coat of a remedy is told as that. */
    private static function what(Operation $operation, string $purpose): string
    {
        return $purpose === 'fault' ? ($operation === Operation::Prime ? 'Spot prime' : 'Put right') : ucfirst($operation->word());
    }

    private static function recipe(?Product $product): ?string
    {
        return $product?->mix?->says();
    }

    /** @param  list<string>  $names */
    private static function few(array $names): string
    {
        return count($names) > self::FEW ? Names::listed([...array_slice($names, 0, self::FEW - 1), (count($names) - self::FEW + 1).' more']) : Names::listed($names);
    }
}
