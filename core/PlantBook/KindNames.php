<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/**
 * What a kind is called, what it is grown as and on which wood it flowers: enough to find it without reading all that
 * is known of it.
 */
final readonly class KindNames
{
    /**
     * @param  list<string>  $alsoCalled  other botanical and common names
     * @param  string  $wood  as FloweringWood has it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $botanical,
        public array $alsoCalled,
        public string $habit,
        public string $family = '',
        public string $wood = FloweringWood::None->value,
    ) {
    }

    public static function of(Kind $kind): self
    {
        return new self(
            $kind->id, $kind->name, $kind->botanical, $kind->alsoCalled, $kind->habit->value, $kind->family,
            $kind->wood->value,
        );
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
            $kind->string('family', ''),
            $kind->string('wood'),
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
