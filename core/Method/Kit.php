<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

/** What a crew brings and what it leaves: tools, people, protective gear, materials, debris, aftercare, follow-ups. */
final readonly class Kit
{
    /** The skill that no crew has. */
    public const ARBORIST = 'arborist';

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $gear
     * @param  list<string>  $materials
     * @param  list<string>  $aftercare
     * @param  list<array{after_days: ?int,
     *     what: string}>  $followUps  days after the cut; null where it comes with the season
     * @param  list<string>  $skills  what the hands must be able to handle
     */
    public function __construct(
        public array $tools,
        public int $people,
        public array $gear,
        public array $materials,
        /** loose cuttings, in litres */
        public int $debrisLitres,
        public array $aftercare,
        public array $followUps,
        public array $skills,
    ) {
    }

    /** What is needed for a job that is left to an arborist: nothing. */
    public static function none(): self
    {
        return new self([], 1, [], [], 0, [], [], [self::ARBORIST]);
    }

    /**
     * A kit as `toArray` wrote it: what the hands must be able to handle is not written.
     *
     * @param  array{tools: list<string>, people: int, gear: list<string>, materials: list<string>, debris_litres: int,
     *     aftercare: list<string>, follow_ups: list<array{after_days: ?int, what: string}>}  $written
     */
    public static function read(array $written): self
    {
        return new self(
            $written['tools'], $written['people'], $written['gear'], $written['materials'], $written['debris_litres'],
            $written['aftercare'], $written['follow_ups'], [],
        );
    }

    /** How many must be there at once, and what the second is for. */
    public function peopleInWords(): string
    {
        return match (true) {
            $this->people === 1 => 'one is enough',
            in_array('ladder', $this->tools, true) => "$this->people: one foots the ladder",
            default => "$this->people: one holds while the other unties and cuts",
        };
    }

    /** @return list<string> who may do it, where not everyone may alone */
    public function asks(): array
    {
        $saw = array_filter($this->tools, static fn (string $tool): bool => str_contains($tool, 'saw'));

        return [
            ...($this->people > 1 ? ["needs {$this->peopleInWords()}"] : []),
            ...($saw === [] ? [] : ['a saw is used: with the lead']),
        ];
    }

    /** @return array<string, mixed> the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        return [
            'tools' => $this->tools,
            'people' => $this->people,
            'gear' => $this->gear,
            'materials' => $this->materials,
            'debris_litres' => $this->debrisLitres,
            'aftercare' => $this->aftercare,
            'follow_ups' => $this->followUps,
        ];
    }
}
