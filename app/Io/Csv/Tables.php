<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Io\Calendar\VisitTable;
use App\Io\Import\TakesIn;
use Illuminate\Contracts\Container\Container;

/** What is written to files and taken in from them, by the name its address has. */
final readonly class Tables
{
    public const OF = ['plants' => PlantTable::class, 'gardens' => GardenTable::class];

    /** Visits go out as a calendar and come in from one; the record goes out whole, that of years before comes in. */
    public const IN = [...self::OF, 'visits' => VisitTable::class, 'logs' => LogTable::class];

    public function __construct(private Container $container)
    {
    }

    public function named(string $of): Table
    {
        /** @var Table */
        return $this->container->make(self::OF[$of]);
    }

    public function takingIn(string $of): TakesIn
    {
        /** @var TakesIn a table knows one file, and is made anew for the next */
        return $this->container->make(self::IN[$of]);
    }
}
