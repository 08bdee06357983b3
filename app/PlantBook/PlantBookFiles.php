<?php

declare(strict_types=1);

namespace App\PlantBook;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\RemovalCaps;
use PruningHook\Core\PlantBook\Sources;
use PruningHook\Core\Practice\SchoolQuestion;
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

    public function __construct(
        private string $folder,
        private string $cacheFolder,
    ) {
    }

    /**
     * @param  array<string, OwnEntry>  $own  what the firm says of kinds, by kind
     *
     * @throws Fault naming file, place and what is wrong
     */
    public function read(array $own = []): PlantBook
    {
        $files = $this->decoded();
        $sources = Sources::of($this->sources($files['sources.yaml'] ?? []));
        $reader = KindReader::with($sources);
        $general = $files['general.yaml']['tasks'] ?? [];
        $kinds = [];
        foreach ($this->kinds($own) as [$file, $kind]) {
            $kinds[] = $this->told($file, static fn () => $reader->read(Entry::of(self::withGeneral($kind, (array) $general))), $kind);
        }

        return PlantBook::of(
            $kinds,
            $this->told('schools.yaml', fn () => $this->questions(Entry::of($files['schools.yaml'] ?? []))),
            $this->cautions($files['cautions.yaml'] ?? []),
            $sources,
            $this->told('figures.yaml', static fn () => Figures::fromEntry(Entry::of($files['figures.yaml'] ?? [])->entry('figures'), $sources)),
            $this->told('general.yaml', static fn () => RemovalCaps::fromEntry(Entry::of($files['general.yaml'] ?? [])->entry('removal_caps'), $sources)),
        );
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
     * Every kind with its file, completed by its group, and the firm's own laid over them.
     *
     * @param  array<string, OwnEntry>  $own
     * @return list<array{string, array<array-key, mixed>}>
     *
     * @throws Fault when a group is not there, or a file is not YAML
     */
    public function kinds(array $own = []): array
    {
        $files = $this->decoded();
        $inheritance = new Inheritance((array) ($files['groups.yaml']['groups'] ?? []));
        $kinds = [];
        foreach ($files as $file => $data) {
            foreach (str_starts_with($file, 'kinds/') ? self::kindsIn($data) : [] as $kind) {
                $kinds[] = [$file, $this->told($file, static fn () => $inheritance->complete($kind), $kind)];
            }
        }

        return $own === [] ? $kinds : self::withOwn($kinds, $own);
    }

    /**
     * @param  list<array{string, array<array-key, mixed>}>  $kinds
     * @param  array<string, OwnEntry>  $own
     * @return list<array{string, array<array-key, mixed>}>
     *
     * @throws Fault when an entry of the firm's is like a kind that is not there
     */
    private static function withOwn(array $kinds, array $own): array
    {
        $byId = array_combine(array_map(static fn (array $kind): string => is_string($kind[1]['id'] ?? null) ? $kind[1]['id'] : '', $kinds), $kinds);
        foreach ($own as $id => $entry) {
            $like = $byId[$entry->like ?? $id][1] ?? throw new Fault(sprintf('%s %s: there is no kind "%s"', self::OWN, $id, $entry->like ?? $id));
            $byId[$id] = [self::OWN, [...Inheritance::correct([...$like, 'also' => $entry->like === null ? $like['also'] ?? [] : []], $entry->entry), 'id' => $id]];
        }

        return array_values($byId);
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
        $paths = [...glob($this->folder.'/*.yaml') ?: [], ...glob($this->folder.'/kinds/*.yaml') ?: []];
        if ($paths === []) {
            throw new Fault("no plant book files in $this->folder");
        }
        $mark = hash('xxh128', implode('|', array_map(
            static fn (string $path): string => $path.filesize($path).filemtime($path),
            $paths,
        )));
        $cache = $this->cacheFolder."/plant-book-$mark.php";
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

    /** @param  array<string, array<array-key, mixed>>  $files */
    private function keep(string $cache, array $files): void
    {
        foreach (glob($this->cacheFolder.'/plant-book-*.php') ?: [] as $old) {
            unlink($old);
        }
        // Written aside and renamed, so that a second process never reads half a file.
        $aside = $cache.'.'.getmypid();
        if (is_writable($this->cacheFolder)
            && file_put_contents($aside, '<?php return '.var_export($files, true).';') !== false) {
            rename($aside, $cache);
        }
    }

    /**
     * A kind with the tasks that hold for every kind, unless it says itself what its first year brings.
     *
     * @param  array<array-key, mixed>  $kind
     * @param  array<array-key, mixed>  $general
     * @return array<array-key, mixed>
     */
    private static function withGeneral(array $kind, array $general): array
    {
        $tasks = Entry::of($kind)->entries('tasks');
        foreach ($tasks as $task) {
            if ($task->entry('when')->int('to_year') === 1) {
                return $kind;
            }
        }

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
            $questions[$key] = SchoolQuestion::of($key, $entry->string('name'), $options, $entry->string('default'), 'common practice');
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
