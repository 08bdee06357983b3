<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/**
 * One edge of a window: an offset, or the earliest or latest of several.
 *
 * Written `last-frost-14`, `earliest(bud-break-30, midwinter+70)` or `latest(bloom-end, last-frost+21)`.
 */
final readonly class Edge
{
    /** @var non-empty-list<array{string, int}> anchor and days, as plain values */
    private array $compiled;

    /** @param  non-empty-list<Offset>  $offsets */
    private function __construct(
        private array $offsets,
        private bool $latest,
    ) {
        $this->compiled = array_map(
            static fn (Offset $offset): array => [$offset->anchor->value, $offset->days], $offsets,
        );
    }

    /** @throws Fault when the words do not follow the grammar above */
    public static function parse(string $text): self
    {
        if (preg_match('/^(earliest|latest)\((.+)\)$/', trim($text), $part) === 1) {
            return new self(array_map(Offset::parse(...), explode(',', $part[2])), $part[1] === 'latest');
        }

        return new self([Offset::parse($text)], false);
    }

    /** @throws Fault when the year lacks an anchor this edge hangs on */
    public function in(Anchors $year): Day
    {
        return Day::fromNumber($this->number($year->numbers()));
    }

    /**
     * The same on plain numbers.
     *
     * @param  array<string, int>  $numbers  of a year, as `Anchors::numbers` gives them
     *
     * @throws Fault when the year lacks an anchor this edge hangs on
     */
    public function number(array $numbers): int
    {
        $chosen = null;
        foreach ($this->compiled as [$anchor, $days]) {
            $number =
                ($numbers[$anchor] ?? throw new Fault('this kind has no '.Anchor::from($anchor)->inWords())) + $days;
            if ($chosen === null || ($this->latest ? $number > $chosen : $number < $chosen)) {
                $chosen = $number;
            }
        }

        return $chosen;
    }

    /**
     * The anchors this edge looks at.
     *
     * @return list<Anchor>
     */
    public function anchors(): array
    {
        return array_map(static fn (Offset $offset): Anchor => $offset->anchor, $this->offsets);
    }

    public function inWords(): string
    {
        $words = array_map(static fn (Offset $offset): string => $offset->inWords(), $this->offsets);

        return count($words) === 1
            ? $words[0]
            : implode(' or ', $words).', whichever is '.($this->latest ? 'later' : 'earlier');
    }
}
