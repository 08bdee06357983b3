<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Reason;

/**
 * A neglected shrub renewed over three years: a third of the old stems, then half of the old that is left, then the
 * rest; the coming years' share is planned now. Which year it is, the record tells: each season in which the task was
 * done counts.
 */
final readonly class Renovation implements AmountRule
{
    public const YEARS = 3;

    private function __construct(private string $source)
    {
    }

    public static function of(string $source): self
    {
        return new self($source);
    }

    public function for(Plant $plant, Kind $kind): Amounts
    {
        if ($plant->stems === null) {
            return Thirds::of($this->source)->for($plant, $kind);
        }
        $year = self::year($plant);
        $plan = self::plan($plant->stems->old, self::YEARS - $year + 1);
        $now = $plan[0];
        $later = array_slice($plan, 1);
        $says = $later === [] ? 'and no old one is left' : 'then '.implode(' and ', array_map(strval(...), $later)).' in the coming '.(count($later) === 1 ? 'year' : 'years');

        return Amounts::of([
            Amount::exactly(Thirds::TAKE, 'stems', $now),
            ...($plant->stems->young > 0 ? [Amount::exactly(Thirds::KEEP, 'stems', $plant->stems->young)] : []),
        ], Reason::of('Renewal over three years', sprintf('year %d of %d: %d of %d old stems come out now, %s', $year, self::YEARS, $now, $plant->stems->old, $says), $this->source))
            ->with(Working::of(Thirds::TAKE, 'old stems / years left, rounded', sprintf('%d / %d', $plant->stems->old, self::YEARS - $year + 1), sprintf('%d now, %s', $now, $says), $this->source));
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

    /** 1 in the first year, never past the last. */
    public static function year(Plant $plant): int
    {
        $seasons = [];
        foreach ($plant->history as $work) {
            if (self::counts($work)) {
                $seasons[$work->season] = true;
            }
        }

        return min(self::YEARS, count($seasons) + 1);
    }

    private static function counts(LoggedWork $work): bool
    {
        return $work->renovation && $work->outcome !== Outcome::NotDone;
    }
}
