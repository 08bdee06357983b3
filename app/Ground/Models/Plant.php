<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Database\Factories\PlantFactory;
use Illuminate\Database\Eloquent\Attributes\UseFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use PruningHook\Core\Calendar\Day;

/**
 * @property int $id
 * @property int $garden_id
 * @property string $kind the plant book's id
 * @property string $label
 * @property ?string $bed
 * @property ?Day $planted_on
 * @property int $count
 * @property ?int $height_mm
 * @property ?int $spread_mm
 * @property ?int $run_mm
 * @property ?int $flowering_height_mm
 * @property ?int $stems_old
 * @property ?int $stems_young
 * @property ?Day $stems_on when they were counted
 * @property ?Day $height_on when it was measured
 * @property ?int $prunings_g weight of the one-year wood taken off a vine
 * @property ?int $bud_mortality_percent dead buds of a vine
 * @property ?string $form
 * @property ?string $aim
 * @property ?bool $grafted
 * @property list<string> $hazards
 * @property array<string, string> $practice question to option
 * @property ?string $notes
 * @property array<string, mixed> $state what was seen of it beside its measures, as `StateFacts` reads it
 * @property ?Day $state_on when what passes of that was seen
 * @property bool $own_practice
 * @property-read Garden $garden
 * @property-read Collection<int, WorkLog> $workLogs
 * @property-read Collection<int, VisitTask> $visitTasks
 * @property-read Collection<int, BloomNote> $bloomNotes
 */
#[UseFactory(PlantFactory::class)]
final class Plant extends Model
{
    /** @use HasFactory<PlantFactory> */
    use HasFactory;

    use KeepsVersions;
    use SoftDeletes;
    use WritesInTransaction;

    protected $fillable = [
        'kind', 'label', 'bed', 'planted_on', 'count', 'height_mm', 'spread_mm', 'run_mm', 'flowering_height_mm',
        'stems_old', 'stems_young', 'prunings_g', 'bud_mortality_percent', 'form', 'aim', 'grafted', 'hazards',
        'practice', 'notes', 'state', 'state_on',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'planted_on' => AsDay::class,
            'stems_on' => AsDay::class,
            'height_on' => AsDay::class,
            'state_on' => AsDay::class,
            'state' => 'array',
            'grafted' => 'boolean',
            'hazards' => 'array',
            'practice' => 'array',
        ];
    }

    protected $attributes = ['hazards' => '[]', 'practice' => '{}', 'state' => '{}', 'count' => 1];

    /** @return BelongsTo<Garden, $this> */
    public function garden(): BelongsTo
    {
        return $this->belongsTo(Garden::class);
    }

    /** @return HasMany<WorkLog, $this> */
    public function workLogs(): HasMany
    {
        return $this->hasMany(WorkLog::class);
    }

    /** @return HasMany<VisitTask, $this> without the prescriptions, which are long */
    public function visitTasks(): HasMany
    {
        return $this->hasMany(VisitTask::class)->select([
            'id', 'visit_id', 'plant_id', 'task', 'season', 'position', 'minutes',
        ]);
    }

    /** @return HasMany<BloomNote, $this> */
    public function bloomNotes(): HasMany
    {
        return $this->hasMany(BloomNote::class);
    }
}
