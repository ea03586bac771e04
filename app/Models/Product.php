<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property int $position
 * @property array<string, mixed> $body
 * @property bool $demo
 */
final class Product extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['body' => 'array', 'position' => 'integer', 'demo' => 'boolean'];
}
