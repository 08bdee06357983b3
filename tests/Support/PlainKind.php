<?php

declare(strict_types=1);

namespace Tests\Support;

/** A plant book entry that says no more than it must: a shrub with one task in winter. */
final readonly class PlainKind
{
    /**
     * @param  array<string, mixed>  $task  what its task says beside key, name and window
     * @param  array<string, mixed>  $kind  what it says itself
     * @return array<string, mixed>
     */
    public static function entry(array $task = [], array $kind = []): array
    {
        return [
            'id' => 'x', 'name' => 'X', 'botanical' => 'X y', 'habit' => 'shrub', 'wood' => 'old',
            'about' => 'A shrub.', 'phenology' => ['bud-break' => 'last-frost'], ...$kind,
            'tasks' => [[
                'key' => 'a', 'name' => 'A',
                'windows' => [[
                    'opens' => 'midwinter', 'best_from' => 'midwinter+7', 'best_to' => 'midwinter+14',
                    'closes' => 'midwinter+21', 'because' => 'so',
                ]],
                ...$task,
            ]],
        ];
    }
}
