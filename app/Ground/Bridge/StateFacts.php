<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

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
 *     bearing?: ?string, rootstock?: ?string, growth?: ?string}
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
        'rootstock',
        'growth',
    ];

    /**
     * @param  Facts  $facts
     *
     * @throws Fault when a day or a number cannot be
     */
    public static function read(array $facts, ?Day $seen = null): State
    {
        $said = $facts + array_fill_keys(self::FIELDS, null);

        return new State(
            upkeep: Upkeep::tryFrom($said['condition'] ?? ''),
            diebackPercent: $said['dieback_percent'],
            variegated: (bool) $said['variegated'],
            transplanted: $said['transplanted'] === null ? null : Day::parse($said['transplanted']),
            disease: $said['disease'],
            stress: Stress::tryFrom($said['stress'] ?? ''),
            container: (bool) $said['container'],
            cultivar: $said['cultivar'],
            targetHeightMm: $said['target_height_mm'],
            widthMm: $said['width_mm'],
            trunkMm: $said['trunk_mm'],
            protected: (bool) $said['protected'],
            sides: $said['sides'],
            boundary: (bool) $said['boundary'],
            exposed: (bool) $said['exposed'],
            bearing: $said['bearing'],
            seen: $seen,
            rootstock: $said['rootstock'],
            growth: $said['growth'],
        );
    }
}
