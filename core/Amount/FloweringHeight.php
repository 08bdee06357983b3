<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/**
 * Cutting to a flowering height: cut height = wanted flowering height - growth before flowering, and never below the
 * kind's lowest framework. Flowers wanted at 1.1 m on a plant that grows 0.6 m first: cut at 0.5 m.
 */
final readonly class FloweringHeight implements AmountRule
{
    public const CUT = 'cut height';

    public const FLOWERS = 'expected flowering height';

    /** The kind's own figure counts as much as this many seasons of this plant's. Common practice, no source. */
    private const WEIGHT_OF_KIND = 2;

    private function __construct(private string $source)
    {
    }

    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($source);
    }

    /**
     * Growth before flowering as this plant makes it, drawn towards the kind's figure: (2 x kind + sum of what was
     * seen) / (2 + seasons seen). One odd year moves it little, many years own it.
     *
     * @param  list<int>  $seen  in mm
     */
    public static function growth(int $ofKind, array $seen): int
    {
        return (int) round((self::WEIGHT_OF_KIND * $ofKind + array_sum($seen)) / (self::WEIGHT_OF_KIND + count($seen)));
    }

    public function for(AmountCase $case): Amounts
    {
        [$plant, $kind] = [$case->plant, $case->kind];
        [$least, $most] = $kind->growthMm ?? [0, 0];
        $middle = intdiv($least + $most, 2);
        $growth = self::growth($middle, $plant->growthSeenMm);
        // What it has shown moves the whole range, not only its middle.
        [$least, $most] = [max(0, $least + $growth - $middle), $most + $growth - $middle];
        $floor = $kind->lowestFrameworkMm ?? 0;
        $wanted = $plant->floweringHeightMm;
        // From the most growth to the least: what grows more is cut lower.
        [$lowest, $cut, $highest] = $wanted === null
            ? array_fill(0, 3, max($floor, $kind->usualCutMm ?? $floor))
            : array_map(static fn (int $grows): int => max($floor, $wanted - $grows), [$most, $growth, $least]);

        return Amounts::of(
            [
                Amount::of(self::CUT, 'mm', $lowest, $cut, $highest, Effect::CutHeight),
                Amount::of(
                    self::FLOWERS, 'mm', $cut + $least, $cut + $growth, $cut + $most, Effect::FloweringHeight,
                ),
            ],
            ...$wanted === null
                ? [$this->usual($cut, $least, $growth, $most)]
                : $this->asked($wanted, $floor, $least, $growth, $most),
            ...self::learned($middle, $growth, $plant->growthSeenMm),
            ...self::tooShort($plant->heightMm, $cut),
        )->with(
            ...self::working($middle, $growth, $plant->growthSeenMm),
            ...[new Working(
                self::CUT,
                'wanted flowering height - growth before flowering, never under the lowest framework',
                $wanted === null
                    ? sprintf('nothing is asked for: the usual cut; framework %d mm', $floor)
                    : sprintf('%d - %d mm; framework %d mm', $wanted, $growth, $floor),
                self::say($cut),
                $this->source,
            )],
        );
    }

    /** @return list<Reason> */
    private static function tooShort(?int $heightMm, int $cut): array
    {
        return $heightMm === null || $heightMm >= $cut ? [] : [Reason::commonPractice(
            'Shorter than the cut',
            sprintf(
                'the plant is %s tall, below the cut: tip its shoots only and let it grow', self::say($heightMm),
            ),
        )];
    }

    private function usual(int $cut, int $least, int $growth, int $most): Reason
    {
        return new Reason(
            'Cut to a flowering height',
            sprintf(
                'no flowering height is asked for, so it is cut at the usual %s; after %s of growth it flowers at '
                    .'about %s',
                self::say($cut), self::range($least, $most), self::say($cut + $growth),
            ),
            $this->source,
        );
    }

    /** @return list<Reason> how the cut follows from the wish, and whether the wish can be met */
    private function asked(int $wanted, int $floor, int $least, int $growth, int $most): array
    {
        $reason = new Reason(
            'Cut to a flowering height',
            sprintf(
                'flowers wanted at %s, and it grows about %s before it flowers: %s - %s = %s',
                self::say($wanted), self::range($least, $most), self::say($wanted), self::say($growth),
                self::signed($wanted - $growth),
            ),
            $this->source,
        );

        return $wanted - $growth >= $floor ? [$reason] : [$reason, new Reason(
            'The wish cannot be met',
            sprintf(
                'a cut at %s is below its lowest framework of %s; cut at %s it flowers at about %s, the nearest '
                    .'possible',
                self::signed($wanted - $growth), self::say($floor), self::say($floor), self::say($floor + $growth),
            ),
            $this->source,
        )];
    }

    /**
     * @param  list<int>  $seen
     * @return list<Reason>
     */
    private static function learned(int $middle, int $growth, array $seen): array
    {
        return $seen === [] ? [] : [Reason::commonPractice(
            'Growth learned',
            sprintf(
                'the kind grows %s before it flowers, this plant grew %s; the kind counts as %d seasons: %s',
                self::say($middle), implode(', ', array_map(self::say(...), $seen)), self::WEIGHT_OF_KIND,
                self::say($growth),
            ),
        )];
    }

    /**
     * @param  list<int>  $seen
     * @return list<Working>
     */
    private static function working(int $middle, int $growth, array $seen): array
    {
        return $seen === [] ? [] : [new Working(
            'growth before flowering',
            '(2 x kind + sum of seasons seen) / (2 + seasons seen)',
            sprintf('(2 x %d + %s) / (2 + %d) mm', $middle, implode(' + ', $seen), count($seen)),
            self::say($growth),
            'common practice',
        )];
    }

    private static function say(int $mm): string
    {
        return Length::ofMm($mm)->metric();
    }

    private static function range(int $least, int $most): string
    {
        $low = Length::ofMm($least)->metric();

        return $least === $most ? $low : $low.' to '.Length::ofMm($most)->metric();
    }

    private static function signed(int $mm): string
    {
        return $mm < 0 ? 'minus '.Length::ofMm(-$mm)->metric() : Length::ofMm($mm)->metric();
    }
}
