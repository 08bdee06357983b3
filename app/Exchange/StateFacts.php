<?php

declare(strict_types=1);

namespace App\Exchange;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;

/**
 * What was seen of a plant beside its measures, as `prescribe` takes it and as a plant's row keeps it: one set of
 * names.
 *
 * @phpstan-type Facts array{cultivar?: ?string, condition?: ?string, dieback_percent?: ?int, disease?: ?string,
 *     stress?: ?string, variegated?: ?bool, transplanted?: ?string, container?: ?bool, target_height_mm?: ?int,
 *     width_mm?: ?int, sides?: ?int, trunk_mm?: ?int, protected?: ?bool, boundary?: ?bool, exposed?: ?bool,
 *     bearing?: ?string}
 */
final readonly class StateFacts
{
    /** What is dated by the day it was seen: it passes, or is worked away. */
    public const PASSING = ['condition', 'dieback_percent', 'disease', 'stress'];

    /** @var list<string> */
    public const FIELDS = [
        'cultivar',
        ...self::PASSING,
        'variegated',
        'transplanted',
        'container',
        'target_height_mm',
        'width_mm',
        'sides',
        'trunk_mm',
        'protected',
        'boundary',
        'exposed',
        'bearing',
    ];

    /**
     * @param  Facts  $facts
     *
     * @throws Fault when a day or a number cannot be
     */
    public static function read(array $facts, ?Day $seen = null): State
    {
        return new State(
            upkeep: isset($facts['condition']) ? Upkeep::from($facts['condition']) : null,
            diebackPercent: $facts['dieback_percent'] ?? null,
            variegated: $facts['variegated'] ?? false,
            transplanted: isset($facts['transplanted']) ? Day::parse($facts['transplanted']) : null,
            disease: $facts['disease'] ?? null,
            stress: isset($facts['stress']) ? Stress::from($facts['stress']) : null,
            container: $facts['container'] ?? false,
            cultivar: $facts['cultivar'] ?? null,
            targetHeightMm: $facts['target_height_mm'] ?? null,
            widthMm: $facts['width_mm'] ?? null,
            trunkMm: $facts['trunk_mm'] ?? null,
            protected: $facts['protected'] ?? false,
            sides: $facts['sides'] ?? null,
            boundary: $facts['boundary'] ?? false,
            exposed: $facts['exposed'] ?? false,
            bearing: $facts['bearing'] ?? null,
            seen: $seen,
        );
    }
}
