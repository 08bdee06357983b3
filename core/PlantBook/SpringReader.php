<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Spring;
use PruningHook\Core\Fault;

/**
 * Reads a season's spring from what was seen. Each observation is held against the day the plant book expects; the
 * median of two or more moves the site's spring, so that one odd plant or one misread date does not. Forsythia in
 * flower is also an anchor itself: seen once, it is taken as seen.
 */
final readonly class SpringReader
{
    /** Fewer observations than this say too little of a whole spring. Common practice. */
    private const ENOUGH = 2;

    /** Springs differ by weeks, not by months: what is further off than this is questioned. Common practice. */
    private const CREDIBLE_DAYS = 60;

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
     *                                                            year and its name: how late a spring is carries over, not the day
     */
    public function read(array $observations, SiteYear $average, array $near = []): Spring
    {
        $deviations = [];
        $seen = [];
        $said = [];
        foreach ($near as [$observation, $there, $name]) {
            $late = $this->expected($observation->event, $there)->daysUntil($observation->on);
            $deviations[] = $late;
            $said[] = sprintf('%s at %s on %s, %s', str_replace('-', ' ', $observation->event), $name, $observation->on->inWords(), self::late($late));
        }
        foreach ($observations as $observation) {
            $late = $this->expected($observation->event, $average)->daysUntil($observation->on);
            $deviations[] = $late;
            $said[] = sprintf('%s on %s, %s', str_replace('-', ' ', $observation->event), $observation->on->inWords(), self::late($late));
            if ($observation->event === Anchor::ForsythiaBloom->value) {
                $seen[Anchor::ForsythiaBloom->value] = $observation->on;
            }
        }

        return Spring::of(count($deviations) < self::ENOUGH ? 0 : self::median($deviations), $seen, $said);
    }

    /**
     * @throws Fault when the event is unknown, does not belong to spring, or lies further from its usual day than any
     *               spring is early or late
     */
    public function check(Observation $observation, SiteYear $average): void
    {
        $expected = $this->expected($observation->event, $average);
        $late = $expected->daysUntil($observation->on);
        if (abs($late) <= self::CREDIBLE_DAYS) {
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

    private function expected(string $event, SiteYear $average): Day
    {
        if ($event === Anchor::LastFrost->value || $event === Anchor::ForsythiaBloom->value) {
            return $average->day(Anchor::from($event));
        }
        foreach (['-bud-break' => Anchor::BudBreak, '-bloom' => Anchor::BloomStart] as $ending => $anchor) {
            $kind = str_ends_with($event, $ending) ? $this->book->find(substr($event, 0, -strlen($ending))) : null;
            if ($kind !== null && $kind->phenology->has($anchor)) {
                return $this->inSpring($event, KindYear::of($average, $kind->phenology)->day($anchor), $average);
            }
        }
        throw new Fault(sprintf('"%s" is not an event of spring: give last-frost, or a kind with -bloom or -bud-break', $event));
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
