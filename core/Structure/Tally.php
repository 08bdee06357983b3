<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** How a survey stands between two cuts: counts and the share gone, taken once for all rules. */
final readonly class Tally
{
    private function __construct(
        public int $live,
        public int $sound,
        public int $soundAtFirst,
        public int $oldAtFirst,
        /** of the sound wood at first, in per cent */
        public float $gone,
    ) {
    }

    public static function of(Survey $survey, StemAim $aim, float $gone): self
    {
        $live = 0;
        $sound = 0;
        $soundAtFirst = 0;
        $oldAtFirst = 0;
        foreach ($survey->stems as $stem) {
            $stands = $survey->stands($stem);
            // Most stems have no fault at all: they are asked no more.
            $isSound = $stem->faults === [] || ! $aim->isCleaning($stem);
            $live += $stands && ($isSound || ! $stem->has(StemFault::Dead)) ? 1 : 0;
            $sound += $stands && $isSound ? 1 : 0;
            $soundAtFirst += $isSound ? 1 : 0;
            $oldAtFirst += $isSound && ! $aim->isYoung($stem) ? 1 : 0;
        }

        return new self($live, $sound, $soundAtFirst, $oldAtFirst, $gone);
    }

    /**
     * The same once one more stem that stood is out.
     *
     * @param  float  $share  of the sound wood at first, in per cent
     */
    public function without(Stem $stem, StemAim $aim, float $share): self
    {
        return new self(
            $this->live - ($stem->has(StemFault::Dead) ? 0 : 1), $this->sound - ($aim->isCleaning($stem) ? 0 : 1),
            $this->soundAtFirst, $this->oldAtFirst, $this->gone + $share,
        );
    }

    /** Sound stems out so far this season. */
    public function out(): int
    {
        return $this->soundAtFirst - $this->sound;
    }
}
