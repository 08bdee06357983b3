<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Plant\LoggedWork;

/**
 * What comes after the work. With a name it becomes a task of its own, once the record says that the work was done:
 * `{name: "Water in", after_days: 3, unless_rain: 10, lasts: 4, minutes: 5, says: "Water it in if no rain has come"}`,
 * or, from the next such day of the kind's year, `{name: "Look at the bloom", at: bloom-start, lasts: 21, minutes: 5,
 * says: "..."}`.
 */
final readonly class FollowUp
{
    /**
     * @param  ?int  $afterDays  days after the cut; null where it comes with the season
     * @param  ?string  $name  null where it only is said
     * @param  ?Anchor  $at  the next such day after the cut
     * @param  int  $lasts  days in which it can be done
     * @param  int  $minutes  of one gardener
     * @param  bool  $ifDiseased  only where disease was found at the work, and then after whatever was done
     * @param  ?int  $unlessRain  mm of rain that make it needless, where they come before its first day
     */
    public function __construct(
        public string $key,
        public ?int $afterDays,
        public string $says,
        public ?string $name = null,
        public ?Anchor $at = null,
        public int $lasts = 0,
        public int $minutes = 0,
        public bool $ifDiseased = false,
        public ?int $unlessRain = null,
    ) {
    }

    /** Whether the work asks for it at all. What nobody knows yet, such as the rain to come, spares nothing. */
    public function isAskedBy(LoggedWork $work): bool
    {
        return $this->name !== null
            && (! $this->ifDiseased || $work->diseased)
            && ($this->unlessRain === null || $work->rainMm === null || $work->rainMm < $this->unlessRain);
    }
}
