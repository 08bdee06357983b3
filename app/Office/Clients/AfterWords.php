<?php

declare(strict_types=1);

namespace App\Office\Clients;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Units\Length;

/** What a cut looks like to somebody who does not cut: why it is bare, and when it is not any more. */
final readonly class AfterWords
{
    /** Of live growth in per cent, from which it shows from the window. Common practice. */
    private const SHOWS = 20;

    private const RENEWED = 'Its oldest stems go at the base, so that young ones take their place: it looks thinner '
        .'for a season and flowers the better after it.';

    private const SPURRED = 'Little more than its frame is left to see until it grows: it fruits on the shoots of this '
        .'year.';

    /**
     * @param  list<Amount>  $amounts
     * @return ?string null where nobody sees much of it
     */
    public static function of(array $amounts): ?string
    {
        $of = static fn (Effect $effect): ?Amount => Amount::withEffect($amounts, $effect);
        $say = static fn (Amount $amount): string => Length::ofMm($amount->target)->metric();
        $any = static fn (Effect ...$effects): bool => array_filter(array_map($of, $effects)) !== [];
        $height = $of(Effect::CutHeight) ?? $of(Effect::HeightAfter);
        $flowers = $of(Effect::FloweringHeight);
        $share = $of(Effect::LiveShare);

        return match (true) {
            $height !== null && $flowers !== null => sprintf(
                'Cut to about %s it looks bare in spring; its new shoots carry this year\'s flowers, at about %s.',
                $say($height), $say($flowers),
            ),
            $height !== null => sprintf(
                'It stands at about %s afterwards and looks bare until it has grown.', $say($height),
            ),
            $any(Effect::OldStemsOut, Effect::StemsOut, Effect::StemsShare) => self::RENEWED,
            $any(Effect::NodesOnSpurs, Effect::BudsOnNewCanes, Effect::BudsOnCanes) => self::SPURRED,
            $of(Effect::BudsOnLaterals) !== null => 'Its side shoots go back to a few buds, where the flowers come.',
            $share !== null && $share->target >= self::SHOWS => sprintf(
                'About %d %% of its growth comes off: it lets more light through.', $share->target,
            ),
            default => null,
        };
    }
}
