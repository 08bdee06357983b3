<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Ground\Models\Role;
use App\Ground\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => $this->faker->name(),
            'email' => $this->faker->unique()->safeEmail(),
            'password' => 'secateurs',
            'role' => Role::Planner,
            'joined_at' => now(),
        ];
    }
}
