<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property int $position
 * @property string $name
 * @property array<string, mixed> $kit
 * @property int $revision
 * @property bool $demo
 * @property bool $away put away: it takes no time and has no tab
 * @property int|null $binned epoch seconds since when it lies in the bin
 */
final class Build extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['kit' => 'array', 'revision' => 'integer', 'position' => 'integer', 'demo' => 'boolean', 'away' => 'boolean', 'binned' => 'integer'];
}
