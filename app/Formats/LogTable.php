<?php

declare(strict_types=1);

namespace App\Formats;

use Generator;
use Illuminate\Support\Facades\DB;

/** The record as a table: a line for each line of it. */
final readonly class LogTable
{
    public const COLUMNS = ['id', 'on', 'garden', 'plant_id', 'plant', 'kind', 'task', 'season', 'outcome', 'why',
        'minutes', 'minutes_planned', 'removed_percent', 'findings', 'note', 'left_for_next_year', 'crew', 'logged_by'];

    private const AT_ONCE = 500;

    /** @return Generator<int, list<scalar|null>> */
    public function cells(): Generator
    {
        $after = 0;
        do {
            $rows = DB::table('work_logs')->where('work_logs.id', '>', $after)->orderBy('work_logs.id')
                ->leftJoin('plants', 'plants.id', 'work_logs.plant_id')
                ->leftJoin('gardens', 'gardens.id', 'plants.garden_id')
                ->leftJoin('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
                ->leftJoin('visits', 'visits.id', 'visit_tasks.visit_id')
                ->leftJoin('crews', 'crews.id', 'visits.crew_id')
                ->leftJoin('users', 'users.id', 'work_logs.logged_by')
                ->limit(self::AT_ONCE)->get([
                    'work_logs.*', 'plants.label', 'plants.kind', 'gardens.name as garden',
                    'visit_tasks.minutes as planned', 'crews.name as crew', 'users.name as person',
                ]);
            foreach ($rows as $row) {
                $after = (int) $row->id;
                yield [
                    $row->id, $row->on, $row->garden, $row->plant_id, $row->label, $row->kind, $row->task, $row->season,
                    $row->outcome, $row->why, $row->minutes, $row->planned, $row->removed_percent,
                    implode(' ', array_filter((array) json_decode((string) $row->findings, true), is_string(...))),
                    $row->note, $row->left_for_next_year, $row->crew, $row->person,
                ];
            }
        } while (count($rows) === self::AT_ONCE);
    }
}
