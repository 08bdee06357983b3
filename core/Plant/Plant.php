<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;

/**
 * One plant, or a group kept as one record (12 roses, 9 m of hedge), as it stands in its garden. Lengths in mm;
 * null where nobody has measured.
 */
final readonly class Plant
{
    /** Planted later than this after midsummer, a plant makes its first growth in the next season. Common practice. */
    private const LATE_PLANTING = 60;

    /** As wide as a hedge is taken to be on top where nobody has measured it, in mm. Common practice, no source. */
    private const HEDGE_TOP = 600;

    /**
     * @param  array<string, string>  $practice  the plant's own choice of schools, question to option
     * @param  list<string>  $hazards  keys of cautions that hold where it stands
     * @param  list<LoggedWork>  $history
     * @param  list<int>  $growthSeenMm  growth from the cut to the flowers, as this plant made it in past seasons
     */
    private function __construct(
        public string $ref,
        public string $kind,
        public ?Day $planted,
        public ?int $heightMm,
        public ?int $spreadMm,
        /** length of a hedge or row */
        public ?int $runMm,
        public int $count,
        public ?int $floweringHeightMm,
        public ?StemCount $stems,
        public ?string $form,
        public ?string $aim,
        public ?bool $grafted,
        public array $practice,
        public array $hazards,
        public array $history,
        /** weight of the one-year wood taken off, in grams */
        public ?int $pruningsG,
        /** dead buds, in per cent */
        public ?int $budMortalityPercent,
        public array $growthSeenMm,
        /** when the stems were counted and the height measured; null where nobody knows: then they are taken as they stand */
        public ?Day $stemsOn,
        public ?Day $heightOn,
        /** @var array<string, string> where carried numbers come from, under `stems` and `height` */
        public array $carriedFrom,
    ) {
    }

    /**
     * @param  string  $kind  the plant book's id
     * @param  array<string, string>  $practice
     * @param  list<string>  $hazards
     * @param  list<LoggedWork>  $history
     * @param  list<int>  $growthSeenMm
     * @param  array<string, string>  $carriedFrom
     *
     * @throws Fault when the count is below one or a length below zero
     */
    public static function of(
        string $ref,
        string $kind,
        ?Day $planted = null,
        ?int $heightMm = null,
        ?int $spreadMm = null,
        ?int $runMm = null,
        int $count = 1,
        ?int $floweringHeightMm = null,
        ?StemCount $stems = null,
        ?string $form = null,
        ?string $aim = null,
        ?bool $grafted = null,
        array $practice = [],
        array $hazards = [],
        array $history = [],
        ?int $pruningsG = null,
        ?int $budMortalityPercent = null,
        array $growthSeenMm = [],
        ?Day $stemsOn = null,
        ?Day $heightOn = null,
        array $carriedFrom = [],
    ): self {
        if ($count < 1) {
            throw new Fault('a record stands for at least one plant');
        }
        foreach ([$heightMm, $spreadMm, $runMm, $floweringHeightMm] as $length) {
            if ($length !== null && $length < 0) {
                throw new Fault('a length cannot be negative');
            }
        }

        return new self($ref, $kind, $planted, $heightMm, $spreadMm, $runMm, $count, $floweringHeightMm, $stems,
            $form, $aim, $grafted, $practice, $hazards, $history, $pruningsG, $budMortalityPercent, $growthSeenMm, $stemsOn, $heightOn, $carriedFrom);
    }

    /** The same plant as it is on a day, by what was measured, its record and its growth. */
    public function on(Day $day, Hemisphere $hemisphere, Growing $growing): self
    {
        if ($this->stemsOn === null && $this->heightOn === null) {
            return $this;
        }
        $life = Life::at($this, $day, $hemisphere, $growing);

        return new self($this->ref, $this->kind, $this->planted, $life->heightMm, $this->spreadMm, $this->runMm, $this->count, $this->floweringHeightMm, $life->stems,
            $this->form, $this->aim, $this->grafted, $this->practice, $this->hazards, $this->history, $this->pruningsG, $this->budMortalityPercent, $this->growthSeenMm, null, null, $life->from);
    }

    /** Both faces and the top of a hedge, in square metres; 0 where its run is not known. */
    public function face(int $heightMm): float
    {
        $top = $this->spreadMm ?? self::HEDGE_TOP;

        return ($this->runMm ?? 0) / 1000 * (2 * $heightMm + $top) / 1000;
    }

    /**
     * 1 in the season of its first growth, null where the planting date is not known.
     *
     * @throws Fault when the plant is not in the ground in this season
     */
    public function yearInGround(SiteYear $year): ?int
    {
        if ($this->planted === null) {
            return null;
        }
        $hemisphere = $year->site->hemisphere();
        $first = $this->planted->year();
        while ($this->planted->isAfter($hemisphere->midsummerOf($first)->plus(self::LATE_PLANTING))) {
            $first++;
        }
        while (! $this->planted->isAfter($hemisphere->midsummerOf($first - 1)->plus(self::LATE_PLANTING))) {
            $first--;
        }
        if ($this->planted->isAfter($year->end())) {
            throw new Fault(sprintf('planted on %s, after season %d is over', $this->planted, $year->season));
        }

        return max(1, $year->season - $first + 1);
    }

    /** The record's line for a task of a season, the latest where there are several. */
    public function logged(string $task, int $season): ?LoggedWork
    {
        $found = null;
        foreach ($this->history as $work) {
            if ($work->task === $task && $work->season === $season && ($found === null || $work->on->isAfter($found->on))) {
                $found = $work;
            }
        }

        return $found;
    }

    /** True where the record tells anything at all of a season, so that a missing line means missed work. */
    public function hasRecordOf(int $season): bool
    {
        foreach ($this->history as $work) {
            if ($work->season === $season) {
                return true;
            }
        }

        return false;
    }
}
