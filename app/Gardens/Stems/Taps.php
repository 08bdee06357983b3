<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\StemSurvey;

/**
 * The state of a survey as the sum of its taps. Each tap holds what it changed, field by field and by the stem's name,
 * so that it can be taken back whatever others have said since.
 *
 * @phpstan-import-type State from StemSurvey
 * @phpstan-import-type StemState from StemSurvey
 *
 * @phpstan-type Tap array{stems?: array<string, ?array<string, mixed>>, cut?: array<string, bool>,
 *     word?: array<string, ?string>, keep?: ?int, budget?: ?int}
 */
final readonly class Taps
{
    /**
     * What leads from one state to another: stems that went are null, of stems that stayed only what changed is told.
     *
     * @param  State  $before
     * @param  State  $after
     * @return Tap
     */
    public static function between(array $before, array $after): array
    {
        $tap = [];
        [$there, $now] = [array_column($before['stems'], null, 'ref'), array_column($after['stems'], null, 'ref')];
        foreach ($now as $ref => $stem) {
            $changed = isset($there[$ref])
                ? array_filter(
                    $stem,
                    static fn (mixed $value, string $field): bool => $value !== ($there[$ref][$field] ?? null),
                    ARRAY_FILTER_USE_BOTH,
                )
                : $stem;
            if ($changed !== []) {
                $tap['stems'][$ref] = $changed;
            }
        }
        foreach (array_diff_key($there, $now) as $ref => $stem) {
            $tap['stems'][$ref] = null;
        }
        foreach (array_diff($before['cut'], $after['cut']) as $ref) {
            $tap['cut'][$ref] = false;
        }
        foreach (array_diff($after['cut'], $before['cut']) as $ref) {
            $tap['cut'][$ref] = true;
        }
        foreach (array_diff_key($before['word'], $after['word']) as $ref => $word) {
            $tap['word'][$ref] = null;
        }
        foreach (array_diff_assoc($after['word'], $before['word']) as $ref => $word) {
            $tap['word'][$ref] = $word;
        }
        foreach (['keep', 'budget'] as $number) {
            if ($after[$number] !== $before[$number]) {
                $tap[$number] = $after[$number];
            }
        }

        return $tap;
    }

    /**
     * What is said of a stem whose own tap was taken back falls with it.
     *
     * @param  iterable<Tap>  $taps  in the order in which they were kept
     * @return State
     */
    public static function sum(iterable $taps): array
    {
        $state = StemSurvey::EMPTY;
        $stems = $cut = [];
        foreach ($taps as $tap) {
            foreach ($tap['stems'] ?? [] as $ref => $changed) {
                $stems = self::stem($stems, (string) $ref, $changed);
            }
            foreach ($tap['cut'] ?? [] as $ref => $out) {
                unset($cut[$ref]);
                if ($out) {
                    $cut[$ref] = true;
                }
            }
            foreach ($tap['word'] ?? [] as $ref => $word) {
                if ($word === null) {
                    unset($state['word'][$ref]);
                } else {
                    $state['word'][$ref] = $word;
                }
            }
            $state = [...$state, ...array_intersect_key($tap, ['keep' => 0, 'budget' => 0])];
        }

        return [
            ...$state,
            'stems' => array_values($stems),
            'cut' => array_map(strval(...), array_keys(array_intersect_key($cut, $stems))),
            'word' => array_intersect_key($state['word'], $stems),
        ];
    }

    /**
     * @param  array<string, StemState>  $stems  by ref
     * @param  ?array<string, mixed>  $changed  null where it went
     * @return array<string, StemState>
     */
    private static function stem(array $stems, string $ref, ?array $changed): array
    {
        if ($changed === null) {
            unset($stems[$ref]);
        } elseif (isset($stems[$ref]) || isset($changed['ref'])) {
            /** @var StemState $stem */
            $stem = [...$stems[$ref] ?? [], ...$changed];
            $stems[$ref] = $stem;
        }

        return $stems;
    }
}
