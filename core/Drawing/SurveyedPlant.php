<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\FittedSurvey;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Stem;

/**
 * A survey laid into a plant of its kind, and which of its axes each surveyed stem is.
 *
 * @phpstan-import-type Seen from FittedSurvey
 */
final readonly class SurveyedPlant
{
    /** @param  array<string, int>  $axes  by the stem's ref */
    private function __construct(public LivingPlant $living, public array $axes)
    {
    }

    /**
     * @param  LivingPlant  $grown  of its kind, which lends the stems their branches
     * @param  list<Stem>  $stems
     *
     * @throws Fault where no stem was surveyed
     */
    public static function of(LivingPlant $grown, array $stems): self
    {
        $living = FittedSurvey::of($grown, array_map(self::seen(...), $stems));
        $axes = [];
        // They are laid in the order they were surveyed in.
        foreach ($living->fromTheBase() as $index => $id) {
            $axes[$stems[$index]->ref] = $id;
        }

        return new self($living, $axes);
    }

    /** @return Seen a stem as it is laid into a plant */
    public static function seen(Stem $stem): array
    {
        $base = $stem->base(1.0);

        return [
            'azimuth_deg' => $stem->azimuthDeg, 'lean_deg' => $stem->leanDeg, 'length_mm' => $stem->lengthMm,
            'age_years' => $stem->ageYears, 'from_azimuth_deg' => rad2deg(atan2($base->x, $base->y)),
            'base_mm' => $stem->baseMm,
        ];
    }

    /**
     * The plant without some of its stems.
     *
     * @param  list<string>  $refs
     */
    public function without(array $refs): self
    {
        $gone = array_intersect_key($this->axes, array_flip($refs));

        return new self(
            $this->living->having(array_filter(
                $this->living->axes,
                fn (Axis $axis): bool => ! in_array($this->living->stemOf($axis), $gone, true),
            )),
            array_diff_key($this->axes, $gone),
        );
    }

    /** @return list<Cut> what is judged to go, in its order */
    public function cuts(Judgement $judged): array
    {
        $cuts = [];
        foreach ($judged->cuts as $cut) {
            if (isset($this->axes[$cut->stem->ref])) {
                $cuts[] = Cut::thin($this->axes[$cut->stem->ref]);
            }
        }

        return $cuts;
    }
}
