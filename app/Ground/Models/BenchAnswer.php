<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use PruningHook\Core\Calendar\Day;

/**
 * What somebody would have cut on the practice bench, as it was marked. It is handed in once and never changed.
 *
 * @phpstan-type Kept array{found: int, kept: int, taken: int, remarks: list<array{about: string, says: string,
 *     axis: ?int}>}
 *
 * @property int $id
 * @property int $user_id
 * @property string $case_key of the library, or `plant-` and the number of one of the firm's
 * @property ?int $plant_id
 * @property int $seed
 * @property string $kind
 * @property string $task
 * @property string $method the recipe
 * @property int $level
 * @property string $cuts as core/Exercise/CutCode writes them
 * @property Day $day they would be made on
 * @property int $score of 100
 * @property Kept $mark
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read ?Plant $plant
 */
final class BenchAnswer extends Model
{
    use WritesInTransaction;

    public const UPDATED_AT = null;

    protected $fillable = [
        'user_id', 'case_key', 'plant_id', 'seed', 'kind', 'task', 'method', 'level', 'cuts', 'day', 'score', 'mark',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['day' => AsDay::class, 'mark' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Plant, $this> */
    public function plant(): BelongsTo
    {
        return $this->belongsTo(Plant::class);
    }
}
