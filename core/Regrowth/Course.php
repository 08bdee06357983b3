<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\Rubs;

/** One way of treating a plant, grown on for three years by the model. Lengths in mm, times in minutes. */
final readonly class Course
{
    public function __construct(
        public string $key,
        public string $name,
        public Future $future,
        /** a season */
        public int $minutes,
        public string $risk,
    ) {
    }

    /** Its flowers at a moment against those of another course, in words; empty where there is none to tell of. */
    public function flowersAgainst(self $left, string $at): string
    {
        $stage = $this->future->stages[$at];
        $usual = $left->future->stages[$at]->bloom->flowers ?? 0.0;
        if ($stage->bloom === null || $usual <= 0.0) {
            return '';
        }

        // A model tells more from fewer, and not per cent by per cent.
        return match (true) {
            $stage->bloom->flowers === 0.0 => 'none in that season',
            $stage->bloom->flowers < 0.5 * $usual => 'less than half of what it bears left alone',
            $stage->bloom->flowers < 0.85 * $usual => 'fewer than left alone',
            $stage->bloom->flowers < 1.15 * $usual => 'about as many as left alone',
            $stage->bloom->flowers < 2 * $usual => 'more than left alone',
            default => 'more than twice what it bears left alone',
        };
    }

    /** Pairs of its stems that rub at a moment. */
    public function rubs(string $at): int
    {
        return count(Rubs::of($this->future->stages[$at]->plant));
    }

    /** @return array<string, mixed> the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        $moments = [];
        foreach ($this->future->stages as $at => $stage) {
            $moments[] = [
                'at' => $at,
                'height_mm' => ($stage->left ?? $stage->plant)->heightMm(),
                'stems' => count(($stage->left ?? $stage->plant)->stems()),
                'taken_percent' => $stage->removedPercent,
                'flowers' => $stage->bloom === null ? null : (int) round($stage->bloom->flowers),
                'flowers_mm' => $stage->bloom === null || $stage->bloom->flowers <= 0.0
                    ? null
                    : $stage->bloom->heightMm,
            ];
        }

        return [
            'key' => $this->key, 'name' => $this->name, 'minutes' => $this->minutes, 'risk' => $this->risk,
            'moments' => $moments,
        ];
    }
}
