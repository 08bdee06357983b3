<?php

declare(strict_types=1);

namespace App\Io\Firm;

use App\Ground\Support\Dialect;
use App\Ground\Support\Reading;
use App\Ground\Support\StrayKey;
use Generator;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PruningHook\Core\Fault;
use stdClass;
use Throwable;
use ZipArchive;

/**
 * Everything of a firm in one ZIP that another installation takes in: `about.json`, a file of JSON lines for each table
 * (docs/formats/firm.md), and the photos. What is worked out from the rest, and what opens an account, is not in it.
 */
final class FirmDocument
{
    public const FORMAT = 'pruning-hook-firm';

    public const VERSION = 1;

    /** Each after what it names. */
    public const TABLES = [
        'firms', 'crews', 'crew_days_off', 'users', 'gardens', 'plants', 'observations', 'bloom_notes', 'visits',
        'visit_tasks', 'work_logs', 'entries', 'photos', 'stem_surveys', 'stem_taps', 'own_kinds', 'bench_answers',
        'sign_offs', 'client_words', 'changes',
    ];

    /** What opens an account, or follows from the rest. */
    private const LEFT_OUT = [
        'firms' => ['revision', 'kinds_revision', 'plan_revision', 'signs_weighed_by', 'signs_weigher'],
        'users' => [
            'password', 'remember_token', 'session_version', 'joined_at', 'code_secret', 'code_since', 'code_step',
            'code_spares', 'pin',
        ],
        'gardens' => ['revision'],
        'changes' => ['import_id'],
    ];

    private const AT_ONCE = 500;

    /** Bytes of one line, and of all that is unpacked, at the most; and how many times smaller anything is packed. */
    private const LONGEST = 8_000_000;

    private const LARGEST = 4_000_000_000;

    private const TIGHTEST = 200;

