<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\PlantBook\Entry;

/** How answers on the bench are marked, and what a sign-off needs: figures of the plant book, common practice. */
final readonly class Marking
{
    /**
     * @param  int  $day  points a wrong day costs
     * @param  int  $budget  points it costs to take more than may go in a season
     * @param  int  $outOfOrder  points for each cut that comes too late
     * @param  int  $stub  points for each stub
     * @param  int  $most  points that order costs at the most, and so stubs
     * @param  float  $goodWood  good wood counts so many times: where a third is gone, 3 make that nothing was kept
     * @param  int  $near  per cent of the live wood past the budget that nobody minds
     * @param  float  $thorough  the power of the share that was found: above 1, since half of it is found by guessing
     * @param  int  $well  of 100, from which a case counts as done well
     * @param  int  $cases  to be done well before a sign-off
     * @param  int  $visits  of the method to be logged before a sign-off
     */
    private function __construct(
        public int $day,
        public int $budget,
        public int $outOfOrder,
        public int $stub,
        public int $most,
        public float $goodWood,
        public int $near,
        public float $thorough,
        public int $well,
        public int $cases,
        public int $visits,
    ) {
    }

    /** @throws \PruningHook\Core\Fault for one that is missing */
    public static function read(Entry $marks): self
    {
        return new self(
            $marks->whole('day', 0), $marks->whole('budget', 0), $marks->whole('out_of_order', 0),
            $marks->whole('stub', 0), $marks->whole('most', 0), (float) $marks->number('good_wood'),
            $marks->whole('near', 0), (float) $marks->number('thorough'), $marks->whole('well', 1),
            $marks->whole('sign_off_cases', 1), $marks->whole('sign_off_visits', 0),
        );
    }
}
