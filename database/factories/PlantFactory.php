<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Plant> */
final class PlantFactory extends Factory
{
    protected $model = Plant::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'garden_id' => Garden::factory(),
            'kind' => 'wisteria',
            'label' => 'Wisteria on the south wall',
            'planted_on' => '2015-03-01',
            'height_mm' => 3200,
        ];
    }
}
