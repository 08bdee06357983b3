<?php

declare(strict_types=1);

namespace PruningHook\Core\Safety;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;

/**
 * The cautions that stand at a task: what the kind, the height of the work, the place and the time of year call for.
 */
final readonly class Cautions
{
    /** Habits in which no bird nests. */
    private const NO_NESTS = [Habit::Grass, Habit::Perennial];

    /** @param  array<string, string>  $texts by key */
    private function __construct(
        private array $texts,
        private Figures $figures,
    ) {
    }

    /** @param  array<string, string>  $texts by key */
    public static function from(array $texts, Figures $figures): self
    {
        return new self($texts, $figures);
    }

    /**
     * @param  bool  $needsLadder  where what is out of reach is cut by the crew
     * @return list<string> sentences, the gravest first
     *
     * @throws Fault when a hazard has no words
     */
    public function for(
        Kind $kind,
        Plant $plant,
        TaskRule $task,
        Window $window,
        SiteYear $year,
        bool $needsLadder,
    ): array {
        $keys = $plant->hazards;
        if (! in_array($kind->habit, self::NO_NESTS, true) && $this->nesting($window, $year)) {
            $keys[] = 'nests';
        }
        if ($needsLadder && ($plant->heightMm ?? $kind->typicalHeightMm) > $this->figures->number(Figure::Reach)) {
            $keys[] = 'ladder';
        }
        if ($plant->state->boundary) {
            $keys[] = 'boundary';
        }
        if ($kind->has('thorny')) {
            $keys[] = 'thorns';
        }

        $said = [];
        foreach (array_unique([...$keys, ...$kind->cautions, ...$task->cautions]) as $key) {
            $said[] = $this->texts[$key] ?? throw new Fault(sprintf('no caution is called "%s"', $key));
        }

        return $said;
    }

    private function nesting(Window $window, SiteYear $year): bool
    {
        $midwinter = $year->day(Anchor::Midwinter);

        return ! $window->closes->isBefore($midwinter->plus($this->figures->number(Figure::NestingFrom)))
            && ! $window->opens->isAfter($midwinter->plus($this->figures->number(Figure::NestingTo)));
    }
}
