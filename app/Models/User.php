<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string $units
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $fillable = ['name', 'email', 'password', 'units'];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['units' => 'imperial'];

    /** @return HasMany<Project, $this> */
    public function projects(): HasMany
    {
        return $this->hasMany(Project::class);
    }

    /** The demo's account, where the demo has been loaded. */
    public static function demo(): ?self
    {
        return self::query()->where('email', config()->string('chartula.demo.email'))->first();
    }

    public function likesImperial(): bool
    {
        return $this->units === 'imperial';
    }

    public function isDemo(): bool
    {
        return $this->email === config()->string('chartula.demo.email');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }
}
