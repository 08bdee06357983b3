<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Plant\Circumstances;

/**
 * A piece of knowledge that holds only under a condition.
 *
 * @template-covariant T
 */
final readonly class Conditional
{
    /** @param  T  $value */
    private function __construct(
        public Condition $when,
        public mixed $value,
    ) {
    }

    /**
     * @template V
     *
     * @param  V  $value
     * @return self<V>
     */
    public static function of(Condition $when, mixed $value): self
    {
        return new self($when, $value);
    }

    /**
     * The first that holds for this plant, or null.
     *
     * @template V
     *
     * @param  list<self<V>>  $pieces
     * @return ?V
     */
    public static function first(array $pieces, Circumstances $plant): mixed
    {
        foreach ($pieces as $piece) {
            if ($piece->when->holds($plant)) {
                return $piece->value;
            }
        }

        return null;
    }

    /**
     * All that hold for this plant, in the book's order.
     *
     * @template V
     *
     * @param  list<self<V>>  $pieces
     * @return list<V>
     */
    public static function holding(array $pieces, Circumstances $plant): array
    {
        $held = [];
        foreach ($pieces as $piece) {
            if ($piece->when->holds($plant)) {
                $held[] = $piece->value;
            }
        }

        return $held;
    }
}
