<?php

declare(strict_types=1);

namespace App\Field\Record;

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
     * As it is kept of each garden that is worked out.
     *
     * @return list<Treatment> by how often it was done; what was only looked after is none
     */
    public function of(string $kind): array
    {
        $rows = DB::table('kept_treatments')
            ->where('kind', $kind)
            ->groupBy('recipe')
            ->orderByRaw('sum(times) desc, recipe')
            ->selectRaw('recipe, '.implode(', ', array_map(
                static fn (string $sum): string => "sum(\"$sum\") as \"$sum\"",
                ['times', 'plants', 'minutes', 'timed', 'removed', 'estimated', 'blooms', 'score', 'scored', 'height',
                    'measured', 'ill', 'rank'],
            )))
            ->get();

        return array_values($rows
            ->filter(fn (stdClass $row): bool => $this->book->recipes->has((string) $row->recipe))
            ->map(fn (stdClass $row): Treatment => new Treatment(
                $this->book->recipes->get((string) $row->recipe)->name, (int) $row->times, (int) $row->plants,
                self::average($row->minutes, $row->timed), self::average($row->removed, $row->estimated),
                (int) $row->blooms, (int) $row->scored === 0 ? null : round($row->score / $row->scored, 1),
                self::average($row->height, $row->measured), (int) $row->ill, (int) $row->rank,
            ))->all());
    }

    private static function average(mixed $sum, mixed $of): ?int
    {
        return (int) $of === 0 ? null : (int) round((int) $sum / (int) $of);
    }
}
