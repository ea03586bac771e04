<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $name
 * @property float $nozzle_mm 0.1 to 1.0
 * @property float $cup_ml
 * @property int $position
 */
final class Gun extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['nozzle_mm' => 'float', 'cup_ml' => 'float', 'position' => 'integer'];
}
