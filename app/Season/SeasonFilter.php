<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plant;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

/** What the Season screen is narrowed to; all of it stands in the address, so that a view can be kept as a link. */
final readonly class SeasonFilter
{
    private function __construct(
        public string $text,
        public ?int $garden,
        public ?int $crew,
        public ?string $kind,
        public ?string $show,
        public Zoom $zoom,
        public Grouping $by,
    ) {
    }

    public static function from(Request $request, PlantBook $book): self
    {
        $kind = $request->string('kind')->toString();
        $show = $request->string('show')->toString();

        return new self(
            $request->string('q')->trim()->toString(),
            $request->integer('garden') ?: null,
            $request->integer('crew') ?: null,
            $book->has($kind) ? $kind : null,
            in_array($show, ['closing', 'open', 'missed', 'coming'], true) ? $show : null,
            Zoom::tryFrom($request->string('zoom')->toString()) ?? Zoom::Year,
            Grouping::tryFrom($request->string('by')->toString()) ?? Grouping::Garden,
        );
    }

    /** @return Builder<Plant> */
    public function plants(PlantBook $book): Builder
    {
        $query = Plant::query()->with(['garden.crew', 'workLogs', 'bloomNotes', 'visitTasks.visit']);
        $query->orderBy('garden_id')->orderBy('bed')->orderBy('label');
        if ($this->garden !== null) {
            $query->where('garden_id', $this->garden);
        }
        if ($this->crew !== null) {
            $query->whereHas('garden', fn (Builder $garden) => $garden->where('crew_id', $this->crew));
        }
        if ($this->kind !== null) {
            $query->where('kind', $this->kind);
        }

        return $this->text === '' ? $query : self::matching($query, $this->text, $book);
    }

    /**
     * Only the plants that can stand in one group of the wall. What is pressing only shows once it is worked out.
     *
     * @param  Builder<Plant>  $query
     * @return Builder<Plant>
     */
    public function ofGroup(Builder $query, string $key): Builder
    {
        return match ($this->by) {
            Grouping::Garden => $query->where('garden_id', (int) $key),
            Grouping::Kind => $query->where('kind', $key),
            Grouping::Crew => $query->whereHas('garden', static fn (Builder $garden) => $key === '0' ? $garden->whereNull('crew_id') : $garden->where('crew_id', (int) $key)),
            Grouping::Urgency => $query,
        };
    }

    /**
     * Plants whose label, place, garden or kind, in any of its names, holds the text.
     *
     * @param  Builder<Plant>  $query
     * @return Builder<Plant>
     */
    public static function matching(Builder $query, string $text, PlantBook $book): Builder
    {
        $kinds = $book->named($text);
        $like = '%'.addcslashes($text, '%_\\').'%';

        return $query->where(static function (Builder $any) use ($like, $kinds): void {
            $any->whereIn('kind', array_unique($kinds))
                ->orWhereLike('label', $like)
                ->orWhereLike('bed', $like)
                ->orWhereHas('garden', static fn (Builder $garden) => $garden->whereLike('name', $like)->orWhereLike('client', $like));
        });
    }

    public function isOn(): bool
    {
        return $this->text !== '' || $this->garden !== null || $this->crew !== null || $this->kind !== null || $this->show !== null;
    }
}
