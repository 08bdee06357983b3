<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Models\Visit;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;

/** Keeps what a form says of a garden. One that is given to another crew takes its coming visits along. */
final readonly class SaveGarden
{
    /** @param  array<string, mixed>  $facts */
    public function update(Garden $garden, array $facts, Day $today): void
    {
        DB::transaction(static function () use ($garden, $facts, $today): void {
            $before = $garden->crew_id;
            $garden->update($facts);
            if ($garden->crew_id === $before) {
                return;
            }
            $coming = $garden->visits()->where('on', '>=', (string) $today)->where('crew_id', $before)
                ->whereDoesntHave('tasks.log')->get();
            $coming->each(static fn (Visit $visit) => $visit->update(['crew_id' => $garden->crew_id]));
        });
    }
}
