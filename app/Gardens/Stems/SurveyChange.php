<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\StemSurvey;
use App\Ground\Support\Say;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Fault;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;

/**
 * One tap on a survey: a stem more, one stem otherwise, a fault marked, a stem out, the lead's word, the number wanted.
 *
 * @phpstan-import-type State from StemSurvey
 * @phpstan-import-type StemState from StemSurvey
 */
final readonly class SurveyChange
{
    /** Of a plant's height, what a stem may reach up: heights are read roughly. Common practice. */
    private const ABOVE = 2;

    public const OPS = ['add', 'set', 'fault', 'drop', 'word', 'cut', 'aim', 'carry'];

    public const MOST = 60;

    /** What a new stem is taken for until somebody says otherwise: a finger thick, half leaning, of last year. */
    private const NEW = ['lean_deg' => 30, 'base_mm' => 15, 'age_years' => 2, 'faults' => []];

    /**
     * A season begins with the stems that stood at the end of the last one, older by the time between, and with the
     * lead's word that what was left for this year goes.
     *
     * @param  list<string>  $left  refs of stems that the record left for this year
     * @return State
     *
     * @throws ValidationException where there is nothing to carry, or stems stand there already
     */
    public static function carried(StemSurvey $now, array $left): array
    {
        $before = $now->ofSeasonBefore();
        if ($before === null || $now->state['stems'] !== []) {
            throw ValidationException::withMessages([
                'op' => $before === null ? 'No season before this one was surveyed.' : 'Stems are surveyed already.',
            ]);
        }
        $stems = [];
        foreach ($before->state['stems'] as $stem) {
            if (! in_array($stem['ref'], $before->state['cut'], true)) {
                $stems[] = [...$stem, 'age_years' => $stem['age_years'] === null
                    ? null
                    : $stem['age_years'] + $now->season - $before->season];
            }
        }

        return [
            ...StemSurvey::EMPTY,
            'stems' => $stems,
            'word' => array_fill_keys(array_values(array_intersect(array_column($stems, 'ref'), $left)), 'remove'),
        ];
    }

    /**
     * @param  State  $state
     * @param  array<string, mixed>  $said  `op` and what it needs
     * @return State
     *
     * @throws ValidationException when what is said cannot be
     */
    public function apply(array $state, array $said, int $usualLengthMm): array
    {
        $changed = match ($said['op'] ?? null) {
            'add' => $this->add($state, $said, $usualLengthMm),
            'set' => $this->within($this->set($state, $said), $said, $usualLengthMm),
            'fault' => $this->fault($state, $said),
            'drop' => $this->drop($state, self::ref($said)),
            'word' => $this->word($state, $said),
            'cut' => $this->cut($state, $said),
            'aim' => [
                ...$state,
                'keep' => self::number($said, 'keep', 1, 40),
                'budget' => self::number($said, 'budget', 0, 100),
            ],
            default => throw ValidationException::withMessages(['op' => 'That is no change of a survey.']),
        };
        foreach ($changed['stems'] as $stem) {
            try {
                new Stem(
                    $stem['ref'], $stem['azimuth_deg'], $stem['lean_deg'], $stem['length_mm'], $stem['base_mm'],
                    $stem['age_years'],
                );
            } catch (Fault $fault) {
                throw ValidationException::withMessages(['length_mm' => ucfirst($fault->getMessage()).'.']);
            }
        }

        return $changed;
    }

    /**
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function add(array $state, array $said, int $usualLengthMm): array
    {
        if (count($state['stems']) >= self::MOST) {
            throw ValidationException::withMessages([
                'op' => sprintf('%d stems are the most one survey holds.', self::MOST),
            ]);
        }
        // What was said of the stem before is likely to hold for the next: only what differs needs a tap.
        $last = $state['stems'] === [] ? null : $state['stems'][count($state['stems']) - 1];
        $state['stems'][] = [
            'ref' => self::next(array_column($state['stems'], 'ref')),
            'azimuth_deg' => self::number($said, 'azimuth_deg', -360, 720) ?? 0,
            ...self::NEW,
            'lean_deg' => $last['lean_deg'] ?? self::NEW['lean_deg'],
            'base_mm' => $last['base_mm'] ?? self::NEW['base_mm'],
            'age_years' => $last === null ? self::NEW['age_years'] : $last['age_years'],
            'length_mm' => $last['length_mm'] ?? $usualLengthMm,
        ];

        return $state;
    }

    /**
     * No stem stands far above its plant: one of the two was measured wrong.
     *
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function within(array $state, array $said, int $plantMm): array
    {
        foreach (isset($said['length_mm']) || isset($said['lean_deg']) ? $state['stems'] : [] as $stem) {
            $reaches = (int) round($stem['length_mm'] * cos(deg2rad((float) $stem['lean_deg'])));
            if ($stem['ref'] === self::ref($said) && $reaches > self::ABOVE * $plantMm) {
                throw ValidationException::withMessages(['length_mm' => sprintf(
                    'A stem that reaches %s up does not stand on a plant %s tall: one of them is measured wrong.',
                    Say::length($reaches), Say::length($plantMm),
                )]);
            }
        }

        return $state;
    }

    /**
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function set(array $state, array $said): array
    {
        return $this->change($state, self::ref($said), static function (array $stem) use ($said): array {
            foreach (
                [
                    'azimuth_deg' => [-360, 720],
                    'lean_deg' => [0, 90],
                    'base_mm' => [1, 3000],
                    'length_mm' => [1, 60000],
                ] as $field => [$least, $most]
            ) {
                if (array_key_exists($field, $said)) {
                    $stem[$field] =
                        self::number($said, $field, $least, $most) ??
                        throw ValidationException::withMessages([$field => 'A number is needed here.']);
                }
            }
            if (array_key_exists('age_years', $said)) {
                $stem['age_years'] = self::number($said, 'age_years', 0, 300);
            }

            return $stem;
        });
    }

    /**
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function fault(array $state, array $said): array
    {
        [$name, $on] = self::marked($said, 'fault');
        $fault = StemFault::tryFrom($name) ?? throw ValidationException::withMessages([
            'fault' => 'No such fault is known.',
        ]);

        return $this->change(
            $state,
            self::ref($said),
            static fn (array $stem): array => [
                ...$stem,
                'faults' => self::with($stem['faults'], $fault->value, $on),
            ],
        );
    }

    /**
     * @param  State  $state
     * @return State
     */
    private function drop(array $state, string $ref): array
    {
        self::index($state, $ref);

        return [
            ...$state,
            'stems' => array_values(
                array_filter($state['stems'], static fn (array $stem): bool => $stem['ref'] !== $ref),
            ),
            'cut' => array_values(array_diff($state['cut'], [$ref])),
            'word' => array_filter(
                $state['word'],
                static fn (int|string $key): bool => (string) $key !== $ref,
                ARRAY_FILTER_USE_KEY,
            ),
        ];
    }

    /**
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function word(array $state, array $said): array
    {
        $ref = self::ref($said);
        self::index($state, $ref);
        [$word, $on] = self::marked($said, 'word');
        if (! in_array($word, ['keep', 'remove'], true)) {
            throw ValidationException::withMessages(['word' => 'Say keep or remove.']);
        }
        $words = $state['word'];
        if ($on ?? ($words[$ref] ?? null) !== $word) {
            $words[$ref] = $word;
        } elseif (($words[$ref] ?? null) === $word) {
            unset($words[$ref]);
        }

        return [...$state, 'word' => $words];
    }

    /**
     * Out, or standing again: as `on` says, or turned about where it says nothing.
     *
     * @param  State  $state
     * @param  array<string, mixed>  $said
     * @return State
     */
    private function cut(array $state, array $said): array
    {
        $ref = self::ref($said);
        self::index($state, $ref);
        $on = $said['on'] ?? null;

        return [...$state, 'cut' => self::with($state['cut'], $ref, is_scalar($on) ? (bool) $on : null)];
    }

    /**
     * What is marked or unmarked: `on[dead]=1` says how it shall be, so that two who say the same agree. A bare
     * `fault=dead`, as a phone may still have it waiting, turns it about.
     *
     * @param  array<string, mixed>  $said
     * @return array{string, ?bool}
     */
    private static function marked(array $said, string $field): array
    {
        $on = $said['on'] ?? null;
        if (is_array($on) && count($on) === 1) {
            $value = current($on);

            return [(string) key($on), is_scalar($value) && (bool) $value];
        }
        $name = $said[$field] ?? null;

        return [is_string($name) ? $name : '', null];
    }

    /**
     * @param  list<string>  $marks
     * @return list<string>
     */
    private static function with(array $marks, string $mark, ?bool $on): array
    {
        $has = in_array($mark, $marks, true);

        return match (true) {
            $on === $has => $marks,
            $has => array_values(array_diff($marks, [$mark])),
            default => [...$marks, $mark],
        };
    }

    /**
     * @param  State  $state
     * @param  callable(StemState): StemState  $change
     * @return State
     */
    private function change(array $state, string $ref, callable $change): array
    {
        $index = self::index($state, $ref);
        $state['stems'][$index] = $change($state['stems'][$index]);

        return $state;
    }

    /** @param  State  $state */
    private static function index(array $state, string $ref): int
    {
        foreach ($state['stems'] as $index => $stem) {
            if ($stem['ref'] === $ref) {
                return $index;
            }
        }

        throw ValidationException::withMessages(['ref' => 'That stem is not in the survey any more.']);
    }

    /**
     * Stems go by letters, so that no number but the order of the cuts stands in the picture: A to Z, then AA.
     *
     * @param  list<string>  $taken
     */
    private static function next(array $taken): string
    {
        $last = '';
        foreach ($taken as $ref) {
            $last = strlen($ref) > strlen($last) || (strlen($ref) === strlen($last) && $ref > $last) ? $ref : $last;
        }
        if ($last === '') {
            return 'A';
        }

        return (string) ++$last;
    }

    /** @param  array<string, mixed>  $said */
    private static function ref(array $said): string
    {
        return is_scalar($said['ref'] ?? null) ? (string) $said['ref'] : '';
    }

    /** @param  array<string, mixed>  $said */
    private static function number(array $said, string $field, int $least, int $most): ?int
    {
        $value = $said[$field] ?? null;
        if ($value === null || $value === '') {
            return null;
        }
        if (! is_numeric($value) || $value < $least || $value > $most) {
            throw ValidationException::withMessages([
                $field => sprintf('A number from %d to %d, please.', $least, $most),
            ]);
        }

        return (int) round((float) $value);
    }
}
