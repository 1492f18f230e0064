<?php

declare(strict_types=1);

namespace App\Models;

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
    protected $fillable = ['name', 'email', 'password', 'units'];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['units' => 'imperial'];

    /** @return HasMany<Project, $this> */
    public function projects(): HasMany
    {
        return $this->hasMany(Project::class);
    }

    /** @return array{id: int, name: string, email: string, units: string, is_demo: bool} */
    public function shown(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'email' => $this->email, 'units' => $this->units, 'is_demo' => $this->email === config()->string('chartula.demo.email')];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }
}
