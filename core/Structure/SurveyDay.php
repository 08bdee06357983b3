<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\PlantBook\Kind;

/**
 * What the day of a survey makes of it. "Last year's" cane is one that has yet to bear while the plant rests, bears
 * from bud break on, and has fruited once the crop is picked. RHS, Raspberries and Blackberries: pruning (from memory).
 */
final readonly class SurveyDay
{
    /** @param  list<string>  $told  what the day alone says */
    private function __construct(public Survey $survey, public StemAim $aim, public array $told)
    {
    }

    public static function of(Survey $survey, StemAim $aim, Kind $kind, SiteYear $year, Day $day): self
    {
        $kindYear = KindYear::of($year, $kind->phenology);
        $told = self::closed($kind, $year, $kindYear, $day);
        if (
            $aim->plan !== StemPlan::Canes
            || ! $kindYear->has(Anchor::BudBreak)
            || ! $kindYear->has(Anchor::FruitEnd)
        ) {
            return new self($survey, $aim, $told);
        }
        $picked = $kindYear->day(Anchor::FruitEnd);
        if (! $day->isBefore($kindYear->day(Anchor::BudBreak)) && $day->isBefore($picked)) {
            return new self($survey, $aim->tidying(), [
                ...$told,
                sprintf(
                    'Last year\'s canes bear until %s: only what is dead, ill or broken comes out now, and those '
                        .'that have fruited go then.',
                    $picked->inWords(),
                ),
            ]);
        }
        $rests = ! $day->isBefore($year->day(Anchor::Midwinter)) && $day->isBefore($picked);

        return $rests
            ? new self(
                $survey->aged(-1),
                $aim,
                [...$told, 'Surveyed while it rests: last year\'s canes have yet to bear, and stay.'],
            )
            : new self($survey, $aim, $told);
    }

    /** @return list<string> */
    private static function closed(Kind $kind, SiteYear $year, KindYear $kindYear, Day $day): array
    {
        $told = [];
        foreach ($kind->closures as $rule) {
            $closure = $rule->holdsIn($year->site->region) ? $rule->in($kindYear) : null;
            if ($closure?->contains($day) === true) {
                $told[] = sprintf(
                    '%s until %s: %s. Judge it now, cut it then.',
                    $closure->name,
                    $closure->to->inWords(),
                    rtrim(lcfirst($closure->because), '.'),
                );
            }
        }

        return $told;
    }
}
