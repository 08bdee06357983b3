<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * Renewal by thirds: a third of the old stems comes out at the base each year, the oldest first, and never more than
 * may still go this season. Where the stems have not been counted, the share is given for the crew to count out.
 */
final readonly class Thirds implements AmountRule
{
    public const TAKE = 'old stems to take out';

    public const KEEP = 'young stems to leave';

    public const SHARE = 'share of the stems to take out';

    public function __construct(private string $source)
    {
    }

    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($source);
    }

    /**
     * How many old stems go: a third of them, at least one, and no more than may go.
     *
     * @param  int  $may  the most of all its stems that may go now
     */
    public static function number(int $old, int $may): int
    {
        return min($old, $may, max(1, (int) round($old / 3)));
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        if ($plant->stems === null) {
            return Amounts::of([Amount::of(self::SHARE, '%', 0, 33, 33, Effect::StemsShare)], new Reason(
                'Renewal by thirds',
                'the stems have not been counted: count the old ones and take out one in three',
                $this->source,
            ));
        }
        $old = $plant->stems->old;
        $all = $plant->stems->all();
        $most = min($old, $case->mayGo($all));
        $target = self::number($old, $case->mayGo($all));
        $amounts = [Amount::of(self::TAKE, 'stems', min($target, $most), $target, $most, Effect::OldStemsOut)];
        if ($plant->stems->young > 0) {
            $amounts[] = Amount::exactly(self::KEEP, 'stems', $plant->stems->young);
        }

        return Amounts::of($amounts, new Reason(
            'Renewal by thirds',
            sprintf(
                '%d old and %d young stems: a third of the old is %d, and of all %d no more than %d may go now: %d',
                $old, $plant->stems->young, max(1, (int) round($old / 3)), $all, $case->mayGo($all), $target,
            ),
            $this->source,
        ))->with(new Working(self::TAKE, 'a third of the old stems, at most what may go', "$old / 3, at most "
            ."{$case->mayGo($all)} of $all", (string) $target, $this->source));
    }
}
