<?php

declare(strict_types=1);

namespace App\Knowledge;

use Closure;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Exercise\ExerciseCases;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\GrowthHabits;
use PruningHook\Core\PlantBook\Inheritance;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\KindNames;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\Naming;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\ReadKinds;
use PruningHook\Core\PlantBook\Recipes;
use PruningHook\Core\PlantBook\RemovalCaps;
use PruningHook\Core\PlantBook\Sources;
use PruningHook\Core\PlantBook\States;
use PruningHook\Core\PlantBook\StationReader;
use PruningHook\Core\Schools\SchoolQuestion;
use ReflectionClass;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * Reads the plant book's YAML files into the core. The decoded files are kept beside the framework's caches, under a
 * name made of their paths, sizes and times, so that a changed file is read anew.
 */
final readonly class PlantBookFiles
{
    /** Where the firm's own entries stand, in the words of a fault. */
    public const OWN = "the firm's own";

    /** So many states of firms' own entries are kept beside the book's. */
    private const OWN_KEPT = 20;

    public function __construct(
        private string $folder,
        private string $cacheFolder,
    ) {
    }

    /**
     * The book, its kinds read when they are asked for. What the firm says of a kind that cannot be read any more (the
     * book has renamed the task it corrects, say) is put aside with the reason, and the book's own word holds.
     *
     * @param  array<string, OwnEntry>  $own  what the firm says of kinds, by kind
     *
     * @throws Fault naming file, place and what is wrong
     */
    public function read(array $own = []): PlantBook
    {
        [$names, $folded, $entries] = $this->compiled();
        [$questions, $cautions, $sources, $figures, $recipes, $caps, $states, $stations, $naming] =
            $this->general();
        $reader = new KindReader($sources, $recipes, $stations);
        $putAside = [];
        if ($own !== []) {
            [$ours, $folded, $written, $putAside] = $this->merged(
                $own, $folded, $entries,
                static fn (Kind $kind) => PlantBook::check($kind, $questions, $cautions), $reader,
            );
            $names = [...$names, ...$ours];
            $entries = [...$entries, ...$written];
        }

        return new PlantBook(
            $names,
            $folded,
            new WrittenKinds($entries, $reader),
            $questions, $cautions, $sources, $figures, $recipes, $caps, $states, $stations, $naming,
            $putAside, $this->mark(),
        );
    }

    /**
     * What the firm says of kinds, laid over the book's entries and held against the others once: whoever reads the
     * book until the next correction finds it done.
     *
     * @param  non-empty-array<string, OwnEntry>  $own
     * @param  array<string, string>  $folded
     * @param  array<string, array{string, array<array-key, mixed>}>  $entries
     * @param  Closure(Kind): mixed  $check
     * @return array{array<string, KindNames>, array<string, string>,
     *     array<string, array{string, array<array-key, mixed>}>, array<string, string>} the names of those that hold,
     *     what each folded name stands for, the entries, and why the others do not hold
     */
    private function merged(
        array $own,
        array $folded,
        array $entries,
        Closure $check,
        KindReader $reader,
    ): array {
        $cache = sprintf('%s/plant-own-%s.php', $this->cacheFolder, hash('xxh128', implode('|', [
            $this->mark(), self::readers(), json_encode($own, JSON_THROW_ON_ERROR),
        ])));
        /**
         * @var array{array<string, array{id: string, name: string, botanical: string, alsoCalled: list<string>,
         *     habit: string, family: string, wood: string}>, array<string, string>,
         *     array<string, array{string, array<array-key, mixed>}>, array<string, string>}|int|false $kept another may
         *     have tidied it away since
         */
        $kept = is_file($cache) ? @include $cache : false;
        if (is_array($kept)) {
            return [array_map(static fn (array $each): KindNames => new KindNames(...$each), $kept[0]), ...array_slice(
                $kept, 1,
            )];
        }
        $ours = $written = $putAside = [];
        foreach ($own as $id => $entry) {
            try {
                $complete = $this->own($entry, $entries);
                $kind = $this->told(
                    self::OWN, static fn (): Kind => AmountRules::check($reader->read(Entry::of($complete))), $complete,
                );
                $check($kind);
                $folded = PlantBook::foldedWith($folded, $id, $called = KindNames::of($kind));
                [$ours[$id], $written[$id]] = [$called, [self::OWN, $complete]];
            } catch (Fault $fault) {
                $putAside[$id] = $fault->getMessage();
            }
        }
        $this->keepOwn($cache, [array_map(get_object_vars(...), $ours), $folded, $written, $putAside]);

        return [$ours, $folded, $written, $putAside];
    }

    /**
     * The whole book at once, each kind held against the others: for whoever checks it.
     *
     * @throws Fault naming file, place and what is wrong
     */
    public function readAll(): PlantBook
    {
        $sources = Sources::of($this->sources($this->decoded()['sources.yaml'] ?? []));
        $reader = new KindReader($sources, $this->readRecipes($sources), $this->readStations());
        $kinds = [];
        foreach ($this->kinds() as [$file, $kind]) {
            $kinds[] = $this->told(
                $file,
                fn (): Kind => AmountRules::check($reader->read(Entry::of($this->withGeneral($kind)))),
                $kind,
            );
        }

        $general = $this->general();
        $byId = PlantBook::checked($kinds, $general[0], $general[1]);
        $names = array_map(KindNames::of(...), $byId);

        return new PlantBook($names, PlantBook::folded($names), new ReadKinds($byId), ...$general);
    }

    /**
     * What the firm says of a kind, laid over the entry it corrects or is like.
     *
     * @param  array<string, array{string, array<array-key, mixed>}>  $entries  as `compiled` has them
     * @return array<array-key, mixed>
     *
     * @throws Fault when it is like a kind that is not there
     */
    private function own(OwnEntry $own, array $entries): array
    {
        $like =
            $entries[$own->like ?? $own->kind][1] ??
            throw new Fault(sprintf('%s %s: there is no kind "%s"', self::OWN, $own->kind, $own->like ?? $own->kind));

        return [
            ...Inheritance::correct([...$like, 'also' => $own->like === null ? $like['also'] ?? [] : []], $own->entry),
            'id' => $own->kind,
        ];
    }

    /**
     * What holds for all kinds: questions, cautions, sources, figures, recipes, caps, states and stations.
     *
     * @return array{array<string, SchoolQuestion>, array<string, string>, Sources, Figures, Recipes, RemovalCaps,
     *     States, Stations, Naming}
     */
    private function general(): array
    {
        $files = $this->decoded();
        $sources = Sources::of($this->sources($files['sources.yaml'] ?? []));
        $recipes = $this->readRecipes($sources);

        return [
            $this->told('schools.yaml', fn () => $this->questions(Entry::of($files['schools.yaml'] ?? []))),
            $this->cautions($files['cautions.yaml'] ?? []),
            $sources,
            $this->told(
                'figures.yaml',
                static fn () => Figures::fromEntry(Entry::of($files['figures.yaml'] ?? [])->entry('figures'), $sources),
            ),
            $recipes,
            $this->told(
                'general.yaml',
                static fn () => RemovalCaps::fromEntry(
                    Entry::of($files['general.yaml'] ?? [])->entry('removal_caps'), $sources, $recipes,
                ),
            ),
            $this->told(
                'states.yaml',
                static fn () => States::fromEntry(Entry::of($files['states.yaml'] ?? []), $sources),
            ),
            $this->readStations(),
            $this->told(
                'names.yaml', static fn (): Naming => Naming::fromEntry(Entry::of($files['names.yaml'] ?? [])),
            ),
        ];
    }

    /** @throws Fault naming the station, and what of it cannot be */
    public function readStations(): Stations
    {
        return $this->told(
            'stations.yaml',
            fn (): Stations => StationReader::read(Entry::of($this->decoded()['stations.yaml'] ?? [])),
        );
    }

    /** @throws Fault naming what of a plant's build is missing */
    public function readHabits(): GrowthHabits
    {
        return $this->told(
            'habits.yaml', fn (): GrowthHabits => GrowthHabits::read(Entry::of($this->decoded()['habits.yaml'] ?? [])),
        );
    }

    /** @throws Fault naming what of a case to practise on is missing */
    public function readBench(): ExerciseCases
    {
        return $this->told(
            'bench.yaml', fn (): ExerciseCases => ExerciseCases::read(Entry::of($this->decoded()['bench.yaml'] ?? [])),
        );
    }

    /** @throws Fault naming the file, and what in it is not there */
    private function readRecipes(Sources $sources): Recipes
    {
        return Recipes::read(
            array_map(static fn (array $recipe): Entry => Entry::of($recipe), $this->recipes()),
            Entry::of($this->decoded()['lines.yaml'] ?? []),
            $sources,
        );
    }

    /**
     * The names of all kinds, what each folded name stands for, and each kind's file and complete entry, kept beside
     * the decoded files so that a request need not put them together again.
     *
     * @return array{array<string, KindNames>, array<string, string>,
     *     array<string, array{string, array<array-key, mixed>}>}
     *
     * @throws Fault when a group is not there, two kinds claim one name, or a file is not YAML
     */
    private function compiled(): array
    {
        $cache = sprintf(
            '%s/plant-kinds-%s.php', $this->cacheFolder, hash('xxh128', $this->mark().self::readers()),
        );
        if (! is_file($cache)) {
            $entries = [];
            foreach ($this->kinds() as [$file, $kind]) {
                $entries[Entry::of($kind)->string('id')] = [$file, $this->withGeneral($kind)];
            }
            $names = array_map(
                static fn (array $entry): KindNames => KindNames::fromEntry(Entry::of($entry[1])),
                $entries,
            );
            $this->keep($cache, [array_map(get_object_vars(...), $names), PlantBook::folded($names), $entries]);

            return [$names, PlantBook::folded($names), $entries];
        }
        /**
         * @var array{array<string, array{id: string, name: string, botanical: string, alsoCalled: list<string>,
         *         habit: string, family: string, wood: string}>,
         *     array<string, string>, array<string, array{string, array<array-key, mixed>}>} $kept
         */
        $kept = require $cache;

        return [
            array_map(static fn (array $names): KindNames => new KindNames(...$names), $kept[0]),
            $kept[1],
            $kept[2],
        ];
    }

    /**
     * The recipes as decoded, by file.
     *
     * @return array<string, array<array-key, mixed>>
     *
     * @throws Fault when a file is not YAML
     */
    public function recipes(): array
    {
        return array_filter(
            $this->decoded(),
            static fn (string $file): bool => str_starts_with($file, 'recipes/'),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** A mark of the book as it is: it changes with every change of a file. */
    public function mark(): string
    {
        return hash('xxh128', implode('|', array_map(
            static fn (string $path): string => $path.filesize($path).filemtime($path),
            $this->paths(),
        )));
    }

    /**
     * @return list<string>
     *
     * @throws Fault when there are none
     */
    private function paths(): array
    {
        $paths = array_merge(
            ...array_map(fn (string $files): array => glob($this->folder.$files) ?: [], [
                '/*.yaml', '/kinds/*.yaml', '/recipes/*.yaml',
            ]),
        );

        return $paths === [] ? throw new Fault("no plant book files in $this->folder") : $paths;
    }

    /**
     * A kind's entry as the book has it, completed by its group; null where the book has no such kind.
     *
     * @return ?array<array-key, mixed>
     */
    public function entry(string $id): ?array
    {
        foreach ($this->kinds() as [, $kind]) {
            if (($kind['id'] ?? null) === $id) {
                return $kind;
            }
        }

        return null;
    }

    /**
     * Every kind with its file, completed by its group.
     *
     * @return list<array{string, array<array-key, mixed>}>
     *
     * @throws Fault when a group is not there, or a file is not YAML
     */
    public function kinds(): array
    {
        $files = $this->decoded();
        $written = [];
        foreach ($files as $file => $data) {
            foreach (str_starts_with($file, 'kinds/') ? self::kindsIn($data) : [] as $kind) {
                $written[is_string($kind['id'] ?? null) ? $kind['id'] : ''] = $kind;
            }
        }
        $inheritance = new Inheritance((array) ($files['groups.yaml']['groups'] ?? []), $written);
        $kinds = [];
        foreach ($files as $file => $data) {
            foreach (str_starts_with($file, 'kinds/') ? self::kindsIn($data) : [] as $kind) {
                $kinds[] = [$file, $this->told($file, static fn () => $inheritance->complete($kind), $kind)];
            }
        }

        return $kinds;
    }

    /**
     * The files as decoded, by path below the plant book's folder.
     *
     * @return array<string, array<array-key, mixed>>
     *
     * @throws Fault when a file is not YAML
     */
    public function decoded(): array
    {
        $paths = $this->paths();
        $cache = $this->cacheFolder.'/plant-book-'.$this->mark().'.php';
        if (is_file($cache)) {
            /** @var array<string, array<array-key, mixed>> */
            return require $cache;
        }
        $files = [];
        foreach ($paths as $path) {
            $files[substr($path, strlen($this->folder) + 1)] = $this->parse($path);
        }
        $this->keep($cache, $files);

        return $files;
    }

    /**
     * One file holds one kind, or several under `kinds`.
     *
     * @param  array<array-key, mixed>  $data
     * @return list<array<array-key, mixed>>
     */
    private static function kindsIn(array $data): array
    {
        $kinds = $data['kinds'] ?? [$data];

        return array_values(array_filter(is_array($kinds) ? $kinds : [], is_array(...)));
    }

    /** @return array<array-key, mixed> */
    private function parse(string $path): array
    {
        try {
            $data = Yaml::parseFile($path);
        } catch (ParseException $exception) {
            throw new Fault(sprintf('%s: %s', basename($path), $exception->getMessage()), previous: $exception);
        }

        return is_array($data) ? $data : throw new Fault(basename($path).': nothing in it');
    }

    /** What reads the entries: what another version of it found right is looked at anew. */
    private static function readers(): string
    {
        return implode(' ', array_map(
            static fn (string $path): int => (int) filemtime($path),
            glob(dirname((string) (new ReflectionClass(KindReader::class))->getFileName()).'/*.php') ?: [],
        ));
    }

    /**
     * Firms that are served from one folder each have theirs: the latest few are kept.
     *
     * @param  array<array-key, mixed>  $what
     */
    private function keepOwn(string $cache, array $what): void
    {
        $others = glob("$this->cacheFolder/plant-own-*.php") ?: [];
        usort($others, static fn (string $a, string $b): int => (int) @filemtime($b) <=> (int) @filemtime($a));
        array_map(static fn (string $old): bool => @unlink($old), array_slice($others, self::OWN_KEPT));
        $this->put($cache, $what);
    }

    /** @param  array<array-key, mixed>  $what */
    private function keep(string $cache, array $what): void
    {
        // What an older state of the book left behind: `plant-book-<mark>.php` or `plant-kinds-<mark>.php`.
        $state = (string) preg_replace('/[0-9a-f]{32}\.php$/', '', $cache);
        foreach (array_diff(glob("$state*.php") ?: [], [$cache]) as $old) {
            @unlink($old);
        }
        $this->put($cache, $what);
    }

    /** @param  array<array-key, mixed>  $what */
    private function put(string $cache, array $what): void
    {
        // Written aside and renamed, so that a second process never reads half a file.
        $aside = $cache.'.'.getmypid();
        if (is_writable($this->cacheFolder)
            && file_put_contents($aside, '<?php return '.var_export($what, true).';') !== false) {
            rename($aside, $cache);
        }
    }

    /**
     * A kind with the tasks that hold for every kind, unless it says itself what its first year brings.
     *
     * @param  array<array-key, mixed>  $kind
     * @return array<array-key, mixed>
     */
    private function withGeneral(array $kind): array
    {
        $general = (array) ($this->decoded()['general.yaml']['tasks'] ?? []);
        $own = false;
        foreach (Entry::of($kind)->entries('tasks') as $task) {
            $when = $task->entry('when');
            $own = $own || $when->int('to_year') === 1 || $when->int('from_year') === 1;
        }
        // A grown plant that was moved is cleaned like any other, and not cut as a young one.
        $general = $own
            ? array_map(
                static fn (mixed $task): array => [...(array) $task, 'when' => ['to_year' => 1, 'moved' => 'yes']],
                $general,
            )
            : $general;

        return [...$kind, 'tasks' => [...(array) ($kind['tasks'] ?? []), ...$general]];
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return array<string, string>
     */
    private function sources(array $data): array
    {
        $names = [];
        foreach (Entry::of($data)->entries('sources') as $source) {
            $names[$source->string('key')] = $source->string('quote');
        }

        return $names;
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return array<string, string>
     */
    private function cautions(array $data): array
    {
        return Entry::of($data)->entry('cautions')->texts();
    }

    /** @return array<string, SchoolQuestion> */
    private function questions(Entry $file): array
    {
        $questions = [];
        foreach ($file->entries('schools') as $entry) {
            $options = $entry->entry('options')->texts();
            $key = $entry->string('key');
            $questions[$key] = new SchoolQuestion(
                $key, $entry->string('name'), $options, $entry->string('default'), 'common practice',
            );
            if (! isset($options[$entry->string('default')])) {
                throw $entry->fault('default', 'the default is not one of the options');
            }
        }

        return $questions;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @param  array<array-key, mixed>  $kind
     * @return T
     */
    private function told(string $file, callable $read, array $kind = []): mixed
    {
        try {
            return $read();
        } catch (Fault $fault) {
            $id = is_string($kind['id'] ?? null) ? ' '.$kind['id'] : '';
            throw new Fault($file.$id.': '.$fault->getMessage(), previous: $fault);
        }
    }
}
