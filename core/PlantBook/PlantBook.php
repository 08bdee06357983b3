<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;
use PruningHook\Core\Practice\SchoolQuestion;

/** All kinds the product knows, found by id, botanical or common name in any writing of case, spaces and hyphens. */
final readonly class PlantBook
{
    /**
     * @param  array<string, Kind>  $kinds  by id
     * @param  array<string, string>  $names  folded name to id
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $cautions  by key
     */
    private function __construct(
        public array $kinds,
        private array $names,
        public array $questions,
        public array $cautions,
        public Sources $sources,
        public Figures $figures,
        public RemovalCaps $caps,
    ) {
    }

    /**
     * @param  list<Kind>  $kinds
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $cautions  by key
     *
     * @throws Fault when two kinds claim one name, or a kind names a question or caution nobody describes
     */
    public static function of(array $kinds, array $questions, array $cautions, Sources $sources, Figures $figures, RemovalCaps $caps): self
    {
        $byId = [];
        $names = [];
        foreach ($kinds as $kind) {
            $byId[$kind->id] = $kind;
            foreach ($kind->names() as $name) {
                $folded = self::fold($name);
                if (($names[$folded] ?? $kind->id) !== $kind->id) {
                    throw new Fault(sprintf('%s and %s are both called "%s"', $names[$folded], $kind->id, $name));
                }
                $names[$folded] = $kind->id;
            }
            foreach (array_diff($kind->questions(), array_keys($questions)) as $unknown) {
                throw new Fault(sprintf('%s asks "%s", which schools.yaml does not describe', $kind->id, $unknown));
            }
            $named = [...$kind->cautions, ...array_merge(...array_values(array_map(
                static fn (TaskRule $task): array => $task->cautions,
                $kind->tasks,
            )))];
            foreach (array_diff($named, array_keys($cautions)) as $unknown) {
                throw new Fault(sprintf('%s warns of "%s", which cautions.yaml does not describe', $kind->id, $unknown));
            }
        }

        return new self($byId, $names, $questions, $cautions, $sources, $figures, $caps);
    }

    public function find(string $name): ?Kind
    {
        $id = $this->names[self::fold($name)] ?? null;

        return $id === null ? null : $this->kinds[$id];
    }

    /** @throws Fault when the book has no such kind */
    public function kind(string $id): Kind
    {
        return $this->kinds[$id] ?? throw new Fault(sprintf('the plant book has no kind "%s"', $id));
    }

    /** The known name nearest to a misspelt one, or null where none is near. */
    public function nearestName(string $name): ?string
    {
        $folded = substr(self::fold($name), 0, 60);
        $best = null;
        $distance = max(3, intdiv(strlen($folded), 3)) + 1;
        foreach ($this->kinds as $kind) {
            foreach ($kind->names() as $known) {
                $far = levenshtein($folded, self::fold($known));
                if ($far < $distance) {
                    [$best, $distance] = [$known, $far];
                }
            }
        }

        return $best;
    }

    private static function fold(string $name): string
    {
        return trim((string) preg_replace('/[^a-z0-9]+/', ' ', strtolower($name)));
    }
}
