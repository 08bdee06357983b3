<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\SeasonReader;

/**
 * A sign of spring or autumn that the crew saw in a garden; one of a sort a season.
 *
 * @property int $id
 * @property int $garden_id
 * @property string $event as core/PlantBook/Observation has it
 * @property Day $on
 * @property int $season
 * @property ?int $late_days against the day the book expects at its garden
 * @property-read Garden $garden
 * @property-read ?User $seenBy
 */
final class Observation extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    /** The signs offered for a tap, in the order in which they come. */
    public const SIGNS = [
        'witch-hazel-bloom' => 'Witch hazel in flower',
        'forsythia-bloom' => 'Forsythia in flower',
        'flowering-currant-bloom' => 'Flowering currant in flower',
        'bush-rose-bud-break' => 'Roses breaking bud',
        'plum-bloom' => 'Plum in flower',
        'apple-bloom' => 'Apple in flower',
        'last-frost' => 'Last frost',
        'lilac-bloom' => 'Lilac in flower',
        'first-frost' => 'First frost',
        'birch-leaf-fall' => 'Birch bare of leaves',
        'apple-leaf-fall' => 'Apple bare of leaves',
        'lilac-leaf-fall' => 'Lilac bare of leaves',
    ];

    /**
     * The signs of one half of the season, `spring` or `autumn`.
     *
     * @return array<string, string>
     */
    public static function inHalf(string $half): array
    {
        return array_filter(
            self::SIGNS,
            static fn (string $event): bool => SeasonReader::half($event) === $half,
            ARRAY_FILTER_USE_KEY,
        );
    }

    protected $fillable = ['garden_id', 'event', 'on', 'season', 'seen_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => AsDay::class];
    }

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }

    /** @return BelongsTo<User, $this> */
    public function seenBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'seen_by');
    }

    public function versionLabel(): string
    {
        return (self::SIGNS[$this->event] ?? $this->event).", {$this->garden->name}";
    }
}
