<?php

declare(strict_types=1);

namespace Database\Seeders;

/** The gardens of the demo and what grows in them. All invented. `years` is how long ago a plant was planted. */
final class DemoGardens
{
    /** Where the crews of the demo start, and the usual way. */
    public const DEPOT = ['depot_latitude' => 52.18, 'depot_longitude' => -2.4, 'usual_travel' => 20];

    /** How far east each garden lies. */
    private const LONGITUDES = [
        'Millrace House' => -2.46, 'Quarry Hill' => -2.36, 'Chapel Yard' => -2.47, 'Fernbank' => -2.28,
        'The Old Nursery' => -2.41, 'Weir House' => -2.39,
    ];

    /** Nobody comes here on these weekdays: the volunteers' Wednesday is their own. */
    private const CLOSED = ['The Old Nursery' => [3]];

    private const WISHED = ['Chapel Yard' => [2, 4]];

    /** @return list<array{garden: array<string, mixed>, plants: list<array<string, mixed>>}> */
    public static function all(): array
    {
        return [
            self::millrace(), self::quarryhill(), self::chapelyard(), self::fernbank(), self::oldnursery(),
            self::weirhouse(),
        ];
    }

    /** @return array<string, mixed> */
    private static function site(
        string $name,
        string $client,
        string $address,
        float $latitude,
        int $elevation,
        string $last,
        string $first,
        string $winter,
        string $notes,
    ): array {
        return [
            'name' => $name,
            'client' => $client,
            'address' => $address,
            'latitude' => $latitude,
            'longitude' => self::LONGITUDES[$name],
            'closed_days' => self::CLOSED[$name] ?? [],
            'wished_days' => self::WISHED[$name] ?? [],
            'elevation_m' => $elevation,
            'last_frost' => $last,
            'first_frost' => $first,
            'winter' => $winter,
            'notes' => $notes,
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function plant(string $kind, string $label, string $bed, array $more = []): array
    {
        return ['kind' => $kind, 'label' => $label, 'bed' => $bed, ...$more];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function millrace(): array
    {
        return [
            'garden' => self::site(
                'Millrace House', 'The Arden family', '3 Millrace Lane, Hollowbrook', 52.2, 80, '04-22', '10-28',
                'cool', 'Gate code with the lead. The dog is friendly.',
            ),
            'plants' => [
                self::plant('wisteria', 'Wisteria on the south wall', 'South wall', [
                    'years' => 12,
                    'height_mm' => 3200,
                    'form' => 'wall',
                    'hazards' => ['glass'],
                ]),
                self::plant('bush-rose', 'Rose bed by the steps', 'Steps', [
                    'years' => 7,
                    'count' => 12,
                    'height_mm' => 950,
                    'stems_old' => 4,
                    'stems_young' => 3,
                ]),
                self::plant('climbing-rose', 'White climber on the porch', 'Porch', [
                    'years' => 9,
                    'height_mm' => 2800,
                    'form' => 'trellis',
                ]),
                self::plant('climbing-rose', 'New climber by the gate', 'Gate', [
                    'years' => 1,
                    'height_mm' => 1600,
                    'form' => 'arch',
                ]),
                self::plant('forsythia', 'Forsythia at the drive', 'Drive', [
                    'years' => 14,
                    'height_mm' => 2300,
                    'stems_old' => 9,
                    'stems_young' => 4,
                    'hazards' => ['road'],
                ]),
                self::plant('box-hedge', 'Box edging of the herb bed', 'Herb bed', [
                    'years' => 15,
                    'height_mm' => 450,
                    'run_mm' => 14000,
                ]),
                self::plant('panicle-hydrangea', 'Hydrangeas under the window', 'House front', [
                    'years' => 4,
                    'count' => 3,
                    'height_mm' => 1500,
                ]),
                self::plant('bluebeard', 'Bluebeard along the path', 'Path', [
                    'years' => 5,
                    'count' => 5,
                    'height_mm' => 950,
                    'flowering_height_mm' => 1100,
                ]),
                self::plant('blackcurrant', 'Currants by the shed', 'Kitchen garden', [
                    'years' => 8,
                    'count' => 3,
                    'height_mm' => 1400,
                    'stems_old' => 6,
                    'stems_young' => 5,
                ]),
                self::plant('blackberry', 'Blackberry row', 'Kitchen garden', [
                    'years' => 6,
                    'height_mm' => 1800,
                    'run_mm' => 6000,
                ]),
                self::plant('ornamental-cherry', 'Cherry on the lawn', 'Lawn', ['years' => 22, 'height_mm' => 5200]),
            ],
        ];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function quarryhill(): array
    {
        return [
            'garden' => self::site(
                'Quarry Hill', 'Dr. Sorrel Vance', 'Top of Quarry Hill, Hollowbrook', 52.3, 320, '05-08', '10-12',
                'cold', 'Exposed; a fortnight behind the valley.',
            ),
            'plants' => [
                self::plant('bush-rose', 'Long border roses', 'Long border', [
                    'years' => 10,
                    'count' => 18,
                    'height_mm' => 1000,
                    'stems_old' => 5,
                    'stems_young' => 2,
                ]),
                self::plant('climbing-rose', 'Climber on the barn', 'Barn', ['years' => 11, 'height_mm' => 3400]),
                self::plant('forsythia', 'Forsythia screen', 'North edge', [
                    'years' => 18,
                    'height_mm' => 2400,
                    'count' => 4,
                    'stems_old' => 12,
                    'stems_young' => 5,
                ]),
                self::plant('butterfly-bush', 'Butterfly bush at the terrace', 'Terrace', [
                    'years' => 6,
                    'height_mm' => 2500,
                    'flowering_height_mm' => 1900,
                ]),
                self::plant('sweet-pepperbush', 'Pepperbush by the bench', 'Bench', [
                    'years' => 5,
                    'count' => 3,
                    'height_mm' => 1400,
                    'flowering_height_mm' => 1100,
                ]),
                self::plant('panicle-hydrangea', 'New hydrangea', 'Terrace', ['years' => 0, 'height_mm' => 700]),
                self::plant('hardy-kiwi-female', 'Kiwi on the pergola, female', 'Pergola', [
                    'years' => 9,
                    'height_mm' => 2300,
                    'spread_mm' => 4200,
                ]),
                self::plant('hardy-kiwi-male', 'Kiwi on the pergola, male', 'Pergola', [
                    'years' => 9,
                    'height_mm' => 2300,
                    'spread_mm' => 3000,
                ]),
                self::plant('sour-cherry', 'Cherry fan on the stable', 'Stable', [
                    'years' => 13,
                    'height_mm' => 2800,
                    'form' => 'fan',
                ]),
                self::plant('blackcurrant', 'Old currants', 'Fruit cage', [
                    'years' => 16,
                    'count' => 2,
                    'height_mm' => 1500,
                    'stems_old' => 11,
                    'stems_young' => 3,
                ]),
            ],
        ];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function chapelyard(): array
    {
        return [
            'garden' => self::site(
                'Chapel Yard', 'Chapel Yard residents', 'Chapel Yard, Lower Tarn', 52.1, 60, '04-18', '11-01', 'cool',
                'Shared garden: bags to the bin store.',
            ),
            'plants' => [
                self::plant('box-hedge', 'Box round the sundial', 'Sundial', [
                    'years' => 25,
                    'height_mm' => 600,
                    'run_mm' => 9000,
                ]),
                self::plant('box-hedge', 'Overgrown box by the wall', 'East wall', [
                    'years' => 30,
                    'height_mm' => 1400,
                    'run_mm' => 5000,
                    'aim' => 'renewal',
                ]),
                self::plant('rambling-rose', 'Rambler over the arch', 'Arch', [
                    'years' => 10,
                    'height_mm' => 3600,
                    'stems_old' => 7,
                    'stems_young' => 5,
                    'form' => 'arch',
                ]),
                self::plant('climbing-rose', 'Climber at number four', 'South wall', [
                    'years' => 4,
                    'height_mm' => 2400,
                    'practice' => ['climbing-rose-season' => 'autumn'],
                ]),
                self::plant('wisteria', 'Wisteria at number two', 'South wall', [
                    'years' => 20,
                    'height_mm' => 4200,
                    'practice' => ['wisteria-look' => 'relaxed'],
                ]),
                self::plant('crape-myrtle', 'Crape myrtle in the court', 'Court', [
                    'years' => 8,
                    'height_mm' => 3600,
                    'stems_old' => 10,
                    'stems_young' => 0,
                    'form' => 'multi-stem',
                ]),
                self::plant('butterfly-bush', 'Butterfly bushes at the bins', 'Bin store', [
                    'years' => 5,
                    'count' => 3,
                    'height_mm' => 2600,
                ]),
                self::plant('bluebeard', 'Bluebeard in the trough', 'Court', [
                    'years' => 3,
                    'count' => 4,
                    'height_mm' => 800,
                    'flowering_height_mm' => 700,
                ]),
                self::plant('bush-rose', 'Roses round the lawn', 'Lawn', [
                    'years' => 6,
                    'count' => 9,
                    'height_mm' => 850,
                ]),
                self::plant('ornamental-cherry', 'Pair of cherries', 'Lawn', [
                    'years' => 17,
                    'count' => 2,
                    'height_mm' => 4600,
                    'hazards' => ['power-line'],
                ]),
            ],
        ];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function fernbank(): array
    {
        return [
            'garden' => self::site(
                'Fernbank', 'Rowan and Linus Pell', '18 Fernbank, Hollowbrook', 52.2, 110, '04-26', '10-24', 'cool',
                'Vegan household: no bone meal.',
            ),
            'plants' => [
                self::plant('grape-vine', 'Vine on the glasshouse wall', 'Glasshouse', [
                    'years' => 12,
                    'height_mm' => 1900,
                    'run_mm' => 5000,
                    'hazards' => ['glass'],
                ]),
                self::plant('grape-vine', 'Vine row', 'Slope', [
                    'years' => 9,
                    'height_mm' => 1700,
                    'run_mm' => 12000,
                    'practice' => ['vine-system' => 'cane'],
                ]),
                self::plant('hardy-kiwi-female', 'Kiwi on the fence', 'West fence', [
                    'years' => 6,
                    'height_mm' => 2000,
                    'spread_mm' => 3600,
                ]),
                self::plant('hardy-kiwi-male', 'Male kiwi', 'West fence', ['years' => 6, 'height_mm' => 2000]),
                self::plant('blackberry', 'Blackberries on the wires', 'Slope', [
                    'years' => 5,
                    'height_mm' => 1700,
                    'run_mm' => 8000,
                ]),
                self::plant('blackcurrant', 'Currant hedge', 'Slope', [
                    'years' => 7,
                    'count' => 8,
                    'height_mm' => 1300,
                    'stems_old' => 5,
                    'stems_young' => 6,
                ]),
                self::plant('sour-cherry', 'Cherry bush', 'Orchard', ['years' => 11, 'height_mm' => 3000]),
                self::plant('sweet-pepperbush', 'Pepperbush at the pond', 'Pond', [
                    'years' => 7,
                    'height_mm' => 1600,
                    'flowering_height_mm' => 650,
                ]),
                self::plant('bush-rose', 'Cutting roses', 'Cutting bed', [
                    'years' => 3,
                    'count' => 10,
                    'height_mm' => 900,
                    'stems_old' => 3,
                    'stems_young' => 3,
                ]),
                self::plant('wisteria', 'Wisteria on the veranda', 'Veranda', ['years' => 3, 'height_mm' => 2400]),
            ],
        ];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function oldnursery(): array
    {
        return [
            'garden' => self::site(
                'The Old Nursery', 'Brindle Trust', 'Nursery Road, Lower Tarn', 52.1, 70, '04-20', '10-30', 'cool',
                'Volunteers on Wednesdays; they do not cut unsupervised.',
            ),
            'plants' => [
                self::plant('rambling-rose', 'Ramblers on the railings', 'Road front', [
                    'years' => 13,
                    'count' => 3,
                    'height_mm' => 3000,
                    'stems_old' => 8,
                    'stems_young' => 6,
                    'hazards' => ['road'],
                ]),
                self::plant('crape-myrtle', 'Row of crape myrtles', 'Entrance', [
                    'years' => 15,
                    'count' => 4,
                    'height_mm' => 4200,
                    'stems_old' => 4,
                    'stems_young' => 2,
                    'practice' => ['crape-myrtle-height' => 'heading'],
                ]),
                self::plant('box-hedge', 'Box maze', 'Maze', ['years' => 28, 'height_mm' => 700, 'run_mm' => 46000]),
                self::plant('forsythia', 'Forsythia by the office', 'Office', [
                    'years' => 9,
                    'height_mm' => 1900,
                    'stems_old' => 6,
                    'stems_young' => 3,
                ]),
                self::plant('butterfly-bush', 'Butterfly border', 'Butterfly border', [
                    'years' => 4,
                    'count' => 6,
                    'height_mm' => 2300,
                    'flowering_height_mm' => 1700,
                ]),
                self::plant('bluebeard', 'Bluebeard drift', 'Butterfly border', [
                    'years' => 4,
                    'count' => 9,
                    'height_mm' => 850,
                ]),
                self::plant('panicle-hydrangea', 'Hydrangea walk', 'Walk', [
                    'years' => 6,
                    'count' => 7,
                    'height_mm' => 1700,
                ]),
                self::plant('bush-rose', 'Trial roses', 'Trial bed', [
                    'years' => 5,
                    'count' => 24,
                    'height_mm' => 900,
                    'practice' => ['bush-rose-severity' => 'light-arc'],
                ]),
                self::plant('blackberry', 'Fruit arch blackberry', 'Fruit garden', [
                    'years' => 8,
                    'height_mm' => 2100,
                    'run_mm' => 4000,
                ]),
                self::plant('blackcurrant', 'Trust currants', 'Fruit garden', [
                    'years' => 9,
                    'count' => 6,
                    'height_mm' => 1350,
                    'stems_old' => 6,
                    'stems_young' => 4,
                ]),
            ],
        ];
    }

    /** @return array{garden: array<string, mixed>, plants: list<array<string, mixed>>} */
    private static function weirhouse(): array
    {
        return [
            'garden' => self::site(
                'Weir House', 'Ottoline Marsh', 'Weir Lane, Hollowbrook', 52.2, 55, '04-16', '11-04', 'cool',
                'Ring before eight. River bank: nobody works alone.',
            ),
            'plants' => [
                self::plant('wisteria', 'Wisteria on the boat house', 'Boat house', [
                    'years' => 16,
                    'height_mm' => 3800,
                ]),
                self::plant('climbing-rose', 'Roses on the pergola', 'Pergola', [
                    'years' => 7,
                    'count' => 4,
                    'height_mm' => 2600,
                ]),
                self::plant('climbing-rose', 'Young climber at the arch', 'Pergola', [
                    'years' => 2,
                    'height_mm' => 1800,
                ]),
                self::plant('rambling-rose', 'Rambler in the apple tree', 'Orchard', [
                    'years' => 12,
                    'height_mm' => 4500,
                    'stems_old' => 6,
                    'stems_young' => 3,
                ]),
                self::plant('grape-vine', 'Vine on the terrace', 'Terrace', [
                    'years' => 20,
                    'height_mm' => 2200,
                    'run_mm' => 7000,
                ]),
                self::plant('crape-myrtle', 'Crape myrtle by the river', 'River', [
                    'years' => 6,
                    'height_mm' => 2800,
                    'stems_old' => 6,
                    'stems_young' => 3,
                ]),
                self::plant('sweet-pepperbush', 'Pepperbush drift', 'River', [
                    'years' => 8,
                    'count' => 5,
                    'height_mm' => 1500,
                    'flowering_height_mm' => 1200,
                ]),
                self::plant('forsythia', 'Forsythia by the weir', 'River', [
                    'years' => 10,
                    'height_mm' => 2100,
                    'stems_old' => 7,
                    'stems_young' => 5,
                ]),
                self::plant('ornamental-cherry', 'Weeping cherry', 'Lawn', [
                    'years' => 9,
                    'height_mm' => 3200,
                    'form' => 'weeping',
                ]),
                self::plant('bush-rose', 'Terrace roses', 'Terrace', [
                    'years' => 8,
                    'count' => 8,
                    'height_mm' => 1000,
                    'stems_old' => 4,
                    'stems_young' => 4,
                ]),
            ],
        ];
    }
}
