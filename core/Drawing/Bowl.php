<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Kept;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/** The plant from above, in mm: stems as spokes with lean and age, the middle that should be open, where stems rub. */
final readonly class Bowl
{
    /**
     * @param  list<Spoke>  $spokes
     * @param  list<RubMark>  $rubs
     */
    private function __construct(
        public array $spokes,
        public array $rubs,
        /** half the width of the picture, in mm */
        public float $reach,
        /** radius of the middle that is looked at, in mm */
        public float $middle,
        /** length of the measure drawn, in mm */
        public int $measure,
        public string $says,
    ) {
    }

    public static function of(Survey $survey, Judgement $judged): self
    {
        $crown = Clearance::crown($survey->stems);
        $next = [];
        foreach ($judged->kept as $kept) {
            $next[$kept->stem->ref] = $kept;
        }
        $spokes = array_map(
            static fn (Stem $stem): Spoke => self::spoke($stem, $crown, $survey, $judged, $next[$stem->ref] ?? null),
            $survey->stems,
        );
        $out = [1.0];
        foreach ($spokes as $spoke) {
            $out[] = hypot($spoke->line->x2, $spoke->line->y2);
        }
        $reach = max($out);
        $stems = array_combine(array_map(static fn (Stem $stem): string => $stem->ref, $survey->stems), $survey->stems);
        $rubs = [];
        foreach ($judged->rubs as $rub) {
            // Marked on the first stem, at the height where the two come nearest.
            $stem = $stems[$rub->a];
            $tip = $stem->tip($crown);
            $at = $stem->base($crown)->towards($tip, $tip->z > 0 ? max(0.0, min(1.0, $rub->heightMm / $tip->z)) : 1.0);
            $rubs[] = new RubMark(new Spot($at->x, -$at->y), "$rub->a and $rub->b: ".$rub->inWords());
        }

        return new self($spokes, $rubs, $reach * 1.3, $reach / 2 * 0.6, self::measure($reach), self::inWords($judged));
    }

    private static function spoke(Stem $stem, float $crown, Survey $survey, Judgement $judged, ?Kept $kept): Spoke
    {
        [$base, $tip] = [$stem->base($crown), $stem->tip($crown)];
        $cut = $judged->cut($stem->ref);
        [$kind, $fate] = match (true) {
            ! $survey->stands($stem) => ['gone', 'already out'],
            $cut !== null => ['cut', sprintf('cut %d, %s', $cut->order, lcfirst($cut->rule))],
            $kept?->goesNextYear === true => ['next', 'stays, goes next year'],
            default => ['keep', 'stays'],
        };
        $faults = array_map(static fn (StemFault $fault): string => ', '.$fault->inWords(), $stem->faults);

        return new Spoke(
            $stem->ref, $kind, new Line($base->x, -$base->y, $tip->x, -$tip->y), (float) $stem->baseMm,
            self::age($stem), $cut?->order,
            sprintf(
                '%s, %d mm thick, %s%s: %s',
                $stem->ref, $stem->baseMm, self::years($stem), implode('', $faults), $fate,
            ),
        );
    }

    private static function age(Stem $stem): string
    {
        return match (true) {
            $stem->ageYears === null => 'unknown',
            $stem->ageYears <= 1 => 'young',
            $stem->ageYears === 2 => 'last',
            default => 'old',
        };
    }

    private static function years(Stem $stem): string
    {
        return match ($stem->ageYears) {
            null => 'age unknown',
            1 => '1 year',
            default => "$stem->ageYears years",
        };
    }

    /** A round length of about a third of the reach. */
    private static function measure(float $reach): int
    {
        foreach ([2000, 1000, 500, 250, 100, 50] as $length) {
            if ($length <= $reach / 2) {
                return $length;
            }
        }

        return 25;
    }

    private static function inWords(Judgement $judged): string
    {
        return sprintf(
            '%d %s, %d %s; the middle is %d %% open and will be %d %%', count($judged->kept),
            count($judged->kept) === 1 ? 'stem stays' : 'stems stay', count($judged->cuts),
            count($judged->cuts) === 1 ? 'goes' : 'go', $judged->opennessBefore, $judged->opennessAfter,
        );
    }
}
