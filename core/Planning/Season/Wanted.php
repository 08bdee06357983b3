<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** A place that is looked for: lots of one garden that stay together, and the days and crews that could have them. */
final readonly class Wanted
{
    /**
     * @param  non-empty-list<int>  $lots
     * @param  int  $minutes  of one person
     * @param  array<int, int>  $inGarden  minutes of a visit to itself, by the crews that can do all
     * @param  int  $people  who must be there at once
     * @param  array<int, float>  $outside  what each day costs that is outside their best windows, or that nobody
     *     asked for
     * @param  ?int  $not  a crew day they shall not go to
     * @param  float  $noise  prices are blurred by up to so many minutes, so that the same try ends otherwise
     */
    private function __construct(
        public array $lots,
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

    /** @param  non-empty-list<int>  $lots  of one garden */
    public static function of(Ground $ground, array $lots, ?int $not = null, float $noise = 0.0): self
    {
        $first = $ground->lots[$lots[0]];
        [$opens, $closes, $minutes, $crews] = [$first->opens, $first->closes, $first->minutes, $first->crews];
        foreach (array_slice($lots, 1) as $index) {
            $lot = $ground->lots[$index];
            $opens = max($opens, $lot->opens);
            $closes = min($closes, $lot->closes);
            $minutes += $lot->minutes;
            if ($lot->crews !== $crews) {
                $crews = array_values(array_intersect($crews, $lot->crews));
            }
        }
        $inGarden = [];
        foreach ($crews as $crew) {
            $inGarden[$crew] = Price::visit($minutes, $ground->people[$crew], $ground->setUp[$first->garden]);
        }

        return new self(
            $lots, $first->garden, $opens, $closes, $minutes, $inGarden,
            max(array_map(static fn (int $lot): int => $ground->lots[$lot]->people, $lots)),
            $closes < $opens ? [] : self::outside($ground, $lots, $opens, $closes), $not, $noise,
        );
    }

    /**
     * @param  non-empty-list<int>  $lots
     * @return array<int, float>
     */
    private static function outside(Ground $ground, array $lots, int $opens, int $closes): array
    {
        $outside = array_fill($opens, $closes - $opens + 1, 0.0);
        foreach ($lots as $index) {
            $lot = $ground->lots[$index];
            $aDay = Price::OUTSIDE_BEST * $lot->weight;
            for ($day = $opens, $to = min($closes, $lot->bestFrom - 1); $day <= $to; $day++) {
                $outside[$day] += $aDay * ($lot->bestFrom - $day);
            }
            for ($day = max($opens, $lot->bestTo + 1); $day <= $closes; $day++) {
                $outside[$day] += $aDay * ($day - $lot->bestTo);
            }
        }
        $garden = $ground->lots[$lots[0]]->garden;
        $unasked = Price::UNASKED
            * array_sum(array_map(static fn (int $lot): float => $ground->lots[$lot]->weight, $lots));
        foreach (array_intersect_key($ground->unasked[$garden], $outside) as $day => $_) {
            $outside[$day] += $unasked;
        }

        return $outside;
    }
}
