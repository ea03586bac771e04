<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $scope what it belongs to: a build, the shelf, the house rules, the builds themselves
 * @property string|null $build_id of a change of a build
 * @property int $revision the revision of the build, or of the rest of its scope, this change made
 * @property string $title
 * @property list<array<string, mixed>> $edits
 * @property list<array<string, mixed>> $inverse
 * @property string|null $undoes id of the change this one takes back
 * @property int $at epoch seconds
 */
final class Change extends Model
{
    /** The scope of what belongs to a build. */
    public const BUILD = 'build';

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['edits' => 'array', 'inverse' => 'array', 'revision' => 'integer', 'at' => 'integer'];
}
