<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;

/**
 * A day on which a crew does not work, or not all of it: a holiday, somebody ill, or a day lost to the weather.
 *
 * @property int $id
 * @property int $crew_id
 * @property Day $on
 * @property string $why
 * @property ?int $people how many work all the same; null where nobody does
 * @property-read Crew $crew
 */
final class CrewDayOff extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    protected $table = 'crew_days_off';

    protected $fillable = ['crew_id', 'on', 'why', 'people'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => AsDay::class];
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    public function versionLabel(): string
    {
        return "{$this->crew->name}, ".$this->on->inWords();
    }
}
