<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\PlanDraft;
use App\Ground\Support\Pages;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * The difference a draft would make, a page of it at a time.
 *
 * @phpstan-import-type Step from PlanDraft
 */
final readonly class DraftScreen
{
    private const CHANGES = 60;

    private const LEFT = 40;

    public function show(PlanDraft $draft, Request $request): DraftPage
    {
        $result = $draft->result;
        $changes = $result['changes'] ?? [];
        $pages = Pages::of($request, count($changes), self::CHANGES, 'changes');
        $shown = array_slice($changes, $pages->offset(), self::CHANGES, true);
        $left = array_slice($result['left'] ?? [], 0, self::LEFT);

        return new DraftPage(
            draft: $draft,
            pages: $pages,
            changes: $shown,
            counts: array_count_values(array_column($changes, 'kind')),
            left: $left,
            crews: Crew::names(),
            gardens: DB::table('gardens')->whereIn('id', array_column($shown, 'garden'))->pluck('name', 'id')->all(),
            tasks: self::names([
                ...array_merge(...array_values(array_map(
                    static fn (array $change): array => [...$change['tasks'], ...$change['was']], $shown,
                ))),
                ...array_column($left, 'task'),
            ]),
        );
    }

    /**
     * @param  list<string>  $refs
     * @return array<string, string> "winter pass of Wisteria on the front", by ref
     */
    private static function names(array $refs): array
    {
        $plants = array_values(array_unique(array_map(static fn (string $ref): int => (int) $ref, $refs)));
        $names = [];
        foreach (array_chunk($plants, 500) as $some) {
            $rows = DB::table('season_tasks')
                ->join('plants', 'plants.id', '=', 'season_tasks.plant_id')
                ->whereIn('season_tasks.plant_id', $some)
                ->get(['plant_id', 'task', 'season', 'season_tasks.name', 'label']);
            foreach ($rows as $row) {
                $names["$row->plant_id:$row->task:$row->season"] = lcfirst((string) $row->name)." of $row->label";
            }
        }

        return array_intersect_key($names, array_flip($refs));
    }
}
