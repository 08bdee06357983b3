<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** What comes after the work: `{after_days: 3, says: "Water it in if no rain has come"}`. */
final readonly class FollowUp
{
    /** @param  ?int  $afterDays  days after the cut; null where it comes with the season */
    public function __construct(public ?int $afterDays, public string $says)
    {
    }
}
