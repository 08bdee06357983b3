<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Ground\Models\Garden;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Garden> */
final class GardenFactory extends Factory
{
    protected $model = Garden::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Garden at '.$this->faker->streetName(),
            'client' => $this->faker->lastName(),
            'latitude' => 51.5,
            'longitude' => -1.2,
            'elevation_m' => 90,
            'last_frost' => '04-22',
            'first_frost' => '10-28',
            'winter' => 'cool',
        ];
    }
}
