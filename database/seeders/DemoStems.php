<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Gardens\Stems\StemBoard;
use App\Gardens\Stems\SurveyTaps;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Support\Today;

/** Two surveys somebody has already made, so that there is something to judge. All invented. */
final readonly class DemoStems
{
    /** Way, lean, length and thickness in mm, age in years, faults. */
    private const SURVEYS = [
        'Rose bed by the steps' => [
            [5, 35, 950, 18, 4, []],
            [40, 30, 900, 13, 2, []],
            [95, 40, 850, 14, 2, []],
            [180, 32, 1000, 20, 5, []],
            [225, 34, 800, 12, 1, []],
            [280, 38, 880, 15, 3, []],
            [70, 12, 1100, 11, 3, ['inward']],
            [330, 25, 600, 16, 6, ['dead']],
            [150, 15, 700, 8, 1, ['sucker']],
        ],
        'Forsythia at the drive' => [
            [10, 12, 2300, 34, 9, []],
            [45, 25, 2200, 26, 6, []],
            [80, 30, 2000, 18, 3, []],
            [110, 20, 2300, 38, 11, []],
            [140, 35, 1700, 14, 2, []],
            [175, 28, 2100, 24, 5, []],
            [200, 10, 2400, 40, 12, ['damaged']],
            [230, 32, 1900, 16, 2, []],
            [265, 26, 2200, 28, 7, []],
            [300, 15, 2300, 30, 8, []],
            [320, 36, 1500, 9, 1, []],
            [345, 30, 1900, 15, 2, []],
            [60, 8, 2200, 20, 4, ['inward']],
        ],
    ];

    public function __construct(private StemBoard $board)
    {
    }

    public function survey(): void
    {
        foreach (self::SURVEYS as $label => $stems) {
            $plant = Plant::query()->with('garden')->where('label', $label)->first();
            if ($plant === null) {
                continue;
            }
            $today = Today::day();
            SurveyTaps::goOn($this->board->survey($plant, $today), [
                ...StemSurvey::EMPTY,
                'stems' => array_map(
                    static fn (int $index, array $stem): array => [
                        'ref' => chr(ord('A') + $index),
                        'azimuth_deg' => $stem[0],
                        'lean_deg' => $stem[1],
                        'length_mm' => $stem[2],
                        'base_mm' => $stem[3],
                        'age_years' => $stem[4],
                        'faults' => $stem[5],
                    ],
                    array_keys($stems),
                    $stems,
                ),
            ], null, $today);
        }
    }
}
