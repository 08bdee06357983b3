<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;

/**
 * Reads a season from its signs. Each is held against the day the plant book expects; the median of two or more moves
 * the site's spring (and, for leaf fall and first frost, its autumn), so that one odd plant or one misread date does
 * not. Forsythia in flower and the first frost are also anchors themselves: seen once, they are taken as seen.
 */
final readonly class SeasonReader
{
    private const SEEN_ITSELF = [Anchor::ForsythiaBloom, Anchor::FirstFrost];

    private function __construct(private PlantBook $book)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /**
     * @param  list<Observation>  $observations  seen here, each already passed by `check`
     * @param  list<array{Observation, SiteYear,
     *     string}>  $near  seen at neighbouring sites, each with that site's average
     *                                                            year and its name: how late a season is carries over,
     *                                                            not the day
     */
    public function read(array $observations, SiteYear $average, array $near = []): SeasonSeen
    {
        return $this->weigh([
            ...array_map(
                fn (array $each): Sign => new Sign($each[0], $this->lateness($each[0], $each[1]), $each[2]),
                $near,
            ),
            ...array_map(
                fn (Observation $seen): Sign => new Sign($seen, $this->lateness($seen, $average), null),
                $observations,
            ),
        ]);
    }

    /**
     * A season from signs whose lateness is known.
     *
     * @param  list<Sign>  $signs  the neighbours' first
     */
    public function weigh(array $signs): SeasonSeen
    {
        $halves = ['spring' => [], 'autumn' => []];
        $days = [];
        foreach ($signs as $sign) {
            $halves[self::half($sign->seen->event)][] = $sign;
            $anchor = Anchor::tryFrom($sign->seen->event);
            if ($sign->at === null && in_array($anchor, self::SEEN_ITSELF, true)) {
                $days[$anchor->value] = $sign->seen->on;
            }
        }

        return SeasonSeen::of($this->shift($halves['spring']), $this->shift($halves['autumn']), $days);
    }

    /**
     * Days by which a sign came later than the plant book expects it at its own site; negative where it came earlier.
     *
     * @throws Fault when the event is unknown or tells nothing of a season
     */
    public function lateness(Observation $observation, SiteYear $average): int
    {
        return $this->expected($observation->event, $average)->daysUntil($observation->on);
    }

    /**
     * @throws Fault when the event is unknown, tells nothing of a season, or lies further from its usual day than any
     *               season is early or late
     */
    public function check(Observation $observation, SiteYear $average): void
    {
        $expected = $this->expected($observation->event, $average);
        $late = $expected->daysUntil($observation->on);
        if (abs($late) <= $this->book->figures->number(Figure::CredibleDays)) {
            return;
        }
        $years = (int) round($late / 365.25);
        $meant = $years === 0 ? null : Day::fromNumber($observation->on->number - (int) round($years * 365.25));

        throw new Fault(sprintf(
            '%s on %s is %d days from the usual %s%s', $observation->event, $observation->on, abs($late), $expected,
            $meant === null ? '; is the date right?' : "; did you mean $meant?",
        ));
    }

    /** "9 days late" */
    public static function late(int $days): string
    {
        return $days === 0
            ? 'on its usual day'
            : sprintf('%d %s %s', abs($days), abs($days) === 1 ? 'day' : 'days', $days > 0 ? 'late' : 'early');
    }

    /** @return 'spring'|'autumn' the half of the season an event tells of */
    public static function half(string $event): string
    {
        return $event === Anchor::FirstFrost->value || str_ends_with($event, '-leaf-fall') ? 'autumn' : 'spring';
    }

    /** @param  list<Sign>  $signs */
    private function shift(array $signs): Shift
    {
        $days = array_map(static fn (Sign $sign): int => $sign->lateDays, $signs);
        $named = array_slice($signs, 0, Shift::NAMED);

        return Shift::of(
            $days === [] || count($days) < $this->book->figures->number(Figure::SignsNeeded) ? 0 : self::median($days),
            array_map(static fn (Sign $sign): string => $sign->inWords(), $named),
            count($signs) - count($named),
        );
    }

    /**
     * The day on which an event is usual in an average season.
     *
     * @throws Fault when it is no sign of spring or autumn
     */
    public function expected(string $event, SiteYear $average): Day
    {
        if (in_array(Anchor::tryFrom($event), [Anchor::LastFrost, Anchor::FirstFrost, Anchor::ForsythiaBloom], true)) {
            return $average->day(Anchor::from($event));
        }
        foreach (
            [
                '-bud-break' => Anchor::BudBreak,
                '-bloom' => Anchor::BloomStart,
                '-leaf-fall' => Anchor::LeafFall,
            ] as $ending => $anchor
        ) {
            $kind = str_ends_with($event, $ending) ? $this->book->find(substr($event, 0, -strlen($ending))) : null;
            if ($kind !== null && $kind->phenology->has($anchor)) {
                $expected = KindYear::of($average, $kind->phenology)->day($anchor);

                return self::half($event) === 'autumn' ? $expected : $this->inSpring($event, $expected, $average);
            }
        }

        throw new Fault(
            sprintf(
                '"%s" is not a sign of spring or autumn: give last-frost, first-frost, or a kind with -bloom, '
                    .'-bud-break or -leaf-fall',
                $event,
            ),
        );
    }

    private function inSpring(string $event, Day $expected, SiteYear $average): Day
    {
        return $expected->isAfter($average->day(Anchor::Midsummer))
            ? throw new Fault(sprintf('"%s" comes after midsummer and tells nothing of spring', $event))
            : $expected;
    }

    /** @param  non-empty-list<int>  $days */
    private static function median(array $days): int
    {
        sort($days);
        $middle = intdiv(count($days), 2);

        return count($days) % 2 === 1 ? $days[$middle] : (int) round(($days[$middle - 1] + $days[$middle]) / 2);
    }
}
