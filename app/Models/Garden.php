<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\GardenFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property ?int $crew_id
 * @property string $name
 * @property string $client
 * @property ?string $address
 * @property float $latitude
 * @property float $longitude
 * @property int $elevation_m
 * @property ?string $last_frost mm-dd
 * @property ?string $first_frost mm-dd
 * @property string $winter
 * @property array<string, string> $practice question to option
 * @property ?string $notes
 * @property-read ?Crew $crew
 * @property-read Collection<int, Plant> $plants
 * @property-read Collection<int, Observation> $observations
 * @property-read Collection<int, Visit> $visits
 */
final class Garden extends Model
{
    /** @use HasFactory<GardenFactory> */
    use HasFactory;

    protected $fillable = ['crew_id', 'name', 'client', 'address', 'latitude', 'longitude', 'elevation_m',
        'last_frost', 'first_frost', 'winter', 'practice', 'notes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practice' => 'array', 'latitude' => 'float', 'longitude' => 'float'];
    }

    protected $attributes = ['practice' => '{}'];

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return HasMany<Plant, $this> */
    public function plants(): HasMany
    {
        return $this->hasMany(Plant::class);
    }

    /** @return HasMany<Observation, $this> */
    public function observations(): HasMany
    {
        return $this->hasMany(Observation::class);
    }

    /** @return HasMany<Visit, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Visit::class);
    }
}
