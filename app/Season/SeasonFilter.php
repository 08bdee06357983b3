<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Garden;
use App\Search\SearchTables;
use App\Support\Asked;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/** What the Season screen is narrowed to; all of it stands in the address, so that a view can be kept as a link. */
final readonly class SeasonFilter
{
    /** @param  list<string>  $kinds  those in one of whose names the text stands */
    private function __construct(
        public string $text,
        public ?Garden $garden,
        public ?int $crew,
        public ?string $kind,
        public ?Urgency $show,
        public Zoom $zoom,
        public Grouping $by,
        private array $kinds,
    ) {
    }

    public static function from(Request $request, PlantBook $book): self
    {
        $kind = Asked::text($request, 'kind');
        $text = Asked::text($request, 'q');
        $show = Urgency::tryFrom(Asked::text($request, 'show'));

        return new self(
            $text,
            Garden::called(Asked::text($request, 'garden')),
            $request->integer('crew') ?: null,
            $book->has($kind) ? $kind : null,
            in_array($show, KeptTasks::URGENCIES, true) ? $show : null,
            Zoom::tryFrom(Asked::text($request, 'zoom')) ?? Zoom::Year,
            Grouping::tryFrom(Asked::text($request, 'by')) ?? Grouping::Garden,
            $text === '' ? [] : $book->named($text),
        );
    }

    /**
     * Narrows a query on `season_tasks` or `kept_plants`, which both name plant, garden and kind.
     *
     * @param  'season_tasks'|'kept_plants'  $table
     */
    public function narrow(Builder $query, string $table): Builder
    {
        $this->narrowGardens($query, "$table.garden_id");
        if ($this->kind !== null) {
            $query->where("$table.kind", $this->kind);
        }
        if ($this->text !== '') {
            self::matching($query, $this->text, $this->kinds, $table);
        }

        return $query;
    }

    public function narrowGardens(Builder $query, string $column): Builder
    {
        if ($this->garden !== null) {
            $query->where($column, $this->garden->id);
        }
        if ($this->crew !== null) {
            $query->whereIn($column, DB::table('gardens')->select('id')->where('crew_id', $this->crew));
        }

        return $query;
    }

    /**
     * Rows whose plant's label or place, garden, client or address, or kind in any of its names, holds the text.
     *
     * @param  list<string>  $kinds
     */
    public static function matching(Builder $query, string $text, array $kinds, string $table): Builder
    {
        return $query->where(
            static fn (Builder $any) => $any
                ->whereIn("$table.kind", $kinds)
                ->orWhereIn($table === 'plants' ? 'plants.id' : "$table.plant_id", SearchTables::ids('plants', $text))
                ->orWhereIn("$table.garden_id", SearchTables::ids('gardens', $text)),
        );
    }

    /** True where whole gardens are looked at, so that what is kept of gardens will do. */
    public function isOfGardens(): bool
    {
        return $this->text === '' && $this->kind === null && $this->show === null;
    }

    public function isOn(): bool
    {
        return ! $this->isOfGardens() || $this->garden !== null || $this->crew !== null;
    }
}
