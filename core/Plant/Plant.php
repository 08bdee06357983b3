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
    /**
     * @param  string  $kind  the plant book's id
     * @param  ?int  $runMm  length of a hedge or row
     * @param  array<string, string>  $practice  the plant's own choice of schools, question to option
     * @param  list<string>  $hazards  keys of cautions that hold where it stands
     * @param  list<LoggedWork>  $history
     * @param  ?int  $pruningsG  weight of the one-year wood taken off, in grams
     * @param  ?int  $budMortalityPercent  dead buds
     * @param  list<int>  $growthSeenMm  growth from the cut to the flowers, as this plant made it in past seasons
     * @param  ?Day  $stemsOn when the stems were counted, and `$heightOn` the height measured; null where nobody knows:
     *     then
     *                         they are taken as they stand
     * @param  array<string, string>  $carriedFrom  where carried numbers come from, under `stems` and `height`
     * @param  State  $state  what was seen of it beside its measures
     *
     * @throws Fault when the count is below one or a length below zero
     */
    public function __construct(
        public string $ref,
        public string $kind,
        public ?Day $planted = null,
        public ?int $heightMm = null,
        public ?int $spreadMm = null,
        public ?int $runMm = null,
        public int $count = 1,
        public ?int $floweringHeightMm = null,
        public ?StemCount $stems = null,
        public ?string $form = null,
        public ?string $aim = null,
        public ?bool $grafted = null,
        public array $practice = [],
        public array $hazards = [],
        public array $history = [],
        public ?int $pruningsG = null,
        public ?int $budMortalityPercent = null,
        public array $growthSeenMm = [],
        public ?Day $stemsOn = null,
        public ?Day $heightOn = null,
        public array $carriedFrom = [],
        public State $state = new State,
    ) {
        if ($count < 1) {
            throw new Fault('a record stands for at least one plant');
        }
        foreach ([$heightMm, $spreadMm, $runMm, $floweringHeightMm] as $length) {
            if ($length !== null && $length < 0) {
                throw new Fault('a length cannot be negative');
            }
        }
    }

    /** The same plant as it is on a day, by what was measured and seen, its record and its growth. */
    public function on(Day $day, Hemisphere $hemisphere, Growing $growing, Keeping $keeping): self
    {
        $life =
            $this->stemsOn === null && $this->heightOn === null
                ? null
                : Life::at($this, $day, $hemisphere, $growing->shownBy($this->growthSeenMm));
        $state = $this->state->on($day, $hemisphere, $keeping);
        if ($life === null && $state === $this->state) {
            return $this;
        }

        return new self(
            $this->ref,
            $this->kind,
            $this->planted,
            $life === null ? $this->heightMm : $life->heightMm,
            $this->spreadMm,
            $this->runMm,
            $this->count,
            $this->floweringHeightMm,
            $life === null ? $this->stems : $life->stems,
            $this->form,
            $this->aim,
            $this->grafted,
            $this->practice,
            $this->hazards,
            $this->history,
            $this->pruningsG,
            $this->budMortalityPercent,
            $this->growthSeenMm,
            null,
            null,
            $life->from ?? [],
            $state,
        );
    }

    /**
     * What is wanted of it in a season: one that is neglected or lopped is brought back before anything else, and
     * nobody renews what has just been renewed.
     */
    public function aims(int $season, Keeping $keeping): ?string
    {
        if ($this->state->upkeep === null && $this->aim !== 'renewal') {
            return $this->aim;
        }
        $aim = $this->upkeep($season, $keeping)?->aim() ?? $this->aim;

        return $aim === 'renewal' && $this->isBroughtBack($season, $keeping->restoring) ? null : $aim;
    }

    /**
     * What is left of neglect or lopping in a season: nothing once it has been brought back, or worked on for three
     * seasons running since somebody saw it.
     */
    public function upkeep(int $season, Keeping $keeping): ?Upkeep
    {
        if ($this->state->upkeep === null) {
            return null;
        }
        $workedOn = $this->state->seen !== null && count($this->running($season)) >= $keeping->workedSeasons;

        return $workedOn || $this->isBroughtBack($season, $keeping->restoring) ? null : $this->state->upkeep;
    }

    /** @param  array<string, int>  $restoring */
    private function isBroughtBack(int $season, array $restoring): bool
    {
        $seasons = [];
        foreach ($this->running($season) as $recipes) {
            foreach ($recipes as $recipe => $done) {
                $seasons[$recipe] = ($seasons[$recipe] ?? 0) + 1;
            }
        }
        foreach (array_intersect_key($restoring, $seasons) as $recipe => $takes) {
            if ($seasons[$recipe] >= $takes) {
                return true;
            }
        }

        return false;
    }

    /**
     * The seasons just before one, as far back as it was worked on in each since its neglect was seen, with the recipes
     * of each: what was done before a gap was another story.
     *
     * @return array<int, array<string, true>> by season
     */
    private function running(int $season): array
    {
        $worked = [];
        foreach ($this->history as $work) {
            if (
                $work->outcome->isSomething()
                && ! $work->isFollowUp()
                && ($this->state->seen === null || ! $work->on->isBefore($this->state->seen))
            ) {
                $worked[$work->season][$work->recipe ?? ''] = true;
            }
        }
        $running = [];
        for ($back = $season - 1; isset($worked[$back]); $back--) {
            $running[$back] = $worked[$back];
        }

        return $running;
    }

    /** In the ground where it stands: one that was moved begins anew. */
    public function rootedFrom(): ?Day
    {
        return $this->state->transplanted ?? $this->planted;
    }

    /** The faces that can be reached and the top of a hedge, in square metres; 0 where its run is not known. */
    public function face(int $heightMm, int $hedgeTopMm): float
    {
        $top = $this->state->widthMm ?? $this->spreadMm ?? $hedgeTopMm;

        return ($this->runMm ?? 0) / 1000 * (($this->state->sides ?? 2) * $heightMm + $top) / 1000;
    }

    /**
     * 1 in the season of its first growth, null where the planting date is not known.
     *
     * @throws Fault when the plant is not in the ground in this season
     */
    public function yearInGround(SiteYear $year, Keeping $keeping): ?int
    {
        $rooted = $this->rootedFrom();
        if ($rooted === null) {
            return null;
        }
        $hemisphere = $year->site->hemisphere();
        $first = $rooted->year();
        while ($rooted->isAfter($hemisphere->midsummerOf($first)->plus($keeping->latePlantingDays))) {
            $first++;
        }
        while (! $rooted->isAfter($hemisphere->midsummerOf($first - 1)->plus($keeping->latePlantingDays))) {
            $first--;
        }
        if (($this->planted ?? $rooted)->isAfter($year->end())) {
            throw new Fault(
                sprintf('planted on %s, after season %d is over', $this->planted ?? $rooted, $year->season),
            );
        }
        // Before it was moved it was as old as it was.
        if ($year->season < $first && $this->planted !== null && $this->state->transplanted !== null) {
            return (new self($this->ref, $this->kind, $this->planted))->yearInGround($year, $keeping);
        }

        return max(1, $year->season - $first + 1);
    }

    /** The record's line for a task of a season, the latest where there are several. */
    public function logged(string $task, int $season): ?LoggedWork
    {
        $found = null;
        foreach ($this->history as $work) {
            if (
                $work->task === $task
                && $work->season === $season
                && ($found === null || $work->on->isAfter($found->on))
            ) {
                $found = $work;
            }
        }

        return $found;
    }

    /** True where the record tells anything at all of a season, so that a missing line means missed work. */
    public function hasRecordOf(int $season): bool
    {
        foreach ($this->history as $work) {
            if ($work->season === $season && ! $work->isFollowUp()) {
                return true;
            }
        }

        return false;
    }

    /** True where disease was found on it the last time anybody worked on it. */
    public function wasDiseased(): bool
    {
        $last = null;
        foreach ($this->history as $work) {
            $last = $last === null || ! $work->on->isBefore($last->on) ? $work : $last;
        }

        return $last->diseased ?? false;
    }
}
