<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\PlanDraft;
use App\Ground\Support\Pages;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Planning\Season\Price;

/**
 * The difference a draft would make, a page of it at a time.
 *
 * @phpstan-import-type Step from PlanDraft
 */
final readonly class DraftScreen
{
    private const CHANGES = 60;

    private const LEFT = 40;

    /** Parts of what a plan takes, in minutes, as they are called. */
    private const PARTS = [
        'travel' => 'Travel', 'setup' => 'Set-up', 'outside_best' => 'Outside the best windows',
        'unasked' => 'On weekdays nobody asked for', 'overtime' => 'Overtime',
    ];

    /** What becomes of visits, by the kind of change. */
    private const DONE = [
        'added' => 'added', 'moved' => 'moved', 'changed' => 'with other tasks', 'dropped' => 'cancelled',
    ];

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
            costs: self::costs($result['present'] ?? [], $result['cost'] ?? []),
            summary: self::summary(array_count_values(array_column($changes, 'kind')), $result['same'] ?? 0),
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
     * What the plan takes as it is and as it would be. What finds no day is told as so many tasks, never by its price.
     *
     * @param  array<string, float|int>  $present
     * @param  array<string, float|int>  $planned
     * @return list<array{name: string, present: string, planned: string}>
     */
    private static function costs(array $present, array $planned): array
    {
        $row = static fn (string $name, float $before, float $after): array => [
            'name' => $name, 'present' => number_format($before), 'planned' => number_format($after),
        ];
        $rows = $sums = [];
        foreach (self::PARTS as $part => $name) {
            $rows[] = $row($name, $present[$part] ?? 0, $planned[$part] ?? 0);
            $sums[0] = ($sums[0] ?? 0) + ($present[$part] ?? 0);
            $sums[1] = ($sums[1] ?? 0) + ($planned[$part] ?? 0);
        }
        $tasks = static fn (array $of): float => round(($of['unplaced'] ?? 0) / Price::LEFT_OUT);

        return [
            ...$rows,
            $row('Minutes in all', ...$sums),
            $row('Tasks without a day', $tasks($present), $tasks($planned)),
        ];
    }

    /** @param  array<string, int>  $counts  changes by kind */
    private static function summary(array $counts, int $same): string
    {
        $done = [];
        foreach (self::DONE as $kind => $words) {
            if (($counts[$kind] ?? 0) > 0) {
                $visits = $done === [] ? ($counts[$kind] === 1 ? ' visit' : ' visits') : '';
                $done[] = number_format($counts[$kind])."$visits $words";
            }
        }

        return implode(', ', [
            ...$done, $same === 0 ? 'none unchanged' : number_format($same).' unchanged',
        ]).'.';
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
