<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/** One season of one kind at one site: the site's anchors and the kind's own. */
final readonly class KindYear implements Anchors
{
    /** @param  array<string, Day>  $own */
    private function __construct(
        public SiteYear $site,
        private array $own,
    ) {
    }

    public static function of(SiteYear $site, Phenology $phenology): self
    {
        $own = $phenology->in($site);
        $leafFall = $phenology->edge(Anchor::LeafFall);
        if ($leafFall !== null) {
            $own[Anchor::PreviousLeafFall->value] = $phenology->in($site->before())[Anchor::LeafFall->value];
        }

        return new self($site, $own);
    }

    /** @param  array<string, Day>  $own days worked out so far */
    public static function with(SiteYear $site, array $own): self
    {
        return new self($site, $own);
    }

    public function has(Anchor $anchor): bool
    {
        return isset($this->own[$anchor->value]);
    }

    /** @throws Fault when the plant book gives this kind no such event */
    public function day(Anchor $anchor): Day
    {
        return $this->own[$anchor->value] ?? match ($anchor) {
            Anchor::BudBreak, Anchor::BloomStart, Anchor::BloomEnd, Anchor::FruitEnd, Anchor::LeafFall,
            Anchor::PreviousLeafFall => throw new Fault(sprintf('this kind has no %s', $anchor->inWords())),
            default => $this->site->day($anchor),
        };
    }
}
