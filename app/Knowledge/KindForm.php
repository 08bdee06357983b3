<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\JsonSchema;
use App\Ground\Models\OwnKind;
use Illuminate\Support\Arr;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Inheritance;

/**
 * A kind as a form: the plant book's entry spread out into fields, and what comes back folded into an entry that says
 * only what differs. Fields carry the entry's own paths (`tasks.0.windows.0.opens`), so that a fault of the schema or
 * of the reader lands beside its field.
 */
final readonly class KindForm
{
    public const HABITS = ['shrub', 'subshrub', 'climber', 'tree', 'hedge', 'cane', 'vine', 'grass', 'perennial'];

    public const EVENTS = [
        'bud-break' => 'Bud break',
        'bloom-start' => 'Bloom begins',
        'bloom-end' => 'Bloom ends',
        'fruit-end' => 'Crop over',
        'leaf-fall' => 'Leaf fall',
    ];

    public const EDGES = ['opens' => 'Opens', 'best_from' => 'Best from', 'best_to' => 'Best to', 'closes' => 'Closes'];

    /** Lengths, in millimetres in the entry and in centimetres in the form. */
    public const LENGTHS = [
        'typical_height_mm' => 'Usual height',
        'growth_mm.min' => 'Growth before flowers, least',
        'growth_mm.max' => 'Growth before flowers, most',
        'lowest_framework_mm' => 'Lowest framework',
        'usual_cut_mm' => 'Usual cut',
    ];

    private const TEXTS = ['name', 'botanical', 'family', 'habit', 'wood', 'vigour', 'hard_cutting', 'about'];

    public function __construct(
        private PlantBookFiles $files,
        private TriedKind $tried,
    ) {
    }

    /**
     * The entry a version is laid over: the book's, or that of the kind it is like without its names.
     *
     * @return array<array-key, mixed>
     *
     * @throws Fault when there is no such kind
     */
    public function base(string $kind, ?string $like): array
    {
        $entry =
            $this->files->entry($like ?? $kind) ??
            throw new Fault(sprintf('the plant book has no kind "%s"', $like ?? $kind));

        return $like === null ? $entry : [...$entry, 'id' => $kind, 'name' => '', 'botanical' => '', 'also' => []];
    }

    /**
     * The entry with what the form says in it.
     *
     * @param  array<array-key, mixed>  $base
     * @param  array<string, mixed>  $said  as the form sends it
     * @return array<array-key, mixed>
     */
    public function complete(array $base, array $said): array
    {
        $entry = $base;
        foreach (self::TEXTS as $key) {
            Arr::set($entry, $key, self::text(Arr::get($said, $key)));
        }
        $names = array_filter(
            array_map(trim(...), explode(',', self::text(Arr::get($said, 'also')))),
            static fn (string $name): bool => $name !== '',
        );
        self::putList($entry, 'also', $names, isset($base['also']));
        foreach (array_keys(self::LENGTHS) as $key) {
            self::put($entry, $key, self::whole($said, $key, 10));
        }
        self::put($entry, 'removal_cap.percent', self::whole($said, 'removal_cap.percent'));
        foreach (array_keys(self::EVENTS) as $event) {
            self::put($entry, "phenology.$event", self::text(Arr::get($said, "phenology.$event")) ?: null);
        }
        self::putWindows($entry, $base, $said);
        self::putList(
            $entry, 'closures',
            self::closures((array) ($base['closures'] ?? []), (array) Arr::get($said, 'closures', [])), false,
        );
        foreach (array_keys((array) ($base['tasks'] ?? [])) as $index) {
            Arr::set($entry, "tasks.$index.name", self::text(Arr::get($said, "tasks.$index.name")));
            self::put($entry, "tasks.$index.minutes.base", self::whole($said, "tasks.$index.minutes.base"));
        }

        return $entry;
    }

    /**
     * A window that the firm changed is the firm's.
     *
     * @param  array<array-key, mixed>  $entry  written to
     * @param  array<array-key, mixed>  $base
     * @param  array<array-key, mixed>  $said
     */
    private static function putWindows(array &$entry, array $base, array $said): void
    {
        foreach (self::windows($base) as [$path]) {
            foreach ([...array_keys(self::EDGES), 'because'] as $edge) {
                Arr::set($entry, "$path.$edge", self::text(Arr::get($said, "$path.$edge")));
            }
            if (Arr::get($entry, $path) !== Arr::get($base, $path)) {
                Arr::set($entry, "$path.source", 'firm');
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $entry  written to; without the list where it is empty and need not be kept
     * @param  array<array-key, mixed>  $list
     */
    private static function putList(array &$entry, string $key, array $list, bool $keepEmpty): void
    {
        if ($list === [] && ! $keepEmpty) {
            unset($entry[$key]);
        } else {
            $entry[$key] = array_values($list);
        }
    }

    /**
     * A number of the form; null where it is left empty.
     *
     * @param  array<string, mixed>  $said
     */
    private static function whole(array $said, string $key, int $times = 1): ?int
    {
        $value = Arr::get($said, $key);

        return is_numeric($value) ? (int) round((float) $value * $times) : null;
    }

    /**
     * The days on which a kind is not cut at all, as the form says them: what is changed or added is the firm's, and
     * one whose days were both emptied holds no more.
     *
     * @param  array<array-key, mixed>  $base  those it is laid over
     * @param  array<array-key, mixed>  $said  as the form sends them
     * @return array<int, array<array-key, mixed>> by their place in the form
     */
    public static function closures(array $base, array $said): array
    {
        $closures = [];
        foreach (array_unique([...array_keys($base), ...array_keys($said)]) as $index) {
            $below = (array) ($base[$index] ?? []);
            $own = [];
            foreach (['name', 'from', 'to', 'because'] as $field) {
                $own[$field] = self::text(Arr::get((array) ($said[$index] ?? []), $field));
            }
            if ($own['from'] === '' && $own['to'] === '' && ($below !== [] || implode('', $own) === '')) {
                continue;
            }
            // The book need not name a closure.
            $closure = [...$below, ...($own['name'] === '' ? array_diff_key($own, ['name' => '']) : $own)];
            $closures[(int) $index] = $closure === $below ? $below : [...$closure, 'source' => 'firm'];
        }

        return $closures;
    }

    /**
     * What differs from the base, in the plant book's own form: it can be laid over it again.
     *
     * @param  array<array-key, mixed>  $base
     * @param  array<array-key, mixed>  $complete
     * @return array<array-key, mixed>
     */
    public static function difference(array $base, array $complete): array
    {
        $differs = [];
        foreach ($complete as $key => $value) {
            $below = $base[$key] ?? null;
            if ($value === $below) {
                continue;
            }
            $differs[$key] =
                is_array($value) && is_array($below) && ! array_is_list($value)
                    ? self::difference($below, $value)
                    : $value;
        }
        foreach (array_keys(array_diff_key($base, $complete)) as $gone) {
            $differs[$gone] = null;
        }
        if (isset($differs['tasks'], $base['tasks'])) {
            $differs['tasks'] = self::tasks((array) $base['tasks'], (array) $complete['tasks']);
        }

        return $differs;
    }

    /**
     * What a version changes, for people to read.
     *
     * @return list<array{what: string, was: string, is: string}>
     */
    public function differences(OwnKind $own): array
    {
        $base = $this->base($own->kind, $own->like);
        $complete = Inheritance::correct($base, $own->entry);
        [$was, $is] = [Arr::dot($base), Arr::dot($complete)];
        $differences = [];
        foreach (array_unique([...array_keys($was), ...array_keys($is)]) as $path) {
            if (($was[$path] ?? null) !== ($is[$path] ?? null) && ! str_ends_with((string) $path, '.source')) {
                $differences[] = [
                    'what' => self::label((string) $path, $complete),
                    'was' => self::text($was[$path] ?? ''),
                    'is' => self::text($is[$path] ?? ''),
                ];
            }
        }

        return $differences;
    }

    /** @param  array<array-key, mixed>  $entry */
    private static function label(string $path, array $entry): string
    {
        if (preg_match('/^tasks\.(\d+)\.(?:windows\.\d+\.)?(.+)$/', $path, $part) === 1) {
            return self::text(Arr::get($entry, "tasks.$part[1].name")).
                ', '.
                lcfirst(self::EDGES[$part[2]] ?? str_replace(['.', '_'], ' ', $part[2]));
        }
        if (str_starts_with($path, 'phenology.')) {
            return self::EVENTS[substr($path, 10)] ?? $path;
        }

        return isset(self::LENGTHS[$path]) ? self::LENGTHS[$path].', mm' : ucfirst(str_replace(['.', '_'], ' ', $path));
    }

    /**
     * The faults of an entry, by its path as the form names it: those of the schema, then what only a reading shows.
     *
     * @param  array<array-key, mixed>  $complete
     * @return array<string, string>
     */
    public function faults(array $complete, OwnEntry $own): array
    {
        $faults = [];
        $schema = JsonSchema::fromFile(base_path('plant-book/kind.schema.json'));
        foreach ($schema->faults(json_decode(json_encode($complete, JSON_THROW_ON_ERROR))) as $line) {
            [$path, $says] = explode(': ', $line, 2);
            $faults[self::field($path)] ??= ucfirst($says).'.';
        }
        if ($faults !== []) {
            return $faults;
        }
        $book = $this->files->read([...array_diff_key(OwnKinds::inForce(), [$own->kind => true]), $own->kind => $own]);
        $says = $book->putAside[$own->kind] ?? null;
        if ($says !== null) {
            $about = PlantBookFiles::OWN." $own->kind: ";
            if (! str_starts_with($says, $about)) {
                return ['name' => ucfirst($says).'.'];
            }
            [$path, $says] = explode(': ', substr($says, strlen($about)), 2);
            $faults[self::field($path)] = ucfirst($says).'.';

            return $faults;
        }
        $wrong = $this->tried->fault($book, $own->kind, $own->like ?? $own->kind);

        return $wrong === null ? [] : ['phenology.bloom-end' => $wrong];
    }

    /**
     * Where an entry's windows stand, with the words of their condition.
     *
     * @param  array<array-key, mixed>  $entry
     * @return list<array{string, string, string}> path, the task's path, condition
     */
    public static function windows(array $entry): array
    {
        $windows = [];
        foreach ((array) ($entry['tasks'] ?? []) as $task => $each) {
            foreach ((array) Arr::get((array) $each, 'windows', []) as $index => $window) {
                $when = [];
                foreach ((array) Arr::get((array) $window, 'when', []) as $fact => $value) {
                    $when[] =
                        str_replace(['-', '_'], ' ', (string) $fact).
                        ' '.
                        (is_array($value) ? implode(' or ', $value) : (is_scalar($value) ? (string) $value : ''));
                }
                $windows[] = ["tasks.$task.windows.$index", "tasks.$task", implode(', ', $when)];
            }
        }

        return $windows;
    }

    /** "$.tasks[0].windows[0].opens" as "tasks.0.windows.0.opens" */
    private static function field(string $path): string
    {
        return ltrim(str_replace(['[', ']'], ['.', ''], ltrim($path, '$')), '.');
    }

    /**
     * @param  array<array-key, mixed>  $base
     * @param  array<array-key, mixed>  $complete
     * @return list<array<array-key, mixed>> the tasks that differ, each with its key
     */
    private static function tasks(array $base, array $complete): array
    {
        $differ = [];
        foreach ($complete as $index => $task) {
            $below = (array) ($base[$index] ?? []);
            if ($task !== $below) {
                $differ[] = ['key' => Arr::get((array) $task, 'key'), ...self::difference($below, (array) $task)];
            }
        }

        return $differ;
    }

    /** @param  array<array-key, mixed>  $entry */
    private static function put(array &$entry, string $key, int|string|null $value): void
    {
        $value === null ? Arr::forget($entry, $key) : Arr::set($entry, $key, $value);
        // What held only this is gone with it.
        $parent = strrpos($key, '.');
        if ($value === null && $parent !== false && Arr::get($entry, substr($key, 0, $parent)) === []) {
            Arr::forget($entry, substr($key, 0, $parent));
        }
    }

    private static function text(mixed $said): string
    {
        return is_scalar($said) ? trim((string) $said) : '';
    }
}
