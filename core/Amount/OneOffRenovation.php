<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** Two thirds of an old, congested fruit bush at once, which is done at the price of a year's crop. */
final readonly class OneOffRenovation implements AmountRule
{
    private function __construct(private string $source)
    {
    }

    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self($source);
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        $price = 'once only, and this year\'s crop is the price: next year\'s shoots carry the one after';
        if ($plant->stems === null) {
            return Amounts::of(
                [Amount::of(Thirds::SHARE, '%', 50, 67, 67, Effect::StemsShare)],
                new Reason(
                    'Two thirds at once', "an old, congested bush loses two thirds of its stems, the oldest: $price",
                    $this->source,
                ),
            );
        }
        $all = $plant->stems->all();
        $out = min($plant->stems->old, intdiv(2 * $all, 3), $case->mayGo($all));

        $why = sprintf('%d of its %d stems come out, the oldest: %s', $out, $all, $price);

        return Amounts::of(
            [Amount::of(Thirds::TAKE, 'stems', intdiv($out, 2), $out, $out, Effect::OldStemsOut)],
            new Reason('Two thirds at once', $why, $this->source),
        )->with(new Working(
            Thirds::TAKE, '2/3 of all stems, no young ones, and no more than may go',
            sprintf('2/3 x %d, of %d old, at most %d', $all, $plant->stems->old, $case->mayGo($all)), (string) $out,
            $this->source,
        ));
    }
}
