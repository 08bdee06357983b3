<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Kept;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;

/**
 * The plant from above, in mm, x to the east and y to the north: its stems as spokes with lean and age, each a limb of
 * the living plant they were laid into; the middle that should be open, and where stems rub.
 */
final readonly class Bowl
{
    /** The thinnest twig, as a part of the reach: so that it can be seen. */
    private const THINNEST = 160;

    /** A stem the same: it is what is judged, and tapped. */
    private const THIN_STEM = 40;

    /** Branches may reach past the stems' tips by so much before the picture grows for them. */
    private const BEYOND = 1.2;

    /** Points a stem's middle line is drawn through, and along which two stems are held to each other. */
    private const STEPS = 8;

    private const CLOSE_STEPS = 24;

    /**
     * @param  list<Spoke>  $spokes
     * @param  list<Limb>  $branches  of the stems that stand, the lowest first
     * @param  list<RubMark>  $rubs
     */
    private function __construct(
        public array $spokes,
        public array $branches,
        public array $rubs,
        /** half the width of the picture, in mm */
        public float $reach,
        /** radius of the middle that is looked at, in mm */
        public float $middle,
        /** length of the measure drawn, in mm; null where there is nothing to be measured */
        public ?int $measure,
        public string $says,
    ) {
    }

    /** @return array<string, Spot> where the letters of the four ways stand, y down */
    public function ways(): array
    {
        return array_map(
            fn (int $degrees): Spot => Spot::onRim($degrees, 0.95 * $this->reach),
            ['N' => 0, 'E' => 90, 'S' => 180, 'W' => 270],
        );
    }

    /** @param  ?SurveyedPlant  $plant  with every stem of the survey; null where it has none */
    public static function of(Survey $survey, Judgement $judged, ?SurveyedPlant $plant): self
    {
        if ($plant === null) {
            return new self([], [], [], 1.3, 0.3, null, self::inWords($judged));
        }
        $next = [];
        foreach ($judged->kept as $kept) {
            $next[$kept->stem->ref] = $kept;
        }
        $spines = array_map(static fn (int $axis): array => self::spine($plant, $axis), $plant->axes);
        $stems = max([1.0, ...array_values(array_map(self::far(...), $spines))]);
        [$limbs, $branches] = self::limbs($survey, $judged, $plant, $stems);
        $reach = max([$stems, ...array_map(
            static fn (Limb $limb): float => self::far($limb->spine) / self::BEYOND, $branches,
        )]);

        return new self(
            array_map(static fn (Stem $stem): Spoke => self::spoke(
                $stem, $spines[$stem->ref], $limbs[$stem->ref] ?? [], $survey, $judged, $next[$stem->ref] ?? null,
            ), $survey->stems),
            $branches, self::rubs($judged, $plant), $reach * 1.3, $reach / 2 * 0.6, self::measure($reach),
            self::inWords($judged),
        );
    }

    /** @param  non-empty-list<Spot>  $spine */
    private static function far(array $spine): float
    {
        return max(array_map(static fn (Spot $at): float => hypot($at->x, $at->y), $spine));
    }

    /** @return non-empty-list<Spot> */
    private static function spine(SurveyedPlant $plant, int $axis): array
    {
        $place = $plant->living->places()[$axis];
        $last = $plant->living->axes[$axis]->nodes() - 1;

        return array_map(static function (int $step) use ($place, $last): Spot {
            [$x, $y] = View::Above->project($place->node($step === 0 ? -1 : $last * $step / self::STEPS));

            return new Spot($x, $y);
        }, range(0, self::STEPS));
    }

    /**
     * The standing stems, drawn from their axes.
     *
     * @param  float  $reach  of its stems, in mm
     * @return array{array<string, list<Limb>>, list<Limb>} of each stem by its ref, and their branches
     */
    private static function limbs(Survey $survey, Judgement $judged, SurveyedPlant $plant, float $reach): array
    {
        $standing = $plant->without($survey->cut);
        $cuts = $standing->cuts($judged);
        $left = $cuts === [] ? $standing->living : Cutting::of($standing->living, $cuts)->plant;
        $refs = array_flip($standing->axes);
        $stems = array_fill_keys(array_keys($standing->axes), []);
        $branches = [];
        foreach (Limbs::of(
            $standing->living, $left, View::Above, $reach / self::THINNEST, [],
            array_fill_keys($standing->axes, $reach / self::THIN_STEM),
        ) as $limb) {
            if (isset($refs[$limb->axis])) {
                $stems[$refs[$limb->axis]][] = $limb;
            } elseif ($limb->axis !== null) {
                $branches[] = $limb;
            }
        }

        return [$stems, $branches];
    }

    /** @return list<RubMark> each midway between the two, where they come nearest above where no stem moves */
    private static function rubs(Judgement $judged, SurveyedPlant $plant): array
    {
        $marks = [];
        foreach ($judged->rubs as $rub) {
            $best = null;
            foreach (self::moving($plant, $plant->axes[$rub->a]) as $a) {
                foreach (self::moving($plant, $plant->axes[$rub->b]) as $b) {
                    $apart = ($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2;
                    if ($best === null || $apart < $best[0]) {
                        $best = [$apart, new Spot(($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2)];
                    }
                }
            }
            $marks[] = new RubMark($best[1], "$rub->a and $rub->b: ".$rub->inWords());
        }

        return $marks;
    }

    /** @return non-empty-list<array{float, float, float}> points along what moves of a stem, in mm */
    private static function moving(SurveyedPlant $plant, int $axis): array
    {
        $place = $plant->living->places()[$axis];
        $last = $plant->living->axes[$axis]->nodes() - 1;

        return array_map(
            static fn (int $step): array => $place->node(
                $last * (Clearance::STILL + (1 - Clearance::STILL) * $step / self::CLOSE_STEPS),
            ),
            range(0, self::CLOSE_STEPS),
        );
    }

    /**
     * @param  non-empty-list<Spot>  $spine
     * @param  list<Limb>  $limbs
     */
    private static function spoke(
        Stem $stem,
        array $spine,
        array $limbs,
        Survey $survey,
        Judgement $judged,
        ?Kept $kept,
    ): Spoke {
        $cut = $judged->cut($stem->ref);
        [$kind, $fate] = match (true) {
            ! $survey->stands($stem) => ['gone', 'already out'],
            $cut !== null => ['cut', sprintf('cut %d, %s', $cut->order, lcfirst($cut->rule))],
            $kept?->goesNextYear === true => ['next', 'stays, goes next year'],
            default => ['keep', 'stays'],
        };
        $faults = array_map(static fn (StemFault $fault): string => ', '.$fault->inWords(), $stem->faults);

        return new Spoke(
            $stem->ref, $kind, $spine, $limbs, self::age($stem), $cut?->order,
            sprintf(
                '%s, %d mm thick, %s%s: %s',
                $stem->ref, $stem->baseMm, self::years($stem), implode('', $faults), $fate,
            ),
        );
    }

    /** @return 'young'|'last'|'old'|'unknown' */
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
