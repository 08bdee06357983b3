<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\StateFacts;
use App\Ground\Models\Plant;
use App\Ground\Support\LengthField;
use App\Ground\Support\Say;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\PlantBook\Disease;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Contradictions;

/**
 * The fields of a plant's form that not every kind asks for: those that bear on this kind, and those that unfold.
 *
 * @phpstan-type Field array{name: string, label: string, type: string, value: string|int|null,
 *     options?: array<array-key, string>, help?: string, min?: int, max?: int}
 * @phpstan-type State array{cultivar: ?string, condition: ?string, dieback_percent: ?int, disease: ?string,
 *     stress: ?string, transplanted: ?string, target_height_mm: ?int, width_mm: ?int, sides: ?int, trunk_mm: ?int,
 *     bearing: ?string, rootstock: ?string, growth: ?string}
 */
final readonly class PlantForm
{
    /** Shares of die-back a hand can tell by eye, in per cent. */
    private const DIED_BACK = [10, 25, 50, 100];

    /** A fact in words, around its value. */
    private const SAID = [
        'dieback_percent' => 'died back by %s %%',
        'disease' => '%s',
        'transplanted' => 'moved on %s',
        'cultivar' => "'%s'",
        'target_height_mm' => 'held at %s',
        'width_mm' => 'held at %s across',
        'trunk_mm' => 'trunk of %s mm',
        'sides' => '%s in reach',
        'bearing' => 'bears on %ss',
        'rootstock' => 'on a %s stock',
        'growth' => '%s canes',
        'condition' => '%s',
        'stress' => '%s',
    ];

    /** What is ticked where it holds. */
    public const TICKS = [
        'variegated' => 'Variegated',
        'container' => 'In a container',
        'exposed' => 'Exposed site',
        'boundary' => 'On the boundary with a neighbour',
        'protected' => 'Protected: consent is needed',
    ];

    public function __construct(private PlantBook $book, private CorePlants $bridge)
    {
    }

    /** @return array{shown: list<Field>, folded: list<Field>} */
    public function fields(Plant $plant, Day $today): array
    {
        $kind = $plant->exists && $this->book->has($plant->kind) ? $this->book->kind($plant->kind) : null;
        $sorted = ['shown' => [], 'folded' => []];
        foreach ($this->all($plant, $kind, $today) as [$bears, $field]) {
            $sorted[$bears || ! in_array($field['value'], [null, ''], true) ? 'shown' : 'folded'][] = $field;
        }

        return $sorted;
    }

    /** @return list<array{bool, Field}> whether it bears on the kind, and the field */
    private function all(Plant $plant, ?Kind $kind, Day $today): array
    {
        /** @var State $state all that can be said of it, null where nothing is */
        $state = $plant->state + array_fill_keys(StateFacts::FIELDS, null);

        return [
            ...self::held($plant, $kind, $state, $kind !== null && Contradictions::isHeld($kind, $this->book)),
            ...$this->stems($plant, $kind, $today),
            ...self::wood($plant, $kind, $state),
            ...self::kept($kind, $state),
            ...$this->seen($kind, $state),
        ];
    }

    /**
     * @param  State  $state
     * @return list<array{bool, Field}> of a hedge, or of what is clipped to a shape
     */
    private static function held(Plant $plant, ?Kind $kind, array $state, bool $held): array
    {
        return [
            [
                $kind === null || $held || $plant->form === 'hedge',
                self::number('run_cm', 'Run of hedge or row, cm', LengthField::cm($plant->run_mm)),
            ],
            [$held, self::number(
                'target_height_cm', 'Held at a height of, cm', LengthField::cm($state['target_height_mm']),
                'Of a hedge or topiary.',
            )],
            [$held, self::number('width_cm', 'Held at a width on top of, cm', LengthField::cm($state['width_mm']))],
            [$held, self::choice('sides', 'Sides that can be reached', $state['sides'], [1 => 'one', 2 => 'both'])],
        ];
    }

    /** @return list<array{bool, Field}> */
    private function stems(Plant $plant, ?Kind $kind, Day $today): array
    {
        $isHedge = $plant->form === 'hedge' || ($kind !== null && Contradictions::isHeld($kind, $this->book));
        $counted = $kind === null || (! $kind->habit->isSoft() && ! $isHedge);

        return [
            [$counted, self::number(
                'stems_old', 'Old stems at the base', $plant->stems_old, $this->counted($plant, $today), 0,
            )],
            [$counted, self::number('stems_young', 'Young stems', $plant->stems_young, least: 0)],
        ];
    }

    /**
     * @param  State  $state
     * @return list<array{bool, Field}> of a plant raised to a height, of a tree, and of a vine
     */
    private static function wood(Plant $plant, ?Kind $kind, array $state): array
    {
        $isVine = $kind?->habit === Habit::Vine;

        return [
            [$kind === null || $kind->growthMm !== null, self::number(
                'flowering_height_cm', 'Flowers wanted at, cm', LengthField::cm($plant->flowering_height_mm),
            )],
            [
                $kind?->habit === Habit::Tree,
                self::number('trunk_mm', 'Thickness of the trunk, mm', $state['trunk_mm']),
            ],
            [$isVine, self::number('prunings_g', 'Of a vine: prunings, g', $plant->prunings_g, least: 0)],
            [$isVine, self::number(
                'bud_mortality_percent', 'Of a vine: dead buds, %', $plant->bud_mortality_percent, least: 0,
            )],
        ];
    }

    /**
     * @param  State  $state
     * @return list<array{bool, Field}> of fruit, and of what has been left alone
     */
    private static function kept(?Kind $kind, array $state): array
    {
        $asks = static fn (string $fact): bool => $kind !== null && Contradictions::asks($kind, $fact);

        return [
            [$asks('bearing'), self::choice(
                'bearing', 'Bears on', $state['bearing'], ['spur' => 'spurs', 'tip' => 'tips'],
            )],
            [$asks('rootstock'), self::choice(
                'rootstock', 'Stock', $state['rootstock'], ['dwarfing' => 'dwarfing', 'vigorous' => 'vigorous'],
            )],
            [$asks('growth'), self::choice(
                'growth', 'Canes', $state['growth'], ['erect' => 'erect', 'trailing' => 'trailing'],
            )],
            [$kind !== null && ! $kind->habit->isSoft(), self::choice(
                'condition', 'Condition', $state['condition'],
                ['neglected' => 'neglected', 'congested' => 'congested', 'lopped' => 'lopped'],
            )],
        ];
    }

    /**
     * @param  State  $state
     * @return list<array{bool, Field}> what may be seen of any plant, folded until something is said
     */
    private function seen(?Kind $kind, array $state): array
    {
        return [
            [false, self::number('dieback_percent', 'Died back, %', $state['dieback_percent'], least: 0)],
            [false, self::choice('disease', 'Disease', $state['disease'], $this->diseases($kind))],
            [false, self::choice('stress', 'Soil', $state['stress'], [
                Stress::Drought->value => Stress::Drought->inWords(),
                Stress::Waterlogged->value => Stress::Waterlogged->inWords(),
            ])],
            [false, [
                'name' => 'transplanted', 'label' => 'Moved to this place on', 'type' => 'date',
                'value' => $state['transplanted'],
            ]],
            [false, ['name' => 'cultivar', 'label' => 'Cultivar', 'type' => 'text', 'value' => $state['cultivar']]],
        ];
    }

    /**
     * What a crew may say of a plant with a tap, as a page shows it: what is so is tapped again to take it back.
     *
     * @return array<string, list<array{string, string, bool}>> by legend: what is sent, in words, and whether it is so
     */
    public function taps(Plant $plant): array
    {
        $kind = $this->book->has($plant->kind) ? $this->book->kind($plant->kind) : null;
        $tap = static function (string $fact, string|int $value, string $words) use ($plant): array {
            $so = (string) ($plant->state[$fact] ?? '') === (string) $value;

            return [$so ? "$fact:" : "$fact:$value", $words, $so];
        };
        $diseases = $this->diseases($kind);

        return array_filter([
            'It is' => [
                ...array_map(
                    static fn (Upkeep $upkeep): array => $tap('condition', $upkeep->value, $upkeep->value),
                    Upkeep::cases(),
                ),
                ...array_map(
                    static fn (Stress $stress): array => $tap('stress', $stress->value, $stress->inWords()),
                    Stress::cases(),
                ),
            ],
            'Died back' => array_map(
                static fn (int $share): array => $tap(
                    'dieback_percent',
                    $share,
                    $share === 100 ? 'all of it' : "$share %",
                ),
                self::DIED_BACK,
            ),
            'Disease' => array_map(
                static fn (string $key, string $name): array => $tap('disease', $key, $name),
                array_keys($diseases),
                $diseases,
            ),
        ]);
    }

    /**
     * What was seen of a plant, in words: "died back by 25 %", "fire blight".
     *
     * @return list<string>
     */
    public function inWords(Plant $plant): array
    {
        $words = [];
        foreach ($plant->state as $fact => $value) {
            $value = is_scalar($value) ? (string) $value : '';
            $words[] = isset(self::SAID[$fact])
                ? sprintf(self::SAID[$fact], $this->called($fact, $value))
                : lcfirst(self::TICKS[$fact] ?? $fact);
        }

        return $words;
    }

    /** A fact's value as people say it. */
    private function called(string $fact, string $value): string
    {
        return match ($fact) {
            'target_height_mm', 'width_mm' => (string) Say::length((int) $value),
            'disease' => $this->book->states->diseases[$value]->name ?? $value,
            'stress' => Stress::tryFrom($value)?->inWords() ?? $value,
            'sides' => $value === '1' ? 'one side' : 'both sides',
            default => $value,
        };
    }

    /** When its stems were counted, and what they have come to since. */
    private function counted(Plant $plant, Day $today): ?string
    {
        if ($plant->stems_on === null || ! $this->book->has($plant->kind)) {
            return null;
        }
        $now = $this->bridge->plant($plant, $today)->stems;
        $same = $now === null || ($now->old === $plant->stems_old && $now->young === $plant->stems_young);
        $since = $same ? '' : sprintf('; by the record %d old and %d young stand now', $now->old, $now->young);

        return 'Counted on '.Say::date($plant->stems_on).$since.'.';
    }

    /** @return array<string, string> of the diseases a kind takes, all where it is not known yet */
    private function diseases(?Kind $kind): array
    {
        $takes = array_filter(
            $this->book->states->diseases,
            static fn (Disease $disease): bool => $kind === null || $disease->takes($kind),
        );

        return array_map(static fn (Disease $disease): string => $disease->name, $takes);
    }

    /** @return Field */
    private static function number(
        string $name,
        string $label,
        ?int $value,
        ?string $help = null,
        int $least = 1,
    ): array {
        return [
            'name' => $name,
            'label' => $label,
            'type' => 'number',
            'value' => $value,
            'min' => $least,
            ...($help === null ? [] : ['help' => $help]),
        ];
    }

    /**
     * @param  array<array-key, string>  $options
     * @return Field
     */
    private static function choice(string $name, string $label, string|int|null $value, array $options): array
    {
        return ['name' => $name, 'label' => $label, 'type' => 'choice', 'value' => $value, 'options' => $options];
    }
}
