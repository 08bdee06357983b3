<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** A number of stems the kind is best kept to; where this plant's stems are counted, also how many that takes out. */
final readonly class StemsToKeep implements AmountRule
{
    /** How the amount that goes is called, after what is counted. */
    public const TAKE = ' to take out';

    private function __construct(
        private Amount $keep,
        private bool $oldGo,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        $unit = $entry->string('unit', 'stems');

        return new self(
            Amount::of(
                $unit.' to keep', $unit, $entry->whole('min'), $entry->whole('target'), $entry->whole('max'),
                Effect::StemsKept,
            ),
            $entry->bool('old_go', false), $source,
        );
    }

    /** The number itself: fewest, wanted and most. */
    public function keep(): Amount
    {
        return $this->keep;
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        $keep = $this->keep;
        if ($plant->stems === null) {
            return Amounts::of([$keep], Reason::of(
                ucfirst($keep->what),
                $keep->inWords().' are enough for a plant of this kind',
                $this->source,
            ));
        }
        $all = $plant->stems->all();
        // Canes that have fruited go whatever the number; of the others those that are too many.
        [$go, $of] = $this->oldGo ? [$plant->stems->old, $plant->stems->young] : [0, $all];
        $over = static fn (int $wanted): int => $go + max(0, $of - $wanted);
        // Fruited canes die in any case; live stems keep to what may go this season.
        $may = $this->oldGo ? $all : $case->mayGo($all);
        $out = Amount::of(
            $keep->unit.self::TAKE, $keep->unit, min($may, $over($keep->max)), $over($keep->target),
            min($may, $over($keep->min)), Effect::StemsOut,
        );
        if ($this->oldGo) {
            return Amounts::of(
                [$keep, $out],
                Reason::of(
                    ucfirst($keep->what),
                    sprintf(
                        'all %d that have fruited go, and of the %d new ones those above %s', $go, $of,
                        $keep->inWords(),
                    ),
                    $this->source,
                ),
            )->with(
                Working::of(
                    $keep->unit.self::TAKE, 'fruited + (new - wanted, none below nothing)',
                    "$go + ($of - $keep->target)", (string) $out->target, $this->source,
                ),
            );
        }

        return Amounts::of(
            [$keep, $out],
            Reason::of(
                ucfirst($keep->what),
                $all <= $keep->max
                    ? sprintf('it has %d; %s are wanted, so none must go for number alone', $all, $keep->inWords())
                    : sprintf(
                        'it has %d; keeping %s takes out %d',
                        $all,
                        $keep->targetInWords(),
                        $over($keep->target),
                    ).
                        ($out->target < $over($keep->target)
                        ? sprintf(
                            ': %d now and the others over the coming years, since no more than %d %% may go in a '
                                .'season',
                            $out->target, $case->budget->capPercent,
                        )
                        : ''),
                $this->source,
            ),
        )->with(
            Working::of(
                $keep->unit.self::TAKE, 'all - wanted, none below nothing, at most what may go',
                "$all - $keep->target, at most $may", (string) $out->target, $this->source,
            ),
        );
    }
}
