<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use App\Ground\Support\SearchTables;
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
        if ($text !== '') {
            // Here, before anything is read together: then nothing can be written, and this is put aside in a table.
            SearchTables::find($text);
        }

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
            $query->where(function (Builder $any) use ($table): void {
                $any->whereIn("$table.plant_id", SearchTables::found('plants'))
                    ->orWhereIn("$table.garden_id", SearchTables::found('gardens'));
                // None at all would keep the indexes of the others from being gone by.
                if ($this->kinds !== []) {
                    $any->orWhereIn("$table.kind", $this->kinds);
                }
            });
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
     * Plants whose label or place, garden, client or address, or kind in any of its names, holds the text.
     *
     * @param  Builder  $plants  on plants
     * @param  list<string>  $kinds
     */
    public static function matching(Builder $plants, string $text, array $kinds): Builder
    {
        return $plants->where(
            static fn (Builder $any) => $any
                ->whereIn('plants.kind', $kinds)
                ->orWhereIn('plants.id', SearchTables::ids('plants', $text))
                ->orWhereIn('plants.garden_id', SearchTables::ids('gardens', $text)),
        );
    }

    /** True where whole gardens are looked at, so that what is kept of gardens will do. */
    public function isOfGardens(): bool
    {
        return $this->text === '' && $this->kind === null && $this->show === null;
    }

    /** True where some gardens are looked at, so that their index leads to what is asked for. */
    public function isOfSome(): bool
    {
        return $this->crew !== null || $this->garden !== null;
    }

    public function isOn(): bool
    {
        return ! $this->isOfGardens() || $this->isOfSome();
    }
}
