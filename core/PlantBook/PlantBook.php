<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use ArrayObject;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Keeping;
use PruningHook\Core\Schools\SchoolQuestion;

/** All kinds the product knows, found by id, botanical or common name in any writing of case, spaces and hyphens. */
final readonly class PlantBook
{
    /** what a plant's state is kept by */
    public Keeping $keeping;

    /** @var ArrayObject<string, Kind> kinds read so far */
    private ArrayObject $read;

    /** @var ArrayObject<int, Names> put together when they are first asked for */
    private ArrayObject $found;

    /**
     * A book whose kinds are read when they are asked for: one page rarely needs more than a few of them.
     *
     * @param  array<string, KindNames>  $names  of every kind, by id
     * @param  array<string, string>  $folded  as `folded` makes them
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $cautions  by key
     * @param  array<string, string>  $putAside  what of the firm's own word cannot be read any more, by kind, and why
     */
    public function __construct(
        public array $names,
        private array $folded,
        private KindSource $source,
        public array $questions,
        public array $cautions,
        public Sources $sources,
        public Figures $figures,
        public Recipes $recipes,
        public RemovalCaps $caps,
        public States $states,
        public Stations $stations,
        private Naming $naming,
        public array $putAside = [],
        /** changes whenever what the book says does */
        public string $mark = '',
    ) {
        $this->keeping = $figures->keeping($recipes->restoring);
        /** @var ArrayObject<string, Kind> $read */
        $read = new ArrayObject;
        $this->read = $read;
        /** @var ArrayObject<int, Names> $found */
        $found = new ArrayObject;
        $this->found = $found;
    }

    /**
     * Kinds by their id, each held against what the book describes.
     *
     * @param  list<Kind>  $kinds
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $cautions  by key
     * @return array<string, Kind>
     *
     * @throws Fault when a kind names a question or caution nobody describes
     */
    public static function checked(array $kinds, array $questions, array $cautions): array
    {
        $byId = [];
        foreach ($kinds as $kind) {
            $byId[$kind->id] = $kind;
            self::check($kind, $questions, $cautions);
        }

        return $byId;
    }

    /**
     * What each name, folded, stands for.
     *
     * @param  array<string, KindNames>  $names  by id
     * @return array<string, string> folded name to id
     *
     * @throws Fault when two kinds claim one name
     */
    public static function folded(array $names): array
    {
        $folded = [];
        foreach ($names as $id => $kind) {
            $folded = self::foldedWith($folded, $id, $kind);
        }

        return $folded;
    }

    /**
     * The same with one kind more, or with one under other names than before.
     *
     * @param  array<string, string>  $folded  folded name to id
     * @return array<string, string>
     *
     * @throws Fault when another kind has one of its names
     */
    public static function foldedWith(array $folded, string $id, KindNames $kind): array
    {
        foreach (array_keys($folded, $id, true) as $former) {
            unset($folded[$former]);
        }
        foreach ($kind->all() as $name) {
            $key = self::fold($name);
            if (($folded[$key] ?? $id) !== $id) {
                throw new Fault(sprintf('%s and %s are both called "%s"', $folded[$key], $id, $name));
            }
            $folded[$key] = $id;
        }

        return $folded;
    }

    /**
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $cautions  by key
     *
     * @throws Fault when the kind names a question or caution nobody describes
     */
    public static function check(Kind $kind, array $questions, array $cautions): void
    {
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

    public function has(string $id): bool
    {
        return isset($this->names[$id]);
    }

    /**
     * Every kind, by id; this reads the whole book.
     *
     * @return array<string, Kind>
     */
    public function all(): array
    {
        $kinds = [];
        foreach ($this->names as $id => $names) {
            $kinds[$id] = $this->kind($id);
        }

        return $kinds;
    }

    public function find(string $name): ?Kind
    {
        $id = $this->folded[self::fold($name)] ?? $this->names()->sure($name);

        return $id === null ? null : $this->kind($id);
    }

    /** @throws Fault when the book has no such kind */
    public function kind(string $id): Kind
    {
        if (! isset($this->names[$id])) {
            throw new Fault(
                sprintf('the plant book has no kind "%s"', $id).
                    (isset($this->putAside[$id]) ? ': '.$this->putAside[$id] : ''),
            );
        }

        return $this->read[$id] ??= $this->source->kind($id);
    }

    /** What a kind is called, also where the book has it no more. */
    public function nameOf(string $id): string
    {
        return $this->names[$id]->name ?? str_replace('-', ' ', $id);
    }

    /**
     * The kinds in one of whose names the text stands.
     *
     * @return list<string> ids
     */
    public function named(string $text): array
    {
        return array_keys(array_filter($this->names, static function (KindNames $names) use ($text): bool {
            foreach ($names->all() as $name) {
                if (mb_stripos($name, $text) !== false) {
                    return true;
                }
            }

            return false;
        }));
    }

    /** True where a kind bears just this name, in whatever writing. */
    public function bears(string $name): bool
    {
        return isset($this->folded[self::fold($name)]);
    }

    /** Finds kinds by what people call them. */
    public function names(): Names
    {
        return $this->found[0] ??= Names::of($this->names, $this->naming);
    }

    /** The name of the kind that is likest to a name nobody knows, or null where none is like it. */
    public function nearestName(string $name): ?string
    {
        return ($this->names()->find($name)[0] ?? null)?->name;
    }

    private static function fold(string $name): string
    {
        return trim((string) preg_replace('/[^a-z0-9]+/', ' ', strtolower($name)));
    }
}
