<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** Kinds that have all been read. */
final readonly class ReadKinds implements KindSource
{
    /** @param  array<string, Kind>  $kinds  by id */
    public function __construct(private array $kinds)
    {
    }

    public function kind(string $id): Kind
    {
        return $this->kinds[$id];
    }
}
