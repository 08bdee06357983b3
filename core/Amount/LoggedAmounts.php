<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Taken;

/** What the amounts a line of the record was logged with say came off. */
final readonly class LoggedAmounts
{
    /** @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts */
    public static function taken(array $amounts): Taken
    {
        $old = $any = $young = 0;
        $height = null;
        foreach ($amounts as $amount) {
            match (self::effect($amount)) {
                Effect::OldStemsOut => $old += $amount['value'],
                Effect::StemsOut => $any += $amount['value'],
                Effect::YoungStemsOut => $young += $amount['value'],
                Effect::CutHeight, Effect::HeightAfter => $height = $amount['value'],
                default => null,
            };
        }

        return new Taken($old, $any, $height, $young);
    }

    /**
     * The height it was cut to, so that it flowers at another; null where nobody said.
     *
     * @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts
     */
    public static function cutMm(array $amounts): ?int
    {
        return self::first($amounts, Effect::CutHeight);
    }

    /**
     * The height it stood at before the cut; null where nobody said.
     *
     * @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts
     */
    public static function beforeMm(array $amounts): ?int
    {
        return self::first($amounts, Effect::HeightBefore);
    }

    /**
     * The old stems of them, where they were counted.
     *
     * @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts
     */
    public static function oldStems(array $amounts): ?int
    {
        return self::first($amounts, Effect::OldStemsOut);
    }

    /** @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts */
    private static function first(array $amounts, Effect $effect): ?int
    {
        foreach ($amounts as $amount) {
            if (self::effect($amount) === $effect) {
                return $amount['value'];
            }
        }

        return null;
    }

    /** @param  array{effect?: string, what: string, unit: string, value: int}  $amount */
    private static function effect(array $amount): ?Effect
    {
        return Effect::tryFrom($amount['effect'] ?? '');
    }
}
