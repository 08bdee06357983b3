<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Knowledge\PlantBookFiles;
use Illuminate\Database\Query\Builder;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\DueTask;

/**
 * What everything kept of what is due must rest on to be shown as fresh: the plant book, the firm's practice and kinds,
 * and the days that are looked at.
 */
final readonly class Basis
{
    /** How far ahead a visit can be planned. */
    public const PLANNED_AHEAD = 180;

    /** So many days more are worked out than are looked at, so that not every day asks for new ones. */
    private const SPARE = 92;

    /**
     * @param  string  $mark  of the plant book and of the rules that read it
     * @param  int  $firmRevision  as it stood before kinds and practice were read
     * @param  int  $from  the first day that is looked at, as days since 1970-01-01
     * @param  int  $to  the last
     * @param  Day  $agedOn  the day by whose midwinters plants are aged: tomorrow, so that midnight finds it done
     * @param  list<Day>  $agedBy  days whose midwinters will do
     */
    private function __construct(
        public string $mark,
        public int $firmRevision,
        public int $from,
        public int $to,
        public Day $agedOn,
        private array $agedBy,
    ) {
    }

    public static function on(Day $today): self
    {
        $wall = self::year($today);
        $rules = config('hook.rules');

        return new self(
            hash('xxh128', app(PlantBookFiles::class)->mark().(is_string($rules) ? $rules : '')),
            app(SeenRevision::class)->number,
            min($wall->from->number, $today->number - DueTask::MISSED_DAYS),
            max($wall->to->number, $today->number + self::PLANNED_AHEAD),
            $today->plus(1),
            [$today, $today->plus(1)],
        );
    }

    /** Twelve months from the first of last month: what has just been, and what comes. */
    public static function year(Day $today): Span
    {
        $first = Day::of($today->year(), $today->month(), 1)->minus(1);
        $from = Day::of($first->year(), $first->month(), 1);

        return Span::of($from, $from->plus(364));
    }

    /** How many midwinters there have been in a hemisphere: at each, its plants are a year older. */
    public static function winters(Hemisphere $hemisphere, Day $on): int
    {
        return $on->year() + ($on->isBefore($hemisphere->midwinterOf($on->year())) ? 0 : 1)
            + ($on->isBefore($hemisphere->midwinterOf($on->year() + 1)) ? 0 : 1);
    }

    /** The same, looked at tomorrow and some weeks later: what is stale by this will be stale soon. */
    public function soon(): self
    {
        return new self(
            $this->mark, $this->firmRevision, $this->from, $this->to + intdiv(self::SPARE, 2), $this->agedOn,
            [$this->agedOn],
        );
    }

    /** The last day that is worked out. */
    public function coversTo(): int
    {
        return $this->to + self::SPARE;
    }

    /** @param  Builder  $query  on gardens left joined with what is kept of them: narrowed to what is not fresh */
    public function stale(Builder $query): Builder
    {
        return $query->where(
            fn (Builder $any) => $any
                ->whereNull('kept_gardens.garden_id')
                ->orWhereColumn('kept_gardens.revision', '!=', 'gardens.revision')
                ->orWhere(fn (Builder $north) => $north->where('gardens.latitude', '>=', 0)
                    ->whereNotIn('kept_gardens.winters', $this->wintersThatDo(Hemisphere::North)))
                ->orWhere(fn (Builder $south) => $south->where('gardens.latitude', '<', 0)
                    ->whereNotIn('kept_gardens.winters', $this->wintersThatDo(Hemisphere::South)))
                ->orWhere('kept_gardens.book_mark', '!=', $this->mark)
                ->orWhere('kept_gardens.covers_from', '>', $this->from)
                ->orWhere('kept_gardens.covers_to', '<', $this->to),
        );
    }

    /** @return list<int> */
    private function wintersThatDo(Hemisphere $hemisphere): array
    {
        return array_values(array_unique(array_map(
            static fn (Day $day): int => self::winters($hemisphere, $day), $this->agedBy,
        )));
    }
}
