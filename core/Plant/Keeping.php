<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** The figures a plant's state is kept by from day to day, as the plant book has them. */
final readonly class Keeping
{
    /**
     * @param  int  $holdsDays  damage, disease and thirst hold until the first midwinter at least so many days off
     * @param  int  $latePlantingDays  planted later than this after midsummer, a plant first grows in the next season
     * @param  int  $workedSeasons  so many seasons of work running bring a plant back
     * @param  int  $hedgeTopMm  as wide as a hedge is taken to be on top where nobody has measured it
     * @param  int  $doubtSeasons  so many seasons' growth above the record is more than a mistake of the eye
     * @param  int  $doubtShorterPercent  less than this share of its height by the record, and a cut is missing from it
     * @param  array<string, int>  $restoring  recipes that bring a plant back, and in how many seasons
     */
    public function __construct(
        public int $holdsDays,
        public int $latePlantingDays,
        public int $workedSeasons,
        public int $hedgeTopMm,
        public int $doubtSeasons,
        public int $doubtShorterPercent,
        public array $restoring = [],
    ) {
    }
}
