<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Circumstances;

/**
 * When a piece of knowledge holds: `{winter: cold}`, `{vine-system: [spur, cane]}`, `{from_year: 3}`. Every line must
 * hold; a list holds where any of its values does. A plant of unknown age counts as established.
 */
final readonly class Condition
{
    public const FACTS = [
        'winter', 'form', 'aim', 'grafted', 'trait', 'region', 'condition', 'bearing', 'rootstock',
        'growth', 'moved', 'exposed',
    ];

    /** @var array<string, list<string>> what each line excludes, of those that do */
    private array $excluded;

    /** @param  array<string, list<string>>  $wanted */
    private function __construct(
        private array $wanted,
        private ?int $fromYear,
        private ?int $toYear,
    ) {
        $this->excluded = array_filter(array_map(static fn (array $values): array => array_values(array_map(
            static fn (string $value): string => ltrim($value, '!'),
            array_filter($values, static fn (string $value): bool => str_starts_with($value, '!')),
        )), $wanted));
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry): self
    {
        $wanted = [];
        foreach (array_diff($entry->keys(), ['from_year', 'to_year']) as $key) {
            $wanted[$key] = $entry->strings($key);
        }

        return new self($wanted, $entry->int('from_year'), $entry->int('to_year'));
    }

    public static function always(): self
    {
        return new self([], null, null);
    }

    public function holds(Circumstances $plant): bool
    {
        if ($this->wanted === [] && $this->fromYear === null && $this->toYear === null) {
            return true;
        }
        $year = $plant->yearInGround ?? PHP_INT_MAX;
        if ($year < ($this->fromYear ?? 1) || $year > ($this->toYear ?? PHP_INT_MAX)) {
            return false;
        }
        foreach ($this->wanted as $key => $values) {
            if ($key === 'trait') {
                // A kind has several: each must be there.
                foreach ($values as $trait) {
                    if (! $plant->has($trait)) {
                        return false;
                    }
                }

                continue;
            }
            $answer = $plant->answer($key);
            // A value written `!renewal` holds for every answer but that one, none at all included.
            if (
                ! in_array($answer, $values, true)
                && (! isset($this->excluded[$key]) || in_array($answer, $this->excluded[$key], true))
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * What it looks at, with the values it names: `['aim' => ['renewal']]`, `['year' => ['1', '3']]` with the first
     * year it holds in and the first it no longer does.
     *
     * @return array<string, list<string>>
     */
    public function looksAt(): array
    {
        $named = array_map(
            static fn (array $values): array => array_map(
                static fn (string $value): string => ltrim($value, '!'),
                $values,
            ),
            $this->wanted,
        );
        $years = [
            ...$this->fromYear === null ? [] : [$this->fromYear],
            ...$this->toYear === null ? [] : [$this->toYear + 1],
        ];

        return $years === [] ? $named : [...$named, 'year' => array_map(strval(...), $years)];
    }

    /**
     * The questions of practice this looks at.
     *
     * @return list<string>
     */
    public function questions(): array
    {
        return array_values(array_diff(array_keys($this->wanted), self::FACTS));
    }

    /** The same, but holding from the given year in the ground where it says nothing of age itself. */
    public function fromYearAtLeast(int $year): self
    {
        return $this->fromYear === null && $this->toYear === null
            ? new self($this->wanted, $year, null)
            : $this;
    }
}
