<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Contracts\Support\Arrayable;

/**
 * What a page shows: a typed value, whose parts stand in its view under their own names.
 *
 * @implements Arrayable<string, mixed>
 */
abstract readonly class Page implements Arrayable
{
    /** @return array<string, mixed> by the names the view knows; what stands later wins */
    public function toArray(): array
    {
        $parts = [];
        foreach (get_object_vars($this) as $name => $part) {
            $parts = [...$parts, ...$part instanceof self ? $part->toArray() : [$name => $part]];
        }

        return $parts;
    }
}
