<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;

/** A site's normal year from midwinter to midwinter: how warm its days are, and when its anchors fall. */
final readonly class WarmthChart
{
    public const WIDTH = 365;

    public const HEIGHT = 120;

    /** Degrees between two lines. */
    private const STEP = 10;

    /** Growth needs more than that. */
    private const GROWS = 5.0;

    private const MARKS = [
        'a' => [Anchor::ColdOver, 'hard cold is over'], 'b' => [Anchor::ForsythiaBloom, 'forsythia flowers'],
        'c' => [Anchor::LastFrost, 'last frost'], 'd' => [Anchor::FirstFrost, 'first frost'],
    ];

    /**
     * @param  string  $curve  as an SVG path
     * @param  string  $growing  the days that are warm enough to grow, as an SVG path
     * @param  array<int, float>  $lines  heights by degrees
     * @param  list<array{x: float, label: string}>  $months  where they begin
     * @param  list<array{key: string, x: float, on: Day, says: string}>  $marks
     */
    private function __construct(
        public string $curve,
        public string $growing,
        public array $lines,
        public array $months,
        public array $marks,
        public string $inWords,
    ) {
    }

    /** Where there is no frost and no cold, nothing is said of their days. */
    private static function tells(Site $site, Anchor $anchor): bool
    {
        return match ($anchor) {
            Anchor::LastFrost, Anchor::FirstFrost => $site->lastFrost !== null,
            Anchor::ColdOver => $site->winter !== WinterClass::Warm,
            default => true,
        };
    }

    public static function of(SiteYear $season): self
    {
        $year = $season->average();
        $climate = $year->site->climate;
        $normals = $climate->normals;
        $low = self::STEP * floor(min(0.0, $normals->coldest()) / self::STEP);
        $high = self::STEP * ceil(max(20.0, $normals->warmest() + 1) / self::STEP);
        $y = static fn (float $degrees): float => round(self::HEIGHT * ($high - $degrees) / ($high - $low), 1);
        $first = $year->day(Anchor::Midwinter);
        $points = $grows = $lines = [];
        for ($day = 0; $day <= self::WIDTH; $day += 5) {
            $mean = $normals->onDay($first->plus($day)->dayOfYear());
            $points[] = $day.' '.$y($mean);
            $grows[] = $day.' '.$y(max(self::GROWS, $mean));
        }
        for ($degrees = (int) $low; $degrees <= $high; $degrees += self::STEP) {
            $lines[$degrees] = $y($degrees);
        }

        return new self(
            'M'.implode('L', $points),
            sprintf('M0 %sL%sL%d %sZ', $y(self::GROWS), implode('L', $grows), self::WIDTH, $y(self::GROWS)),
            $lines, self::months($first), self::marks($year, $first),
            sprintf(
                'Its year, %s: %d degrees in the coldest month and %d in the warmest', $climate->from,
                (int) round($normals->coldest()), (int) round($normals->warmest()),
            ),
        );
    }

    /** @return list<array{x: float, label: string}> */
    private static function months(Day $first): array
    {
        $months = [];
        for ($day = 0; $day < self::WIDTH; $day++) {
            $on = $first->plus($day);
            if ($on->dayOfMonth() === 1) {
                $months[] = ['x' => (float) $day, 'label' => substr($on->inWords(), 2, 3)];
            }
        }

        return $months;
    }

    /** @return list<array{key: string, x: float, on: Day, says: string}> */
    private static function marks(SiteYear $year, Day $first): array
    {
        $marks = [];
        foreach (self::MARKS as $key => [$anchor, $says]) {
            if (self::tells($year->site, $anchor)) {
                $on = $year->day($anchor);
                $x = (float) max(0, min(self::WIDTH, $first->daysUntil($on)));
                $marks[] = ['key' => $key, 'x' => $x, 'on' => $on, 'says' => $says];
            }
        }

        return $marks;
    }
}
