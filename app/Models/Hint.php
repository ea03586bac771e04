<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What the search found last, of all builds together: one row.
 *
 * @property int $id
 * @property string $state of all it was found for
 * @property array{order?: list<string>, putOffs?: array<string, string>, loading?: string, rounds?: array{ways: int, orders: int, idle: int, waysDone: bool, done: bool}} $hints
 * @property int $at when something was found last, epoch seconds: each find has another
 */
final class Hint extends Model
{
    public const ONLY = 1;

    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['hints' => 'array', 'at' => 'integer'];
}
