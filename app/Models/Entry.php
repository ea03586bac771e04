<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A build that is entered for a show.
 *
 * @property string $build_id
 * @property string $show_id
 */
final class Entry extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'build_id';

    protected $keyType = 'string';

    protected $guarded = [];
}
