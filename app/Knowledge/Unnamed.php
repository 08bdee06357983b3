<?php

declare(strict_types=1);

namespace App\Knowledge;

use PruningHook\Core\PlantBook\PlantBook;

/** Plants nobody can name yet are kept as one of these: only their dead wood is cut. */
final class Unnamed
{
    private const PREFIX = 'unnamed-';

    /** @return array<string, string> what it is as far as anybody can see, by the id of the kind */
    public static function all(PlantBook $book): array
    {
        $all = [];
        foreach (array_keys($book->names) as $id) {
            if (self::is($id)) {
                $all[$id] = substr($id, strlen(self::PREFIX));
            }
        }

        return $all;
    }

    public static function is(string $kind): bool
    {
        return str_starts_with($kind, self::PREFIX);
    }
}
