<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The picture of somebody's own paper, kept by what it holds; never edited.
 *
 * @property int $user_id
 * @property string $sha256
 * @property int $bytes
 * @property string $jpeg  base64
 * @property string $small  the same, for screens
 */
final class Picture extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['user_id', 'sha256', 'bytes', 'jpeg', 'small'];
}
