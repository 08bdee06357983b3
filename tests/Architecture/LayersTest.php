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
        'Schools' => [],
        'Plant' => ['Units', 'Calendar', 'Schools'],
        'PlantBook' => ['Calendar', 'Schools', 'Plant'],
        'Amount' => ['Units', 'Calendar', 'Plant', 'PlantBook'],
        'Effort' => ['Plant', 'PlantBook'],
        'Weather' => ['Calendar', 'PlantBook'],
        'Safety' => ['Calendar', 'Plant', 'PlantBook', 'Amount'],
        'Method' => ['Plant', 'PlantBook', 'Amount'],
        'Growth' => ['PlantBook'],
        'Structure' => ['Calendar', 'Schools', 'Plant', 'PlantBook', 'Amount'],
        'Prescription' => [
            'Calendar', 'Schools', 'Plant', 'PlantBook', 'Amount', 'Effort', 'Weather', 'Safety', 'Method',
        ],
        'Planning' => ['Calendar', 'Schools', 'Plant', 'PlantBook', 'Prescription'],
        'Regrowth' => ['Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Prescription'],
        'Exercise' => ['Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Prescription', 'Regrowth'],
        'Drawing' => [
            'Units', 'Calendar', 'Plant', 'PlantBook', 'Growth', 'Amount', 'Structure', 'Prescription', 'Planning',
            'Regrowth',
        ],
    ];

    /**
     * The rooms of the application, lowest first; none imports what comes after it. A garden's page shows what is due
     * in it, so gardens stand on the season. `Console` and `Providers` start everything and are imported by nothing.
     */
    private const ROOMS = [
        'Ground', 'Knowledge', 'Season', 'Gardens', 'Exercise', 'Field', 'Planning', 'Io', 'Office', 'People',
        'Console', 'Providers',
    ];

    /** What lies within the ground, lowest first. */
    private const GROUND = ['Support', 'Models', 'History', 'Bridge', 'Policies', 'Upkeep'];

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
        yield from self::inOrder('App', self::ROOMS);
        yield from self::inOrder('App\Ground', self::GROUND);
    }

    /**
     * @param  list<string>  $rooms  lowest first
     * @return iterable<string, BuildStep>
     */
    private static function inOrder(string $house, array $rooms): iterable
    {
        foreach ($rooms as $index => $room) {
            $after = array_slice($rooms, $index + 1);
            if ($after !== []) {
                yield "$house\\$room" => PHPat::rule()
                    ->classes(Selector::inNamespace("$house\\$room"))
                    ->shouldNotDependOn()
                    ->classes(
                        ...array_map(
                            static fn (string $other): SelectorInterface => Selector::inNamespace("$house\\$other"),
                            $after,
                        ),
                    )
                    ->because('the rooms of the application stand in one order: no circles');
            }
        }
    }
}
