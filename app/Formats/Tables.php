<?php

declare(strict_types=1);

namespace App\Formats;

use Illuminate\Contracts\Container\Container;

/** The tables that are written to files and taken in from them, by the name their address has. */
final readonly class Tables
{
    public const OF = ['plants' => PlantTable::class, 'gardens' => GardenTable::class];

    public function __construct(private Container $container)
    {
    }

    public function named(string $of): Table
    {
        /** @var Table a table knows one file, and is made anew for the next */
        return $this->container->make(self::OF[$of]);
    }
}
