<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/** Plants of one kind that were cut in different ways, side by side: what it took and how they flowered after it. */
final readonly class Treatments
{
    public function __construct(private PlantBook $book)
    {
    }

    /**
     * @return list<Treatment> by how often it was done; what was only looked after is none
     */
    public function of(string $kind): array
    {
        $rows = DB::table('work_logs')
            ->join('plants', 'plants.id', '=', 'work_logs.plant_id')
            ->leftJoin('bloom_notes', static fn ($notes) => $notes
                ->on('bloom_notes.plant_id', '=', 'work_logs.plant_id')
                ->on('bloom_notes.season', '=', 'work_logs.season'))
            ->where('plants.kind', $kind)
            ->whereIn('work_logs.outcome', ['done', 'changed'])
            ->whereNotNull('work_logs.recipe')
            ->groupBy('work_logs.recipe')
            ->orderByRaw('count(*) desc, work_logs.recipe')
            ->selectRaw(
                'work_logs.recipe, count(*) as times, count(distinct work_logs.plant_id) as plants,'
                .' avg(work_logs.minutes) as minutes, avg(work_logs.removed_percent) as removed,'
                .' count(bloom_notes.id) as blooms, avg(bloom_notes.score) as score,'
                .' avg(bloom_notes.flowering_height_mm) as height, sum(bloom_notes.diseased) as ill,'
                ." sum(bloom_notes.regrowth = 'rank') as wild",
            )
            ->get();

        return array_values($rows
            ->filter(fn (stdClass $row): bool => $this->book->recipes->has((string) $row->recipe))
            ->map(fn (stdClass $row): Treatment => new Treatment(
                $this->book->recipes->get((string) $row->recipe)->name, (int) $row->times, (int) $row->plants,
                self::whole($row->minutes), self::whole($row->removed), (int) $row->blooms,
                $row->score === null ? null : round((float) $row->score, 1), self::whole($row->height),
                (int) $row->ill, (int) $row->wild,
            ))->all());
    }

    private static function whole(mixed $average): ?int
    {
        return is_numeric($average) ? (int) round((float) $average) : null;
    }
}
