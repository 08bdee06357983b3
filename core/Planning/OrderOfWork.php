<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

/**
 * Lines up a visit's jobs: bed by bed, each plant once, within a plant in the order of work; and diseased plants last
 * of all, so that nothing is carried from them on the blades.
 */
final readonly class OrderOfWork
{
    /**
     * @param  list<Job>  $jobs
     * @return list<Job>
     */
    public static function of(array $jobs): array
    {
        usort($jobs, static fn (Job $a, Job $b): int => [$a->diseased, $a->bed, $a->plant, $a->task->rank]
            <=> [$b->diseased, $b->bed, $b->plant, $b->task->rank]);

        return $jobs;
    }
}
