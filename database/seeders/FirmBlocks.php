<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Ground\Models\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Makes a large firm of a small one to measure with: the gardens that `FirmSeeder` made, and all that is kept of them,
 * are written again and again under other numbers, so that three thousand take minutes. Crews are as many as the work
 * of a season needs.
 */
final class FirmBlocks
{
    /** A crew is so full in its season; between 75 and 90 % (common practice, no source). */
    private const FULL = 0.82;

    /** Minutes a crew of two has in a week. */
    private const WEEK = 2 * 5 * 480;

    /** What refers to what. `id` of a table that nothing refers to is given anew. */
    private const REFERS = [
        'gardens' => ['id' => 'gardens'],
        'plants' => ['id' => 'plants', 'garden_id' => 'gardens'],
        'visits' => ['id' => 'visits', 'garden_id' => 'gardens'],
        'visit_tasks' => ['id' => 'visit_tasks', 'visit_id' => 'visits', 'plant_id' => 'plants'],
        'work_logs' => ['id' => 'work_logs', 'visit_task_id' => 'visit_tasks', 'plant_id' => 'plants'],
        'observations' => ['garden_id' => 'gardens'],
        'garden_seasons' => ['garden_id' => 'gardens'],
        'kept_gardens' => ['garden_id' => 'gardens'],
        'kept_weeks' => ['garden_id' => 'gardens'],
        'kept_months' => ['garden_id' => 'gardens'],
        'kept_treatments' => ['garden_id' => 'gardens'],
        'kept_plants' => ['plant_id' => 'plants', 'garden_id' => 'gardens'],
        'season_tasks' => ['plant_id' => 'plants', 'garden_id' => 'gardens'],
        'entries' => ['visit_task_id' => 'visit_tasks', 'visit_id' => 'visits'],
        'photos' => ['visit_task_id' => 'visit_tasks'],
        'stem_surveys' => ['plant_id' => 'plants'],
        'client_words' => ['garden_id' => 'gardens'],
        'changes' => ['row_id' => 'changed'],
        'letters' => [],
    ];

    /** @var array<string, int> the last number of a table in the first block */
    private array $last = [];

    private int $crews = 1;

    /** @return float how full the crews are in their season, from 0 to 1 */
    public function grow(int $gardens): float
    {
        foreach (array_keys(self::REFERS) as $table) {
            $this->last[$table] = Schema::hasColumn($table, 'id') ? (int) DB::table($table)->max('id') : 0;
        }
        $block = $this->last['gardens'];
        $week = $this->weekInSeason() * $gardens / $block;
        $this->crews = max(1, (int) ceil($week / (self::WEEK * self::FULL)));
        DB::transaction(function () use ($gardens, $block): void {
            $this->people();
            foreach (['gardens' => 'id', 'visits' => 'garden_id'] as $table => $garden) {
                DB::statement("update $table set crew_id = ".$this->crewOf($garden));
            }
            for ($nth = 1; $nth * $block < $gardens; $nth++) {
                $this->copy($nth, min($block, $gardens - $nth * $block));
            }
        });

        return $week / ($this->crews * self::WEEK);
    }

    /** Minutes of a week of the season: the mean of those of the last year with at least half of the most. */
    private function weekInSeason(): float
    {
        $weeks = DB::table('visit_tasks')->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->whereRaw("visits.\"on\" >= (select date(max(\"on\"), '-400 days') from visits)")
            ->groupByRaw("strftime('%Y %W', visits.\"on\")")->selectRaw('sum(visit_tasks.minutes) as minutes')
            ->pluck('minutes')->map(static fn (mixed $minutes): float => is_numeric($minutes) ? (float) $minutes : 0.0);
        $season = $weeks->filter(static fn (float $minutes): bool => $minutes >= $weeks->max() / 2);

        return (float) $season->avg();
    }

    private function people(): void
    {
        $password = DB::table('users')->value('password');
        $rows = ['crews' => [], 'users' => []];
        for ($crew = 2; $crew <= $this->crews; $crew++) {
            $rows['crews'][] = ['name' => sprintf('Crew %03d', $crew)];
        }
        for ($person = 1; $person <= 2 * $this->crews; $person++) {
            $rows['users'][] = [
                'name' => sprintf('Person %03d', $person), 'email' => "person$person@hollowbrook.test",
                'password' => $password, 'role' => $person % 2 === 0 ? Role::Hand->value : Role::Lead->value,
                'crew_id' => intdiv($person + 1, 2),
            ];
        }
        foreach ($rows as $table => $its) {
            foreach (array_chunk($its, 500) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
    }

    /** Writes the first gardens of the block once more, as its nth copy. */
    private function copy(int $nth, int $gardens): void
    {
        foreach (self::REFERS as $table => $refers) {
            $columns = array_values(array_diff(
                Schema::getColumnListing($table), isset($refers['id']) ? [] : ['id'],
            ));
            $values = array_map(fn (string $column): string => match (true) {
                isset($refers[$column]) => $this->number($refers[$column], $column, $nth),
                $column === 'name' && $table === 'gardens' => "name || ' ".($nth + 1)."'",
                $column === 'uuid' => "substr(uuid, 1, 24) || printf('%012d', visit_task_id + "
                    .$nth * $this->last['visit_tasks'].')',
                $column === 'crew_id' => $this->crewOf(
                    '('.($table === 'gardens' ? 'id' : 'garden_id').' + '.$nth * $this->last['gardens'].')',
                ),
                default => "\"$column\"",
            }, $columns);
            DB::statement(sprintf(
                'insert into %s ("%s") select %s from %s where %s', $table, implode('", "', $columns),
                implode(', ', $values), $table, $this->first($table, $refers, $gardens),
            ));
        }
    }

    /** Spread so that a crew's gardens are not all of one day of the week. */
    private function crewOf(string $garden): string
    {
        return "1 + ($garden * 7 + $garden / {$this->last['gardens']}) % $this->crews";
    }

    private function number(string $of, string $column, int $nth): string
    {
        return $of === 'changed'
            ? "$column + case \"of\" when 'garden' then ".$nth * $this->last['gardens']." when 'plant' then "
                .$nth * $this->last['plants'].' else '.$nth * $this->last['work_logs'].' end'
            : "$column + ".$nth * $this->last[$of];
    }

    /**
     * Which rows are of the first gardens of the first block; garden after garden was written, so that each table's
     * begin it.
     *
     * @param  array<string, string>  $refers
     */
    private function first(string $table, array $refers, int $gardens): string
    {
        $plants = "(select max(id) from plants where garden_id <= $gardens and id <= {$this->last['plants']})";
        $visits = "(select max(id) from visits where garden_id <= $gardens and id <= {$this->last['visits']})";
        $tasks = "(select max(id) from visit_tasks where visit_id <= $visits and id <= {$this->last['visit_tasks']})";
        $logs = "(select max(id) from work_logs where visit_task_id <= $tasks and id <= {$this->last['work_logs']})";

        return match (true) {
            $table === 'gardens' => "id <= $gardens",
            $table === 'letters' => 'id <= '.intdiv($this->last['letters'] * $gardens, $this->last['gardens']),
            $table === 'changes' => "id <= {$this->last['changes']} and row_id <= case \"of\" when 'garden' then "
                ."$gardens when 'plant' then $plants else $logs end",
            isset($refers['garden_id']) => "garden_id <= $gardens",
            isset($refers['plant_id']) => "plant_id <= $plants",
            isset($refers['visit_id']) => "visit_id <= $visits",
            default => "visit_task_id <= $tasks",
        };
    }
}
