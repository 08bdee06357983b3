<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\StemCount;
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
        $stems = $case->plant->stems;
        if ($stems === null) {
            return Amounts::of([$this->keep], $this->because(
                $this->keep->inWords().' are enough for a plant of this kind',
            ));
        }

        return $this->oldGo ? $this->fruited($stems) : $this->byNumber($stems->all(), $case);
    }

    /** Canes that have fruited die in any case and go whatever the number; of the others those that are too many. */
    private function fruited(StemCount $stems): Amounts
    {
        $keep = $this->keep;
        $out = $this->out($stems->old, $stems->young, $stems->all());

        return Amounts::of([$keep, $out], $this->because(sprintf(
            'all %d that have fruited go, and of the %d new ones those above %s', $stems->old, $stems->young,
            $keep->inWords(),
        )))->with(new Working(
            $keep->unit.self::TAKE, 'fruited + (new - wanted, none below nothing)',
            "$stems->old + ($stems->young - $keep->target)", (string) $out->target, $this->source,
        ));
    }

    /** Live stems keep to what may go this season. */
    private function byNumber(int $all, AmountCase $case): Amounts
    {
        $keep = $this->keep;
        $may = $case->mayGo($all);
        $out = $this->out(0, $all, $may);
        $over = max(0, $all - $keep->target);
        $later = $out->target < $over
            ? sprintf(
                ': %d now and the others over the coming years, since no more than %d %% may go in a season',
                $out->target, $case->budget->capPercent,
            )
            : '';

        return Amounts::of([$keep, $out], $this->because(
            $all <= $keep->max
                ? sprintf('it has %d; %s are wanted, so none must go for number alone', $all, $keep->inWords())
                : sprintf('it has %d; keeping %s takes out %d', $all, $keep->targetInWords(), $over).$later,
        ))->with(new Working(
            $keep->unit.self::TAKE, 'all - wanted, none below nothing, at most what may go',
            "$all - $keep->target, at most $may", (string) $out->target, $this->source,
        ));
    }

    /** @param  int  $go  that go whatever the number, and of how many others those that are too many */
    private function out(int $go, int $of, int $may): Amount
    {
        $over = static fn (int $wanted): int => $go + max(0, $of - $wanted);

        return Amount::of(
            $this->keep->unit.self::TAKE, $this->keep->unit, min($may, $over($this->keep->max)),
            $over($this->keep->target), min($may, $over($this->keep->min)), Effect::StemsOut,
        );
    }

    private function because(string $why): Reason
    {
        return new Reason(ucfirst($this->keep->what), $why, $this->source);
    }
}
