<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Circumstances;

/**
 * How one step is said. Several wordings may stand for it: the first is taken of whose amounts all are known, so that
 * `[Take out {old of all} ..., Count the old stems and ...]` says the number where the stems are counted.
 */
final readonly class Wording
{
    /**
     * @param  list<Conditional<list<string>>>  $either  the first that holds is used; none where the step is left out
     */
    public function __construct(private array $either)
    {
    }

    /**
     * @param  Entry  $entry  with `says` (and `when`), or with `either`, a list of such
     *
     * @throws Fault when nothing is said
     */
    public static function fromEntry(Entry $entry): self
    {
        $either = $entry->has('either') ? $entry->entries('either') : [$entry];

        return new self(array_map(self::one(...), $either));
    }

    /**
     * A kind's own word for a step: a text, `false` to leave the step out, or what `fromEntry` reads.
     *
     * @throws Fault when it is none of them
     */
    public static function own(Entry $steps, string $key): self
    {
        return match (true) {
            $steps->is($key, false) => new self([]),
            $steps->isText($key) => new self([Conditional::of(Condition::always(), [$steps->string($key)])]),
            default => self::fromEntry($steps->entry($key)),
        };
    }

    /** @return list<string> the wordings that may be used, the best first */
    public function for(Circumstances $plant): array
    {
        return Conditional::first($this->either, $plant) ?? [];
    }

    /** @return list<Condition> */
    public function conditions(): array
    {
        return array_map(static fn (Conditional $one): Condition => $one->when, $this->either);
    }

    /** @return list<string> the questions of practice it looks at */
    public function questions(): array
    {
        return array_merge(...array_map(static fn (Conditional $one): array => $one->when->questions(), $this->either));
    }

    /** @return Conditional<list<string>> */
    private static function one(Entry $entry): Conditional
    {
        $says = $entry->strings('says');
        if ($says === []) {
            throw $entry->fault('says', 'text is needed here');
        }

        return Conditional::of(Condition::fromEntry($entry->entry('when')), $says);
    }
}
