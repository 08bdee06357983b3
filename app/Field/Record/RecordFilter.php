<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Finding;
use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use App\Ground\Support\SearchTables;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Plant\Outcome;

/** Which lines of the record are looked at; all of it stands in the address, so that it can be shared. */
final readonly class RecordFilter
{
    private function __construct(
        public string $text,
        public ?Garden $garden,
        public ?int $season,
        public ?Outcome $outcome,
        public ?Finding $found,
        public bool $left,
    ) {
    }

    public static function from(Request $request): self
    {
        return new self(
            Asked::text($request, 'q'),
            Garden::called(Asked::text($request, 'garden')),
            Asked::season($request, 'season'),
            Outcome::tryFrom(Asked::text($request, 'outcome')),
            Finding::tryFrom(Asked::text($request, 'found')),
            $request->boolean('left'),
        );
    }

    /**
     * @template M of \Illuminate\Database\Eloquent\Model
     *
     * @param  Builder<M>  $logs
     */
    public function narrow(Builder $logs): void
    {
        if ($this->garden !== null) {
            $logs->whereIn('plant_id', DB::table('plants')->select('id')->where('garden_id', $this->garden->id));
        }
        if ($this->season !== null) {
            $logs->where('season', $this->season);
        }
        if ($this->outcome !== null) {
            $logs->where('outcome', $this->outcome->value);
        }
        if ($this->found !== null) {
            $logs->whereJsonContains('findings', $this->found->value);
        }
        if ($this->left) {
            $logs->whereNotNull('left_for_next_year');
        }
        if ($this->text !== '') {
            $logs->where(fn (Builder $any) => $any
                ->where(fn (Builder $of) => SearchTables::narrow(
                    $of->getQuery(), 'plants', 'work_logs.plant_id', $this->text,
                ))
                ->orWhere(fn (Builder $of) => $this->ofGardens($of->getQuery())));
        }
    }

    private function ofGardens(QueryBuilder $logs): void
    {
        $plants = DB::table('plants as those')->select('those.id');
        SearchTables::narrow($plants, 'gardens', 'those.garden_id', $this->text);
        SearchTables::isCommon('gardens', $this->text)
            ? $logs->whereExists($plants->whereColumn('those.id', 'work_logs.plant_id'))
            : $logs->whereIn('work_logs.plant_id', $plants);
    }

    public function isOn(): bool
    {
        return $this->text !== '' || $this->garden !== null || $this->season !== null || $this->outcome !== null
            || $this->found !== null || $this->left;
    }
}
