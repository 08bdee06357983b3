<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * A neglected shrub renewed over three years: a third of the old stems, then half of the old that is left, then the
 * rest; the coming years' share is planned now. Which year it is, the record tells: the seasons just before in which
 * the same recipe was carried out. Never more than the season's cap; what that leaves goes a year later. After the last
 * year the plant is kept up by thirds.
 */
final readonly class Renovation implements AmountRule
{
    public const YEARS = 3;

    /** The recipe of a renovation in a record that only says that it was one. */
    public const RECIPE = 'renovate';

    private function __construct(private string $source)
    {
    }

    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($source);
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        $year = self::year($plant, $case->season, $case->recipe);
        if ($plant->stems === null || $year > self::YEARS) {
            return (new Thirds($this->source))->for($case);
        }
        $old = $plant->stems->old;
        $left = self::YEARS - $year + 1;
        $now = min(self::plan($old, $left)[0], $case->mayGo($plant->stems->all()));
        $later = self::plan($old - $now, max(1, $left - 1));
        $says = match (true) {
            $old === $now => 'and no old one is left',
            $left === 1 => sprintf(
                'the other %d next year: no more than %d %% goes in a season', $old - $now, $case->budget->capPercent,
            ),
            default => 'then '.
                implode(' and ', array_map(strval(...), $later)).
                ' in the coming '.
                (count($later) === 1 ? 'year' : 'years'),
        };

        return Amounts::of([
            Amount::exactly(Thirds::TAKE, 'stems', $now, Effect::OldStemsOut),
            ...($plant->stems->young > 0 ? [Amount::exactly(Thirds::KEEP, 'stems', $plant->stems->young)] : []),
        ], new Reason('Renewal over three years', sprintf('year %d of %d: %d of %d old stems come out now, '
            .'%s', $year, self::YEARS, $now, $old, $says), $this->source))
            ->with(new Working(
                Thirds::TAKE, 'old stems / years left, rounded, and no more than may go',
                sprintf(
                    '%d / %d, at most %d of %d',
                    $old, $left, $case->mayGo($plant->stems->all()), $plant->stems->all(),
                ),
                sprintf('%d now, %s', $now, $says), $this->source,
            ));
    }

    /**
     * How many old stems come out in each of the years left: a third, half of what is left, the rest.
     *
     * @return non-empty-list<int>
     */
    public static function plan(int $old, int $years): array
    {
        $plan = [(int) round($old / max(1, $years))];
        for ($left = $years - 1; $left >= 1; $left--) {
            $plan[] = (int) round(($old - array_sum($plan)) / $left);
        }

        return $plan;
    }

    /**
     * 1 in the first year, past the last once it is over. The seasons just before count, one after the other: what was
     * done longer ago was another renovation.
     *
     * @param  string  $recipe  that counts as a year of it
     */
    public static function year(Plant $plant, int $season, string $recipe): int
    {
        $done = [];
        foreach ($plant->history as $work) {
            if ($work->recipe === $recipe && $work->outcome !== Outcome::NotDone) {
                $done[$work->season] = true;
            }
        }
        $year = 1;
        while (isset($done[$season - $year])) {
            $year++;
        }

        return $year;
    }
}
