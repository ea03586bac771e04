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
 */
final class Build extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['kit' => 'array', 'revision' => 'integer', 'position' => 'integer', 'demo' => 'boolean'];
}
