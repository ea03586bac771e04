<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $at epoch seconds
 * @property float $temperature_c
 * @property float $humidity 0 to 1
 */
final class Reading extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['at' => 'integer', 'temperature_c' => 'float', 'humidity' => 'float'];
}
