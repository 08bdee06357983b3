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
     * @param  list<array{Observation, SiteYear, string}>  $near  seen at neighbouring sites, each with that site's average
     *                                                            year and its name: how late a season is carries over, not the day
     */
    public function read(array $observations, SiteYear $average, array $near = []): SeasonSeen
    {
        $signs = ['spring' => [], 'autumn' => []];
        $days = [];
        foreach ($near as [$observation, $there, $name]) {
            $signs[self::half($observation->event)][] = $this->sign($observation, $there, " at $name");
        }
        foreach ($observations as $observation) {
            $signs[self::half($observation->event)][] = $this->sign($observation, $average, '');
            $anchor = Anchor::tryFrom($observation->event);
            if (in_array($anchor, self::SEEN_ITSELF, true)) {
                $days[$anchor->value] = $observation->on;
            }
        }

        return SeasonSeen::of($this->shift($signs['spring']), $this->shift($signs['autumn']), $days);
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
        return $days === 0 ? 'on its usual day' : sprintf('%d %s %s', abs($days), abs($days) === 1 ? 'day' : 'days', $days > 0 ? 'late' : 'early');
    }

    /** @return 'spring'|'autumn' the half of the season an event tells of */
    public static function half(string $event): string
    {
        return $event === Anchor::FirstFrost->value || str_ends_with($event, '-leaf-fall') ? 'autumn' : 'spring';
    }

    /** @return array{int, string} days late, and the sign in words */
    private function sign(Observation $observation, SiteYear $year, string $where): array
    {
        $late = $this->expected($observation->event, $year)->daysUntil($observation->on);

        return [$late, sprintf('%s%s on %s, %s', str_replace('-', ' ', $observation->event), $where, $observation->on->inWords(), self::late($late))];
    }

    /** @param  list<array{int, string}>  $signs */
    private function shift(array $signs): Shift
    {
        $days = array_column($signs, 0);

        return Shift::of($days === [] || count($days) < $this->book->figures->number(Figure::SignsNeeded) ? 0 : self::median($days), array_column($signs, 1));
    }

    private function expected(string $event, SiteYear $average): Day
    {
        if (in_array(Anchor::tryFrom($event), [Anchor::LastFrost, Anchor::FirstFrost, Anchor::ForsythiaBloom], true)) {
            return $average->day(Anchor::from($event));
        }
        foreach (['-bud-break' => Anchor::BudBreak, '-bloom' => Anchor::BloomStart, '-leaf-fall' => Anchor::LeafFall] as $ending => $anchor) {
            $kind = str_ends_with($event, $ending) ? $this->book->find(substr($event, 0, -strlen($ending))) : null;
            if ($kind !== null && $kind->phenology->has($anchor)) {
                $expected = KindYear::of($average, $kind->phenology)->day($anchor);

                return self::half($event) === 'autumn' ? $expected : $this->inSpring($event, $expected, $average);
            }
        }

        throw new Fault(sprintf('"%s" is not a sign of spring or autumn: give last-frost, first-frost, or a kind with -bloom, -bud-break or -leaf-fall', $event));
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
