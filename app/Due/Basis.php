<?php

declare(strict_types=1);

namespace App\Due;

use App\Models\Firm;
use App\PlantBook\PlantBookFiles;
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
     * @param  int  $from  the first day that is looked at, as days since 1970-01-01
     * @param  int  $to  the last
     */
    private function __construct(public string $mark, public int $firmRevision, public int $from, public int $to)
    {
    }

    public static function on(Day $today): self
    {
        $wall = self::year($today);
        $rules = config('hook.rules');

        return new self(
            hash('xxh128', app(PlantBookFiles::class)->mark().(is_string($rules) ? $rules : '').self::winters($today)),
            Firm::ours()->revision,
            min($wall->from->number, $today->number - DueTask::MISSED_DAYS),
            max($wall->to->number, $today->number + self::PLANNED_AHEAD),
        );
    }

    /** Twelve months from the first of last month: what has just been, and what comes. */
    public static function year(Day $today): Span
    {
        $first = Day::of($today->year(), $today->month(), 1)->minus(1);
        $from = Day::of($first->year(), $first->month(), 1);

        return Span::of($from, $from->plus(364));
    }

    /** How many midwinters there have been, in either hemisphere: at each, plants are reckoned a year older. */
    private static function winters(Day $today): int
    {
        $year = $today->year();

        return 2 * $year +
            ($today->isBefore(Hemisphere::South->midwinterOf($year)) ? 0 : 1) +
            ($today->isBefore(Hemisphere::North->midwinterOf($year + 1)) ? 0 : 1);
    }

    /** The same, looked at some weeks later: what is stale by this will be stale soon. */
    public function soon(): self
    {
        return new self($this->mark, $this->firmRevision, $this->from, $this->to + intdiv(self::SPARE, 2));
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
                ->orWhere('kept_gardens.firm_revision', '!=', $this->firmRevision)
                ->orWhere('kept_gardens.book_mark', '!=', $this->mark)
                ->orWhere('kept_gardens.covers_from', '>', $this->from)
                ->orWhere('kept_gardens.covers_to', '<', $this->to),
        );
    }
}
