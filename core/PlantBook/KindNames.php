<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * What a kind is called and what it is grown as: enough to find and to list it without reading all that is known of it.
 */
final readonly class KindNames
{
    /** @param  list<string>  $alsoCalled  other botanical and common names */
    public function __construct(
        public string $id,
        public string $name,
        public string $botanical,
        public array $alsoCalled,
        public string $habit,
    ) {
    }

    public static function of(Kind $kind): self
    {
        return new self($kind->id, $kind->name, $kind->botanical, $kind->alsoCalled, $kind->habit->value);
    }

    /** @throws Fault when a name is missing or not text */
    public static function fromEntry(Entry $kind): self
    {
        return new self(
            $kind->string('id'),
            $kind->string('name'),
            $kind->string('botanical'),
            $kind->strings('also'),
            $kind->string('habit'),
        );
    }

    /**
     * Every name it answers to.
     *
     * @return list<string>
     */
    public function all(): array
    {
        return [$this->id, $this->name, $this->botanical, ...$this->alsoCalled];
    }
}
