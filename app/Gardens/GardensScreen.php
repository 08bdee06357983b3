<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use App\Ground\Support\Pages;
use App\Ground\Support\SearchTables;
use App\Season\Due\DueKeeper;
use App\Season\KeptTasks;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\Urgency;

/** The gardens, a page at a time, each with how much of it is pressing. */
final readonly class GardensScreen
{
    private const PER_PAGE = 18;

    public function __construct(private DueKeeper $keeper)
    {
    }

    public function show(Request $request, Day $today): GardensPage
    {
        $text = Asked::text($request, 'q');
        $isArchive = $request->boolean('archived');
        $found = Garden::query();
        $isArchive ? $found->whereNotNull('archived_on') : $found->whereNull('archived_on');
        if ($text !== '') {
            $found->whereIn('id', SearchTables::ids('gardens', $text));
        }
        $pages = Pages::of($request, $found->count(), self::PER_PAGE);
        $found->orderBy('name')->orderBy('id')->limit($pages->per)->offset($pages->offset());
        $gardens = $found->with('crew')->get();
        $ids = array_values($gardens->map(static fn (Garden $garden): int => $garden->id)->all());
        $this->keeper->ensure($ids);
        $pressing = [];
        foreach ([Urgency::Closing, Urgency::Missed, Urgency::Open] as $urgency) {
            $pressing[$urgency->value] = KeptTasks::urgent(
                DB::table('season_tasks')->whereIn('garden_id', $ids),
                $urgency,
                $today,
            )
                ->groupBy('garden_id')
                ->selectRaw('garden_id, count(*) as tasks')
                ->pluck('tasks', 'garden_id')
                ->all();
        }

        return new GardensPage(
            text: $text,
            isArchive: $isArchive,
            gardens: $gardens,
            pages: $pages,
            kept: DB::table('kept_gardens')->whereIn('garden_id', $ids)->get()->keyBy('garden_id')->all(),
            pressing: $pressing,
        );
    }
}
