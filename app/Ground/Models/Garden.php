<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use App\Ground\Support\Say;
use App\Ground\Support\SearchTables;
use Database\Factories\GardenFactory;
use Illuminate\Database\Eloquent\Attributes\UseFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Region;

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
 * @property string $winter its class, where somebody says it; empty where its months tell it
 * @property ?list<float> $normals mean of each month, January to December, where somebody has measured it
 * @property ?string $region where it was said; guessed from the place where it was not
 * @property array<string, string> $practice question to option
 * @property ?string $notes
 * @property int $setup_minutes of each visit besides the work
 * @property list<int> $closed_days weekdays on which nobody may come, 1 for Monday
 * @property list<int> $wished_days weekdays the client asked for; none where any will do
 * @property int $revision raised by every change that what is due here rests on
 * @property bool $own_practice
 * @property ?string $archived_on the day the firm stopped working there
 * @property ?string $client_email
 * @property ?string $client_phone
 * @property ?string $postcode asked of the client before their page opens
 * @property ?string $wishes what the client has asked for
 * @property ?bool $photos_ok whether pictures may be shown to the client; null where nobody has asked
 * @property-read ?Crew $crew
 * @property-read Collection<int, Plant> $plants
 * @property-read Collection<int, Observation> $observations
 * @property-read Collection<int, Visit> $visits
 */
#[UseFactory(GardenFactory::class)]
final class Garden extends Model
{
    /** @use HasFactory<GardenFactory> */
    use HasFactory;

    use KeepsVersions;
    use WritesInTransaction;

    protected $fillable = ['crew_id', 'name', 'client', 'address', 'latitude', 'longitude', 'elevation_m',
        'last_frost', 'first_frost', 'winter', 'normals', 'region', 'practice', 'notes', 'setup_minutes',
        'closed_days', 'wished_days', 'client_email', 'client_phone', 'wishes', 'photos_ok',
        'postcode'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practice' => 'array', 'latitude' => 'float', 'longitude' => 'float', 'closed_days' => 'array',
            'wished_days' => 'array', 'normals' => 'array', 'photos_ok' => 'boolean'];
    }

    protected $attributes = ['practice' => '{}', 'setup_minutes' => 15, 'closed_days' => '[]', 'wished_days' => '[]'];

    /** The weekdays its client asked for: "Tue, Fri". */
    public function wishedInWords(): string
    {
        return implode(', ', array_map(
            static fn (int $day): string => Say::WEEKDAYS[$day - 1], $this->wished_days,
        ));
    }

    /** The garden of an id or a name, or the first that is called so in part; null where there is none. */
    public static function called(string $text): ?self
    {
        if ($text === '') {
            return null;
        }

        return (ctype_digit($text) ? self::query()->find((int) $text) : null) ??
            self::query()->where('name', $text)->first() ??
                self::query()
                    ->whereKey(
                        DB::table('gardens')
                            ->whereIn('id', SearchTables::ids('gardens', $text))
                            ->orderBy('name')
                            ->limit(1)
                            ->pluck('id')
                            ->all(),
                    )
                    ->first();
    }

    /** The garden that stands for the others where one must. */
    public static function first(): ?self
    {
        return self::query()->whereKey(DB::table('gardens')->min('id'))->first();
    }

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

    /** As it was said, or by the place. */
    public function inRegion(): Region
    {
        return Region::tryFrom($this->region ?? '') ?? Region::guess($this->latitude, $this->longitude);
    }
}
