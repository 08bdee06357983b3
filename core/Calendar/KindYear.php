<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** One season of one kind at one site: the site's anchors and the kind's own. */
final readonly class KindYear implements Anchors
{
    /** @param  array<string, int>  $numbers  days since 1970-01-01, by anchor */
    private function __construct(public SiteYear $site, private array $numbers)
    {
    }

    /** The same season of the same kind is worked out once, however many plants and days ask for it. */
    public static function of(SiteYear $site, Phenology $phenology): self
    {
        return $site->kindYear($phenology, static function () use ($site, $phenology): self {
            $numbers = $phenology->numbers($site);
            if ($phenology->has(Anchor::LeafFall)) {
                $numbers[Anchor::PreviousLeafFall->value] = $phenology->number(Anchor::LeafFall, $site->before());
            }

            return new self($site, $numbers);
        });
    }

    public function has(Anchor $anchor): bool
    {
        return isset($this->numbers[$anchor->value]);
    }

    /** @throws Fault when the plant book gives this kind no such event */
    public function day(Anchor $anchor): Day
    {
        return Day::fromNumber(
            $this->numbers[$anchor->value] ?? throw new Fault(sprintf('this kind has no %s', $anchor->inWords())),
        );
    }

    public function numbers(): array
    {
        return $this->numbers;
    }

    /**
     * The days it is in bloom; null where it has no bloom to speak of.
     *
     * @throws Fault where, on this site's year, bloom would end before it begins
     */
    public function bloom(): ?Span
    {
        if (! $this->has(Anchor::BloomStart) || ! $this->has(Anchor::BloomEnd)) {
            return null;
        }
        [$start, $end] = [$this->day(Anchor::BloomStart), $this->day(Anchor::BloomEnd)];

        return $end->isBefore($start)
            ? throw new Fault(
                sprintf(
                    'on this site\'s year its bloom would end on %s, before it begins on %s',
                    $end->inWords(),
                    $start->inWords(),
                ),
            )
            : Span::of($start, $end);
    }
}
