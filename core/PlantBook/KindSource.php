<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** Where a plant book takes a kind from when it is asked for. */
interface KindSource
{
    /**
     * @param  string  $id  one of the book's names
     *
     * @throws Fault when what stands there cannot be read
     */
    public function kind(string $id): Kind;
}
