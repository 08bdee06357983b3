<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Anchor;

/**
 * What comes after the work. With a name it becomes a task of its own, once the record says that the work was done:
 * `{name: "Water in", after_days: 3, lasts: 4, minutes: 5, says: "Water it in if no rain has come"}`, or, from the next
 * such day of the kind's year, `{name: "Look at the bloom", at: bloom-start, lasts: 21, minutes: 5, says: "..."}`.
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
    ) {
    }
}
