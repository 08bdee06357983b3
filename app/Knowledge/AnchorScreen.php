<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;

/** The anchors windows hang on, with the days of this season at the firm's first garden. */
final readonly class AnchorScreen
{
    public function __construct(private CorePlants $bridge)
    {
    }

    public function show(Day $today): AnchorPage
    {
        $garden = Garden::first();
        $year =
            $garden === null
                ? null
                : $this->bridge->years($garden)->season(SiteYear::seasonOn($this->bridge->site($garden), $today));

        return new AnchorPage(
            garden: $garden,
            season: $year?->season,
            anchors: array_map(
                static fn (Anchor $anchor): array => ['anchor' => $anchor, 'day' => self::day($year, $anchor)],
                Anchor::cases(),
            ),
        );
    }

    /** Null for the anchors that each kind has of its own. */
    private static function day(?SiteYear $year, Anchor $anchor): ?Day
    {
        try {
            return $year?->day($anchor);
        } catch (Fault) {
            return null;
        }
    }
}
