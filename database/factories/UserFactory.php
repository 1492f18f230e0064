<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        $name = $this->faker->unique()->firstName();

        return [
            'name' => $name,
            'email' => Str::slug($name).'-'.Str::lower(Str::random(6)).'@marrowmere.example',
            'password' => 'a long password',
        ];
    }
}