    /** @throws Fault where it cannot be written */
    public function write(string $to): void
    {
        $zip = new ZipArchive;
        if ($zip->open($to, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new Fault("$to cannot be written");
        }
        $counts = [];
        $parts = [];
        try {
            // All tables in one state, whoever writes meanwhile.
            Reading::together(function () use (&$counts, &$parts): void {
                foreach (self::TABLES as $table) {
                    $parts[$table] = (string) tempnam(sys_get_temp_dir(), 'hook');
                    $counts[$table] = $this->lines($table, $parts[$table]);
                }
            });
            foreach ($parts as $table => $part) {
                $zip->addFile($part, "tables/$table.jsonl");
            }
            $disk = Storage::disk('local');
            foreach (DB::table('photos')->orderBy('id')->pluck('uuid') as $uuid) {
                if ($disk->exists("photos/$uuid.jpg")) {
                    $zip->addFile($disk->path("photos/$uuid.jpg"), "photos/$uuid.jpg");
                    $zip->setCompressionName("photos/$uuid.jpg", ZipArchive::CM_STORE);
                }
            }
            $zip->addFromString('about.json', json_encode([
                'format' => self::FORMAT, 'version' => self::VERSION,
                'made_at' => Carbon::now()->toIso8601String(), 'rows' => $counts,
            ], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
            if (! $zip->close()) {
                throw new Fault("$to cannot be written");
            }
        } finally {
            array_map(unlink(...), $parts);
        }
    }

    private function lines(string $table, string $to): int
    {
        $file = fopen($to, 'w');
        $left = array_flip(self::LEFT_OUT[$table] ?? []);
        $sorts = Dialect::of(DB::connection())->sorts($table);
        $count = $after = 0;
        do {
            $rows = DB::table($table)->where('id', '>', $after)->orderBy('id')->limit(self::AT_ONCE)->get();
            foreach ($rows as $row) {
                $after = (int) $row->id;
                $count++;
                $cells = array_map(
                    self::opened(...), array_diff_key(Dialect::plain((array) $row, $sorts), $left),
                );
                $file === false ?: fwrite($file, json_encode(
                    $cells, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
                        | JSON_PRESERVE_ZERO_FRACTION,
                )."\n");
            }
        } while (count($rows) === self::AT_ONCE);
        $file === false ?: fclose($file);

        return $count;
    }

    /** What is kept as JSON goes out as what it says, not as a text. */
    private static function opened(mixed $value): mixed
    {
        if (! is_string($value) || preg_match('/^[{\[]/', $value) !== 1) {
            return $value;
        }
        $said = json_decode($value);

        return is_array($said) || $said instanceof stdClass ? $said : $value;
    }

    /**
     * Takes a firm into an installation that has none yet: all of it or nothing.
     *
     * @return array<string, int> rows by table
     *
     * @throws Fault naming file and line
     */
    public function take(string $from): array
    {
        if (DB::table('firms')->exists() || DB::table('users')->exists() || DB::table('gardens')->exists()) {
            throw new Fault('there is a firm here already; a whole firm is taken into an installation that has none');
        }
        $zip = new ZipArchive;
        if ($zip->open($from, ZipArchive::RDONLY) !== true) {
            throw new Fault("$from is no ZIP, or cannot be read");
        }
        $this->check($zip);
        $photos = [];
        try {
            return DB::transaction(function () use ($zip, &$photos): array {
                $dialect = Dialect::of(DB::connection());
                $counts = $dialect->filling(fn (): array => $this->rows($zip));
                $dialect->countOn(self::TABLES);
                $this->photos($zip, $photos);

                return $counts;
            });
        } catch (StrayKey $thrown) {
            throw new Fault("tables/$thrown->table.jsonl names something that is not in the file");
        } catch (Throwable $thrown) {
            Storage::disk('local')->delete($photos);

            throw $thrown;
        } finally {
            $zip->close();
        }
    }

    /**
     * @return array<string, int> rows by table
     *
     * @throws Fault
     */
    private function rows(ZipArchive $zip): array
    {
        $counts = [];
        foreach (self::TABLES as $table) {
            try {
                $counts[$table] = $this->fill($zip, $table);
            } catch (QueryException $thrown) {
                throw new Fault(sprintf(
                    'tables/%s.jsonl holds a row that cannot be kept: %s', $table,
                    $thrown->getPrevious()?->getMessage() ?? 'it lacks something',
                ));
            }
        }

        return $counts;
    }

    /** @throws Fault for what is no such document, or would unpack to more than anything honest */
    private function check(ZipArchive $zip): void
    {
        $about = json_decode((string) $zip->getFromName('about.json', self::LONGEST), true);
        if (! is_array($about) || ($about['format'] ?? null) !== self::FORMAT) {
            throw new Fault('this is no firm: its about.json does not say so');
        }
        if (($about['version'] ?? null) !== self::VERSION) {
            throw new Fault(sprintf(
                'version %s of the format is not known here', json_encode($about['version'] ?? null),
            ));
        }
        $this->sizes($zip);
    }

    /** @throws Fault */
    private function sizes(ZipArchive $zip): void
    {
        $size = 0;
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $entry = $zip->statIndex($index);
            $name = (string) ($entry['name'] ?? '');
            if (preg_match('~^(about\.json|tables/[a-z_]+\.jsonl|photos/[0-9a-f-]{36}\.jpg)$~', $name) !== 1) {
                throw new Fault("\"$name\" belongs to no firm");
            }
            $large = $entry['size'] ?? 0;
            $size += $large;
            if ($size > self::LARGEST || $large > self::TIGHTEST * max(1000, $entry['comp_size'] ?? 0)) {
                throw new Fault("$name unpacks to far more than it should: nothing of it is taken");
            }
        }
    }

    private function fill(ZipArchive $zip, string $table): int
    {
        $known = array_flip(Schema::getColumnListing($table));
        $count = 0;
        $rows = [];
        foreach ($this->read($zip, "tables/$table.jsonl") as $line => $row) {
            $odd = array_diff_key($row, $known);
            if ($odd !== []) {
                throw new Fault("tables/$table.jsonl, line $line: \"".array_key_first($odd).'" is an unknown column');
            }
            $rows[] = [...$row, ...$this->own($table)];
            $count++;
            if (count($rows) === self::AT_ONCE / 5) {
                DB::table($table)->insert($rows);
                $rows = [];
            }
        }
        DB::table($table)->insert($rows);

        return $count;
    }

    /** @return array<string, mixed> what each installation gives by itself */
    private function own(string $table): array
    {
        // A password that nobody knows: whoever comes is invited anew.
        return $table === 'users'
            ? ['password' => bcrypt(Str::random(40), ['rounds' => 4]), 'session_version' => Str::random(24)]
            : [];
    }

    /**
     * @return Generator<int, array<string, mixed>> rows as the columns keep them, by the number of their line
     *
     * @throws Fault
     */
    private function read(ZipArchive $zip, string $name): Generator
    {
        $file = $zip->getStream($name);
        if ($file === false) {
            throw new Fault("$name is missing");
        }
        $line = 0;
        while (($text = fgets($file, self::LONGEST)) !== false) {
            $line++;
            $row = json_decode($text);
            if (! $row instanceof stdClass || ! is_int($row->id ?? null)) {
                throw new Fault("$name, line $line: this is no row, or has no id");
            }
            yield $line => array_map(
                static fn (mixed $value): mixed => is_array($value) || $value instanceof stdClass
                    ? json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)
                    : $value,
                (array) $row,
            );
        }
        fclose($file);
    }

    /** @param  list<string>  $kept  what was written, so that it can be taken back */
    private function photos(ZipArchive $zip, array &$kept): void
    {
        $disk = Storage::disk('local');
        foreach (DB::table('photos')->orderBy('id')->pluck('uuid') as $uuid) {
            $file = $zip->getStream("photos/$uuid.jpg");
            if ($file === false) {
                continue;
            }
            $kept[] = "photos/$uuid.jpg";
            $disk->writeStream("photos/$uuid.jpg", $file);
        }
    }
}
