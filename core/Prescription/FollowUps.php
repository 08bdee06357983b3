<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Effort\EffortRule;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\FollowUp;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Reason;

/**
 * What the record asks for later: each line of it that was done breeds what its recipe says comes after, as tasks with
 * windows of their own. Of two lines that ask for the same in one season the later one counts.
 */
final readonly class FollowUps
{
    /** Tasks of the plant book have other keys. */
    private const KEY = 'follow-';

    private const METHOD = 'After the cut';

    /** After everything that is cut on the plant. */
    private const RANK = 99;

    /** What came so long before is another story. */
    private const REMEMBERED_DAYS = 400;

    private function __construct(private PlantBook $book)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /**
     * @param  Plant  $plant  with its record
     * @return list<SeasonTask> of the season, by opening
     */
    public function in(Plant $plant, Kind $kind, SiteYear $year, Circumstances $circumstances): array
    {
        $tasks = [];
        foreach ($this->asked($plant, $kind, $year, $circumstances) as $key => [$follow, , $window]) {
            $tasks[] = new SeasonTask(
                $key, (string) $follow->name, LoggedWork::FOLLOW_UP, $year->season, $window, $follow->minutes, 1, [],
            );
        }
        usort($tasks, static fn (SeasonTask $a, SeasonTask $b): int => $a->window->opens->number <=>
            $b->window->opens->number);

        return $tasks;
    }

    /** @return list<Task> the same, in full */
    public function inFull(Plant $plant, Kind $kind, SiteYear $year, Circumstances $circumstances): array
    {
        $tasks = [];
        foreach ($this->asked($plant, $kind, $year, $circumstances) as $key => [$follow, $work, $window]) {
            [$cap, $source] = $this->book->caps->for($kind, null);
            $tasks[] = new Task(
                $key, (string) $follow->name, self::METHOD, LoggedWork::FOLLOW_UP, self::RANK, $year->season, [],
                $window, [], $follow->minutes, [], Budget::of($cap, $source, $plant->history, $year->season),
                static fn (): Told => new Told(["$follow->says."], [Reason::commonPractice('Follow-up', sprintf(
                    '%s was done on %s %d; this comes after it',
                    lcfirst($kind->tasks[$work->task]->name ?? (string) $follow->name), $work->on->inWords(),
                    $work->on->year(),
                ))], new Kit([], 1, [], [], 0, [], [], []), []),
            );
        }

        return $tasks;
    }

    /** @return array<string, array{FollowUp, LoggedWork, Window}> by key */
    private function asked(Plant $plant, Kind $kind, SiteYear $year, Circumstances $circumstances): array
    {
        $asked = $this->bred($plant, $kind, $year, $circumstances);
        foreach ($kind->tasks as $rule) {
            if ($rule->everyDays !== null) {
                $asked += $this->passes($rule, $rule->everyDays, $plant, $kind, $year, $circumstances);
            }
        }

        return $asked;
    }

    /**
     * The further passes of a task that is done again and again while its window is open: each is due so many days
     * after the one before it was logged.
     *
     * @return array<string, array{FollowUp, LoggedWork, Window}> by key
     */
    private function passes(
        TaskRule $rule,
        int $everyDays,
        Plant $plant,
        Kind $kind,
        SiteYear $year,
        Circumstances $circumstances,
    ): array {
        $done = array_values(array_filter($plant->history, static fn (LoggedWork $work): bool => $work->season === $year
            ->season && $work->outcome->isDone()
            && ($work->task === $rule->key || str_starts_with($work->task, self::KEY."$rule->key-"))));
        $window = $done === [] ? null : $rule->windowIn(KindYear::of($year, $kind->phenology), $circumstances);
        usort($done, static fn (LoggedWork $a, LoggedWork $b): int => $a->on->number <=> $b->on->number);
        if ($window === null) {
            return [];
        }
        $passes = [];
        foreach ($done as $before => $work) {
            $opens = $work->on->plus($everyDays);
            if (! $opens->isAfter($window->closes)) {
                $key = "$rule->key-".($before + 2);
                $passes[self::KEY.$key] = [
                    new FollowUp(
                        $key, $everyDays, "$rule->name once more, and so on as long as its days are open",
                        "$rule->name, once more", lasts: $opens->daysUntil($window->closes),
                        minutes: (new EffortRule($rule->effort, $this->book->keeping->hedgeTopMm))->alone(
                            $plant, $kind, $rule->key, 1.0,
                        ),
                    ),
                    $work,
                    Window::of(
                        $opens, $opens, Day::earliest($opens->plus($everyDays), $window->closes), $window->closes,
                    ),
                ];
            }
        }

        return $passes;
    }

    /** @return array<string, array{FollowUp, LoggedWork, Window}> by key */
    private function bred(Plant $plant, Kind $kind, SiteYear $year, Circumstances $circumstances): array
    {
        $bred = [];
        $kindYear = null;
        foreach ($plant->history as $work) {
            if (
                ! $work->outcome->isSomething() || $work->recipe === null || ! $this->book->recipes->has($work->recipe)
                || abs($work->season - $year->season) > 1
            ) {
                continue;
            }
            $kindYear ??= KindYear::of($year, $kind->phenology);
            $recipe = $this->book->recipes->get($work->recipe);
            foreach (Conditional::holding($recipe->followUps, $circumstances) as $follow) {
                $opens = $follow->isAskedBy($work) ? self::opens($follow, $work, $kindYear) : null;
                $key = self::KEY.$follow->key;
                if (
                    $opens !== null
                    && SiteYear::seasonOn($year->site, $opens) === $year->season
                    && (! isset($bred[$key]) || ! $work->on->isBefore($bred[$key][1]->on))
                ) {
                    $closes = $opens->plus($follow->lasts);
                    $bred[$key] = [$follow, $work, Window::of(
                        $opens, $opens, $opens->plus(intdiv($follow->lasts, 2)), $closes,
                    )];
                }
            }
        }

        return $bred;
    }

    /** The day from which it can be done; null where it does not fall into this year. */
    private static function opens(FollowUp $follow, LoggedWork $work, KindYear $year): ?Day
    {
        if ($follow->at === null) {
            return $follow->afterDays === null ? null : $work->on->plus($follow->afterDays);
        }
        $on = $year->has($follow->at) ? $year->day($follow->at) : null;

        return $on === null || $on->isBefore($work->on) || $work->on->daysUntil($on) > self::REMEMBERED_DAYS
            ? null
            : $on;
    }
}
