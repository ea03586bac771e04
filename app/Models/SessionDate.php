<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A single date that is not as its weekday: an extra evening, a longer one, or away.
 *
 * @property string $date on the wall, such as 2026-03-07
 * @property list<array{from: int, until: int}> $sessions minutes of the day; none: away
 */
final class SessionDate extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'date';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['sessions' => 'array'];
}
