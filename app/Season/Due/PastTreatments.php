<?php

declare(strict_types=1);

namespace App\Season\Due;

use Illuminate\Support\Facades\DB;

/**
 * What each way of cutting a kind came to in a garden: how often, on how many plants, and the sums and counts that its
 * averages are made of.
 *
 * @phpstan-type TreatmentRow array{garden_id: int, kind: string, recipe: string, times: int, plants: int, minutes: int,
 *     timed: int, removed: int, estimated: int, blooms: int, score: int, scored: int, height: int, measured: int,
 *     ill: int, rank: int}
 */
final readonly class PastTreatments
{
    /** What was only looked after was not cut. */
    private const CUT = ['done', 'changed'];

    /** @return list<TreatmentRow> by kind and recipe */
    public static function of(int $garden): array
    {
        $rows = DB::table('plants')
            ->join('work_logs', 'work_logs.plant_id', '=', 'plants.id')
            ->leftJoin('bloom_notes', static fn ($notes) => $notes
                ->on('bloom_notes.plant_id', '=', 'work_logs.plant_id')
                ->on('bloom_notes.season', '=', 'work_logs.season'))
            ->where('plants.garden_id', $garden)
            ->whereIn('work_logs.outcome', self::CUT)
            ->whereNotNull('work_logs.recipe')
            ->groupBy('plants.kind', 'work_logs.recipe')
            ->orderBy('plants.kind')
            ->orderBy('work_logs.recipe')
            ->selectRaw(
                'plants.kind, work_logs.recipe, count(*) as times, count(distinct work_logs.plant_id) as plants,'
                .' sum(work_logs.minutes) as minutes, count(work_logs.minutes) as timed,'
                .' sum(work_logs.removed_percent) as removed, count(work_logs.removed_percent) as estimated,'
                .' count(bloom_notes.id) as blooms, sum(bloom_notes.score) as score,'
                .' count(bloom_notes.score) as scored,'
                .' sum(bloom_notes.flowering_height_mm) as height,'
                .' count(bloom_notes.flowering_height_mm) as measured,'
                .' count(case when bloom_notes.diseased then 1 end) as ill,'
                ." count(case when bloom_notes.regrowth = 'rank' then 1 end) as \"rank\"",
            )
            ->get();

        return array_values($rows->map(static fn (\stdClass $row): array => [
            'garden_id' => $garden, 'kind' => (string) $row->kind, 'recipe' => (string) $row->recipe,
            'times' => (int) $row->times, 'plants' => (int) $row->plants, 'minutes' => (int) $row->minutes,
            'timed' => (int) $row->timed, 'removed' => (int) $row->removed, 'estimated' => (int) $row->estimated,
            'blooms' => (int) $row->blooms, 'score' => (int) $row->score, 'scored' => (int) $row->scored,
            'height' => (int) $row->height, 'measured' => (int) $row->measured, 'ill' => (int) $row->ill,
            'rank' => (int) $row->rank,
        ])->all());
    }
}
