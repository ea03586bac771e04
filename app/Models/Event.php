<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $number
 * @property string $id
 * @property string $build_id
 * @property string $kind
 * @property int $at epoch seconds
 * @property int $recorded epoch seconds
 * @property string|null $step_key
 * @property array<string, mixed> $body
 */
final class Event extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'number';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'at' => 'integer', 'recorded' => 'integer'];
}
