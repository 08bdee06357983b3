<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\Taken;

/** What the amounts a line of the record was logged with say came off. */
final readonly class LoggedAmounts
{
    /** @param  list<array{what: string, unit: string, value: int}>  $amounts */
    public static function taken(array $amounts): Taken
    {
        $old = $any = 0;
        $height = null;
        foreach ($amounts as $amount) {
            [$what, $value] = [$amount['what'], $amount['value']];
            match (true) {
                $what === Thirds::TAKE => $old += $value,
                str_ends_with($what, StemsToKeep::TAKE) && $amount['unit'] !== '%' => $any += $value,
                in_array($what, [FloweringHeight::CUT, ReduceHeight::AFTER], true) => $height = $value,
                default => null,
            };
        }

        return new Taken($old, $any, $height);
    }

    /**
     * The height it was cut to, so that it flowers at another; null where nobody said.
     *
     * @param  list<array{what: string, unit: string, value: int}>  $amounts
     */
    public static function cutMm(array $amounts): ?int
    {
        foreach ($amounts as $amount) {
            if ($amount['what'] === FloweringHeight::CUT) {
                return $amount['value'];
            }
        }

        return null;
    }
}
