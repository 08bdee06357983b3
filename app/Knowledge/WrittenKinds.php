<?php

declare(strict_types=1);

namespace App\Knowledge;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\KindSource;

/** Kinds as they are written in the plant book's files, or by the firm: each is read when it is asked for. */
final readonly class WrittenKinds implements KindSource
{
    /**
     * @param  array<string, array{string, array<array-key, mixed>}>  $entries  file and complete entry, by id
     */
    public function __construct(private array $entries, private KindReader $reader)
    {
    }

    public function kind(string $id): Kind
    {
        [$file, $entry] = $this->entries[$id];
        try {
            return $this->reader->read(Entry::of($entry));
        } catch (Fault $fault) {
            throw new Fault("$file $id: ".$fault->getMessage(), previous: $fault);
        }
    }
}
