<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** A place that is looked for: task groups of one garden that stay together, and which days and crews could do them. */
final readonly class Wanted
{
    /**
     * @param  non-empty-list<int>  $groups
     * @param  int  $minutes  of one person
     * @param  array<int, int>  $inGarden  minutes of a visit to itself, by the crews that can do all
     * @param  int  $people  who must be there at once
     * @param  array<int, float>  $outside  what each day costs that is outside their best windows, or that nobody
     *     asked for
     * @param  ?int  $not  a crew day they shall not go to
     * @param  float  $noise  prices are blurred by up to so many minutes, so that the same try ends otherwise
     */
    private function __construct(
        public array $groups,
        public int $garden,
        public int $opens,
        public int $closes,
        public int $minutes,
        public array $inGarden,
        public int $people,
        public array $outside,
        public ?int $not,
        public float $noise,
    ) {
    }

    /** @param  non-empty-list<int>  $groups  of one garden */
    public static function of(PlanningProblem $problem, array $groups, ?int $not = null, float $noise = 0.0): self
    {
        $first = $problem->groups[$groups[0]];
        [$opens, $closes, $minutes, $crews] = [$first->opens, $first->closes, $first->minutes, $first->crews];
        foreach (array_slice($groups, 1) as $index) {
            $group = $problem->groups[$index];
            $opens = max($opens, $group->opens);
            $closes = min($closes, $group->closes);
            $minutes += $group->minutes;
            if ($group->crews !== $crews) {
                $crews = array_values(array_intersect($crews, $group->crews));
            }
        }
        $inGarden = [];
        foreach ($crews as $crew) {
            $inGarden[$crew] = Price::visit($minutes, $problem->people[$crew], $problem->setUp[$first->garden]);
        }

        return new self(
            $groups, $first->garden, $opens, $closes, $minutes, $inGarden,
            max(array_map(static fn (int $group): int => $problem->groups[$group]->people, $groups)),
            $closes < $opens ? [] : self::outside($problem, $groups, $opens, $closes), $not, $noise,
        );
    }

    /**
     * @param  non-empty-list<int>  $groups
     * @return array<int, float>
     */
    private static function outside(PlanningProblem $problem, array $groups, int $opens, int $closes): array
    {
        $outside = array_fill($opens, $closes - $opens + 1, 0.0);
        foreach ($groups as $index) {
            $group = $problem->groups[$index];
            $aDay = Price::OUTSIDE_BEST * $group->weight;
            for ($day = $opens, $to = min($closes, $group->bestFrom - 1); $day <= $to; $day++) {
                $outside[$day] += $aDay * ($group->bestFrom - $day);
            }
            for ($day = max($opens, $group->bestTo + 1); $day <= $closes; $day++) {
                $outside[$day] += $aDay * ($day - $group->bestTo);
            }
        }
        $garden = $problem->groups[$groups[0]]->garden;
        $unasked = Price::UNASKED
            * array_sum(array_map(static fn (int $group): float => $problem->groups[$group]->weight, $groups));
        foreach (array_intersect_key($problem->unasked[$garden], $outside) as $day => $_) {
            $outside[$day] += $unasked;
        }

        return $outside;
    }
}
