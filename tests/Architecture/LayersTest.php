<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\BuildStep;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The house's laws: the core depends on PHP alone, and each of its folders only on floors below its own. Read by
 * PHPStan.
 */
final class LayersTest
{
    /**
     * What each folder of the core may import besides itself and what lies loose in `core/` (`Reason`, `Fault`,
     * `Working`).
     */
    private const FLOORS = [
        'Units' => [],
        'Calendar' => [],
        'Practice' => [],
        'Plant' => ['Units', 'Calendar', 'Practice'],
        'PlantBook' => ['Calendar', 'Practice', 'Plant'],
        'Amount' => ['Units', 'Calendar', 'Plant', 'PlantBook'],
        'Effort' => ['Plant', 'PlantBook'],
        'Weather' => ['Calendar', 'PlantBook'],
        'Safety' => ['Calendar', 'Plant', 'PlantBook', 'Amount'],
        'Method' => ['Plant', 'PlantBook', 'Amount'],
        'Growth' => ['PlantBook'],
        'Structure' => ['Calendar', 'Practice', 'Plant', 'PlantBook', 'Amount'],
        'Prescription' => [
            'Calendar', 'Practice', 'Plant', 'PlantBook', 'Amount', 'Effort', 'Weather', 'Safety', 'Method',
        ],
        'Planning' => ['Calendar', 'Practice', 'Plant', 'PlantBook', 'Prescription'],
        'Regrowth' => ['Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Prescription'],
        'Bench' => ['Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Prescription', 'Regrowth'],
        'Drawing' => [
            'Units', 'Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Structure', 'Prescription', 'Planning',
            'Regrowth',
        ],
    ];

    /**
     * The folders of the application that anything else may stand on, lowest first; none imports what comes after it.
     */
    private const ROOMS = [
        'Support',
        'Exchange',
        'Search',
        'Models',
        'History',
        'Post',
        'Bridge',
        'Practice',
        'PlantBook',
        'Due',
        'Weather',
        'Stems',
        'Season',
        'Record',
        'Plants',
        'Bench',
        'Gardens',
        'Visits',
        'Planning',
        'Formats',
        'Reports',
        'Clients',
        'People',
        'Integrations',
        'Policies',
        'Upkeep',
        'Console',
        'Providers',
    ];

    public function testCoreDependsOnPhpAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('PruningHook\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('PruningHook\Core'),
                Selector::classname(
                    '/^(InvalidArgumentException|Stringable|ArrayObject|WeakMap|BackedEnum|UnitEnum|Closure'
                        .'|Random\\\\Randomizer|Random\\\\Engine\\\\Mt19937)$/',
                    true,
                ),
            )
            ->because('the computation is tested and used without any framework');
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function foldersStandOnFloorsBelow(): iterable
    {
        foreach (self::FLOORS as $folder => $below) {
            $above = array_values(array_diff(array_keys(self::FLOORS), [$folder, ...$below]));

            yield $folder => PHPat::rule()
                ->classes(Selector::inNamespace("PruningHook\\Core\\$folder"))
                ->shouldNotDependOn()
                ->classes(...array_map(
                    static fn (string $other): SelectorInterface => Selector::inNamespace("PruningHook\\Core\\$other"),
                    $above,
                ))
                ->because('a folder imports only from floors below its own: no circles');
        }
    }

    /** @return iterable<string, BuildStep> */
    #[TestRule]
    public function roomsStandInOrder(): iterable
    {
        foreach (self::ROOMS as $index => $room) {
            $after = array_slice(self::ROOMS, $index + 1);
            if ($after !== []) {
                yield $room => PHPat::rule()
                    ->classes(Selector::inNamespace("App\\$room"))
                    ->shouldNotDependOn()
                    ->classes(
                        ...array_map(
                            static fn (string $other): SelectorInterface => Selector::inNamespace("App\\$other"),
                            $after,
                        ),
                    )
                    ->because('the folders of the application stand in one order: no circles');
            }
        }
    }
}
