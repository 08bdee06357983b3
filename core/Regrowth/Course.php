<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

/** One way of treating a plant this season, and what comes of it. Lengths in mm, times in minutes and years. */
final readonly class Course
{
    public function __construct(
        public string $key,
        public string $name,
        /** as it stands after the cut */
        public int $heightAfterMm,
        /** as it stands at the end of the season */
        public int $heightAtEndMm,
        /** null where it does not flower */
        public ?int $floweringHeightMm,
        public string $flowersWhen,
        /** flowers of the coming bloom that are lost, in per cent */
        public int $flowersLostPercent,
        public int $yearsToRecover,
        public int $minutes,
        /** live growth taken, in per cent */
        public int $sharePercent,
        public string $risk,
    ) {
    }

    /** @return array<string, int|string|null> the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'name' => $this->name,
            'height_after_mm' => $this->heightAfterMm,
            'height_at_end_mm' => $this->heightAtEndMm,
            'flowering_height_mm' => $this->floweringHeightMm,
            'flowers_when' => $this->flowersWhen,
            'flowers_lost_percent' => $this->flowersLostPercent,
            'years_to_recover' => $this->yearsToRecover,
            'minutes' => $this->minutes,
            'share_percent' => $this->sharePercent,
            'risk' => $this->risk,
        ];
    }
}
