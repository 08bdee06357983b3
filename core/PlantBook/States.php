<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** What the plant book says of plants that are neglected, thirsty, ill, moved, held to a line: by key. */
final readonly class States
{
    /** The states the core asks after; the book has to say something of each. */
    public const KNOWN = [
        'neglected',
        'congested',
        'lopped',
        'dieback',
        'dieback-heavy',
        'dead',
        'variegated',
        'drought',
        'waterlogged',
        'container',
        'exposed',
        'one-side',
        'transplanted',
    ];

    /**
     * @param  array<string, StateNote>  $notes  by key
     * @param  array<string, Disease>  $diseases  by key
     */
    private function __construct(private array $notes, public array $diseases)
    {
    }

    /** @throws Fault naming the place, where a state is missing, unknown or incomplete */
    public static function fromEntry(Entry $entry, Sources $sources): self
    {
        $states = $entry->entry('states');
        foreach (array_diff(self::KNOWN, $states->keys()) as $missing) {
            throw new Fault("states.$missing: nothing is said of this state");
        }
        foreach (array_diff($states->keys(), self::KNOWN) as $stranger) {
            throw new Fault("states.$stranger: nothing asks after this state");
        }
        $notes = [];
        foreach ($states->keys() as $key) {
            $note = $states->entry($key);
            $notes[$key] = StateNote::fromEntry($note, $sources, $note->string('because'));
        }
        $diseases = [];
        $named = $entry->entry('diseases');
        foreach ($named->keys() as $key) {
            $disease = $named->entry($key);
            $name = $disease->string('name');
            $note = StateNote::fromEntry($disease, $sources, "$name was found on it");
            $diseases[$key] = new Disease(
                $key,
                $name,
                $disease->has('also') ? $disease->strings('also') : [],
                $disease->has('in') ? $disease->strings('in') : [],
                $note,
            );
        }

        return new self($notes, $diseases);
    }

    public function note(string $key): StateNote
    {
        return $this->notes[$key] ?? throw new Fault("nothing is said of the state \"$key\"");
    }

    /** A disease by its key or any of its names, in any writing of case, spaces and hyphens. */
    public function disease(string $name): ?Disease
    {
        foreach ($this->diseases as $disease) {
            foreach ([$disease->key, $disease->name, ...$disease->alsoCalled] as $called) {
                if (self::fold($called) === self::fold($name)) {
                    return $disease;
                }
            }
        }

        return null;
    }

    private static function fold(string $name): string
    {
        return trim((string) preg_replace('/[^a-z0-9]+/', ' ', strtolower($name)));
    }
}
