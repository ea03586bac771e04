<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $name
 * @property string $date on the wall, such as 2026-03-28
 * @property int $by minutes of the day by which the builds must be there
 * @property int $packing minutes before that
 * @property int $travel minutes before that
 * @property list<string> $demands
 */
final class Show extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['by' => 'integer', 'packing' => 'integer', 'travel' => 'integer', 'demands' => 'array'];
}
