<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/**
 * When a kind's own events fall: by warmth and light, or hung on an anchor of the site or an earlier event of the kind.
 */
final readonly class Phenology
{
    /** The order in which events are worked out; an event may lean only on those before it. */
    private const ORDER = [Anchor::BudBreak, Anchor::BloomStart, Anchor::BloomEnd, Anchor::FruitEnd, Anchor::LeafFall];

    /** @var array<string, Edge|ThermalDate> in the order in which they are worked out */
    private array $inOrder;

    /** @param  array<string, Edge|ThermalDate>  $edges */
    private function __construct(private array $edges)
    {
        $inOrder = [];
        foreach (self::ORDER as $anchor) {
            if (isset($edges[$anchor->value])) {
                $inOrder[$anchor->value] = $edges[$anchor->value];
            }
        }
        $this->inOrder = $inOrder;
    }

    /**
     * @param  array<string, Edge|ThermalDate>  $edges  by anchor
     *
     * @throws Fault when an event is not a kind's own or leans on a later one
     */
    public static function of(array $edges): self
    {
        $known = [];
        foreach (self::ORDER as $anchor) {
            $edge = $edges[$anchor->value] ?? null;
            foreach ($edge instanceof Edge ? $edge->anchors() : [] as $leansOn) {
                if (in_array($leansOn, self::ORDER, true) && ! in_array($leansOn, $known, true)) {
                    throw new Fault(sprintf('%s cannot lean on %s', $anchor->value, $leansOn->value));
                }
            }
            if (isset($edges[$anchor->value])) {
                $known[] = $anchor;
            }
        }
        $own = array_map(static fn (Anchor $anchor): string => $anchor->value, self::ORDER);
        foreach (array_diff(array_keys($edges), $own) as $stranger) {
            throw new Fault(sprintf('"%s" is not an event of a plant\'s year', $stranger));
        }

        return new self($edges);
    }

    public function has(Anchor $anchor): bool
    {
        return isset($this->edges[$anchor->value]);
    }

    public function edge(Anchor $anchor): Edge|ThermalDate|null
    {
        return $this->edges[$anchor->value] ?? null;
    }

    /**
     * One event alone: those before it are worked out only where it leans on one of them.
     *
     * @throws Fault when the kind has no such event
     */
    public function number(Anchor $anchor, SiteYear $site): int
    {
        $edge = $this->edges[$anchor->value] ?? throw new Fault(sprintf('this kind has no %s', $anchor->inWords()));
        if ($edge instanceof ThermalDate) {
            return $site->reaching($edge->sum);
        }
        foreach ($edge->anchors() as $leansOn) {
            if (isset($this->edges[$leansOn->value])) {
                return $this->numbers($site)[$anchor->value];
            }
        }

        return $edge->number($site->numbers());
    }

    /** @return array<string, int> the site's anchors and the kind's own, as plain numbers, worked out in order */
    public function numbers(SiteYear $site): array
    {
        $numbers = $site->numbers();
        foreach ($this->inOrder as $anchor => $edge) {
            $numbers[$anchor] = $edge instanceof Edge ? $edge->number($numbers) : $site->reaching($edge->sum);
        }

        return $numbers;
    }
}
