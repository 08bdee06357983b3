<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use ZipArchive;

/** Backup, restore, doctor and the demo's mark, each run as it is from the command line, on files of its own. */
final class UpkeepTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/upkeep-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
        touch($this->file());
        $this->artisan(['migrate', '--force', '--quiet']);
        $this->firm()->exec("insert into gardens (name, client, latitude, longitude, elevation_m, winter, practice)
            values ('Weir House', 'Rosa', 51.5, -0.1, 20, 'cool', '[]')");
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    public function test_as_many_backups_as_are_asked_for_are_kept_the_latest_first(): void
    {
        $storage = "$this->folder/storage";
        mkdir("$storage/framework/views", recursive: true);
        $this->artisan(['backup'], ['LARAVEL_STORAGE_PATH' => $storage]);
        self::assertSame('40700', sprintf('%o', fileperms("$storage/backups")), 'for its owner alone');
        array_map(unlink(...), (array) glob("$storage/backups/*"));
        foreach (['20200101-000000', '20200102-000000', '20200103-000000'] as $old) {
            touch("$storage/backups/hook-$old.zip");
        }
        $this->artisan(['backup', '--keep=2'], ['LARAVEL_STORAGE_PATH' => $storage]);
        $kept = (array) glob("$storage/backups/hook-*.zip");
        self::assertCount(2, $kept);
        self::assertStringEndsWith('hook-20200103-000000.zip', (string) $kept[0]);
        self::assertGreaterThan(100, filesize((string) $kept[1]));
        // The one just made is kept whatever was asked for, and whatever the clock says.
        unlink((string) $kept[1]);
        $this->artisan(['backup', '--keep=0'], ['LARAVEL_STORAGE_PATH' => $storage]);
        self::assertCount(1, (array) glob("$storage/backups/hook-*.zip"));
        array_map(unlink(...), (array) glob("$storage/backups/hook-*.zip"));
        foreach (['20990101-000000', '20990102-000000'] as $ahead) {
            touch("$storage/backups/hook-$ahead.zip");
        }
        $run = $this->artisan(['backup', '--keep=2'], ['LARAVEL_STORAGE_PATH' => $storage]);
        self::assertStringContainsString('is the clock of this machine right?', $run->getErrorOutput());
        $kept = (array) glob("$storage/backups/hook-*.zip");
        self::assertCount(2, $kept);
        self::assertGreaterThan(100, filesize((string) $kept[0]), 'the one just made');
        self::assertStringEndsWith('hook-20990102-000000.zip', (string) $kept[1]);
    }

    public function test_a_backup_is_encrypted_with_a_passphrase_and_read_by_it_alone(): void
    {
        $this->picture();
        $made = $this->hook(['backup', 'firm.zip.enc'], 'three wet gloves');
        self::assertSame(0, $made->getExitCode(), $made->getErrorOutput());
        $file = "$this->folder/firm.zip.enc";
        self::assertSame('0600', substr(sprintf('%o', fileperms($file)), -4));
        $bytes = (string) file_get_contents($file);
        foreach (['SQLite format', 'Weir House', 'about.json', 'PK'."\x03\x04"] as $plain) {
            self::assertStringNotContainsString($plain, $bytes);
        }
        self::assertSame([], array_values(array_diff(
            (array) glob("$this->folder/firm.zip.enc*"), [$file],
        )), 'nothing of it lies there in clear');
        $this->firm()->exec("update gardens set name = 'Changed since'");
        $refused = ['' => 'is encrypted: set HOOK_BACKUP_PASSPHRASE', 'two wet gloves' => 'the passphrase is wrong'];
        foreach ($refused as $passphrase => $says) {
            $back = $this->hook(['restore', 'firm.zip.enc'], $passphrase);
            self::assertSame(1, $back->getExitCode());
            self::assertStringContainsString($says, $back->getErrorOutput());
            self::assertStringContainsString('Nothing was changed', $back->getErrorOutput());
        }
        self::assertSame('Changed since', $this->garden($this->file()));
        $back = $this->hook(['restore', 'firm.zip.enc'], 'three wet gloves');
        self::assertSame(0, $back->getExitCode(), $back->getErrorOutput());
        self::assertSame('Weir House', $this->garden($this->file()));
        self::assertSame([], glob("$this->folder/*.restoring*"));
    }

    public function test_a_backup_that_leaves_the_installation_is_encrypted_unless_somebody_says_otherwise(): void
    {
        $elsewhere = "$this->folder-elsewhere";
        mkdir($elsewhere);
        $file = "$elsewhere/firm.zip";
        try {
            $refused = $this->hook(['backup', $file]);
            self::assertSame([1, false], [$refused->getExitCode(), is_file($file)]);
            self::assertStringContainsString('lies outside this installation', $refused->getErrorOutput());
            self::assertSame(0, $this->hook(['backup', $file], 'three wet gloves')->getExitCode());
            self::assertStringNotContainsString('about.json', (string) file_get_contents($file));
            unlink($file);
            self::assertSame(0, $this->hook(['backup', $file, '--plain'])->getExitCode());
            self::assertStringContainsString('about.json', (string) file_get_contents($file));
        } finally {
            array_map(unlink(...), (array) glob("$elsewhere/*"));
            rmdir($elsewhere);
        }
    }

    public function test_a_backup_comes_back_and_what_was_there_is_kept_beside(): void
    {
        $picture = $this->picture();
        file_put_contents("$this->folder/files/photos/22222222-2222-4222-8222-222222222222.jpg", 'of no record');
        $made = $this->hook(['backup', 'firm.zip']);
        self::assertSame(0, $made->getExitCode(), $made->getErrorOutput());
        self::assertStringContainsString('1 gardens, 1 plants, 0 lines of the record, 1 pictures', $made->getOutput());
        self::assertSame('0600', substr(sprintf('%o', fileperms("$this->folder/firm.zip")), -4));
        $again = $this->hook(['backup', 'firm.zip']);
        self::assertSame(1, $again->getExitCode());
        self::assertSame(
            "hook: $this->folder/firm.zip is there already; a backup never takes the place of another",
            trim($again->getErrorOutput()),
        );

        $this->firm()->exec("update gardens set name = 'Changed since'");
        file_put_contents("$this->folder/$picture", 'another picture');
        $back = $this->hook(['restore', 'firm.zip']);
        self::assertSame(0, $back->getExitCode(), $back->getErrorOutput().$back->getOutput());
        self::assertStringContainsString('1 gardens, 1 plants, 1 pictures are back', $back->getOutput());
        self::assertSame('Weir House', $this->garden($this->file()));
        self::assertStringEqualsFile("$this->folder/$picture", 'a picture', 'as it was');
        self::assertStringEqualsFile((string) (glob("$this->folder/$picture.before-*")[0] ?? ''), 'another picture');
        unlink("$this->folder/$picture");
        self::assertStringContainsString('1 of them were missing', $this->hook(['restore', 'firm.zip'])->getOutput());
        self::assertFileExists("$this->folder/$picture");
        array_map(unlink(...), array_slice((array) glob($this->file().'.before-*'), 1));
        $beside = (array) glob($this->file().'.before-*');
        self::assertCount(1, $beside);
        self::assertSame('Changed since', $this->garden((string) $beside[0]));
        self::assertSame([], glob("$this->folder/*.restoring*"));
    }

    /** Whenever a restore is killed, what was there is there, or the backup; and the next one goes through. */
    public function test_a_restore_can_be_killed_at_every_step(): void
    {
        $picture = $this->picture();
        $this->hook(['backup', 'firm.zip']);
        $this->firm()->exec("update gardens set name = 'Changed since'");
        $steps = ['checking the backup', 'unpacking it', 'bringing it up to date', 'adding pictures',
            'keeping what is there', 'putting it in place', 'putting pictures right'];
        $seen = [];
        foreach ($steps as $at => $step) {
            unlink("$this->folder/$picture");
            $run = $this->process(['./hook', 'restore', 'firm.zip']);
            $run->start();
            $run->waitUntil(static fn (string $type, string $out): bool => str_contains($run->getOutput(), $step));
            // The step has begun; a little later, a little more of it.
            usleep(4000 * $at);
            (new Process(['pkill', '-9', '-f', "artisan restore $this->folder/firm.zip"]))->run();
            while ($run->isRunning()) {
                usleep(5000);
            }
            self::assertSame('ok', $this->firm()->query('pragma integrity_check')?->fetchColumn(), $step);
            $seen[] = $name = $this->garden($this->file());
            self::assertContains($name, ['Changed since', 'Weir House'], $step);
            self::assertFileDoesNotExist(dirname(__DIR__, 3).'/storage/framework/down');
            $again = $this->hook(['restore', 'firm.zip']);
            self::assertSame(0, $again->getExitCode(), $step.$again->getErrorOutput());
            self::assertSame('Weir House', $this->garden($this->file()), $step);
            self::assertFileExists("$this->folder/$picture");
            self::assertSame([], glob("$this->folder/*.restoring*"), $step);
            $this->firm()->exec("update gardens set name = 'Changed since'");
        }
        self::assertSame('Changed since', $seen[0]);
    }

    public function test_who_writes_meanwhile_is_not_turned_away_and_the_site_stays_as_it_was(): void
    {
        $this->hook(['backup', 'firm.zip']);
        $writer = $this->firm();
        $writer->exec('pragma busy_timeout = 5000');
        $writer->exec("update gardens set name = 'Changed since'");
        self::assertSame(0, $this->hook(['restore', 'firm.zip'])->getExitCode());
        // The connection that was open all the time reads and writes what was restored.
        self::assertSame('Weir House', $writer->query('select name from gardens')?->fetchColumn());
        $writer->exec("update gardens set client = 'Rosalind'");
        self::assertSame('Rosalind', $this->firm()->query('select client from gardens')?->fetchColumn());
        // Taken down on purpose, it stays down.
        $storage = "$this->folder/storage";
        mkdir("$storage/framework/views", recursive: true);
        touch("$storage/framework/down");
        $down = $this->artisan(['restore', "$this->folder/firm.zip"], ['LARAVEL_STORAGE_PATH' => $storage]);
        self::assertSame(0, $down->getExitCode(), $down->getErrorOutput());
        self::assertFileExists("$storage/framework/down");
    }

    public function test_a_damaged_database_gives_way_to_a_backup_and_is_kept(): void
    {
        $this->hook(['backup', 'firm.zip']);
        foreach (['-wal', '-shm'] as $part) {
            @unlink($this->file().$part);
        }
        $damaged = str_repeat('no database', 1000);
        file_put_contents($this->file(), $damaged);
        $back = $this->hook(['restore', 'firm.zip']);
        self::assertSame(0, $back->getExitCode(), $back->getErrorOutput());
        self::assertSame('Weir House', $this->garden($this->file()));
        self::assertStringEqualsFile((string) (glob($this->file().'.before-*')[0] ?? ''), $damaged);
    }

    public function test_a_picture_that_is_missing_or_false_and_a_newer_version_are_refused(): void
    {
        $picture = $this->picture();
        $this->hook(['backup', 'firm.zip']);
        $change = function (string $to, callable $change): void {
            copy("$this->folder/firm.zip", "$this->folder/$to");
            $zip = new ZipArchive;
            $zip->open("$this->folder/$to");
            $change($zip);
            $zip->close();
        };
        $about = static function (ZipArchive $zip, array $with): void {
            $zip->addFromString('about.json', (string) json_encode([
                ...(array) json_decode((string) $zip->getFromName('about.json'), true), ...$with,
            ]));
        };
        $change('false.zip', static fn (ZipArchive $zip) => $zip->addFromString($picture, 'b picture'));
        $change('missing.zip', static fn (ZipArchive $zip) => $zip->deleteName($picture));
        $change('forgotten.zip', static function (ZipArchive $zip) use ($picture, $about): void {
            $zip->deleteName($picture);
            $about($zip, ['files' => new \stdClass]);
        });
        $change('newer.zip', static fn (ZipArchive $zip) => $about($zip, ['version' => 3]));
        $this->firm()->exec("insert into migrations (migration, batch) values ('2099_01_01_000000_later', 99)");
        $this->hook(['backup', 'later.zip']);
        $this->firm()->exec('delete from migrations where batch = 99');
        unlink("$this->folder/$picture");
        $this->firm()->exec("update gardens set name = 'Changed since'");
        $newer = 'was made by a newer version of Pruning Hook: update this one first';
        $refused = [
            'false.zip' => 'is damaged: the picture', 'missing.zip' => 'is damaged: the picture',
            'forgotten.zip' => 'is damaged: the picture', 'newer.zip' => $newer, 'later.zip' => $newer,
        ];
        foreach ($refused as $file => $says) {
            $run = $this->hook(['restore', $file]);
            self::assertSame(1, $run->getExitCode(), $file);
            self::assertStringContainsString("$file $says", $run->getErrorOutput());
            self::assertStringEndsWith('. Nothing was changed.', trim($run->getErrorOutput()));
            self::assertSame('Changed since', $this->garden($this->file()), $file);
        }
        self::assertFileDoesNotExist("$this->folder/$picture");
        self::assertSame([], glob($this->file().'.before-*'));
        self::assertSame([], glob("$this->folder/*.restoring*"));
    }

    public function test_what_would_not_fit_is_not_unpacked(): void
    {
        // One byte of each page in four thousand: small in the ZIP, and not what its digest says.
        $zip = new ZipArchive;
        $zip->open("$this->folder/bomb.zip", ZipArchive::CREATE);
        $zip->addFromString('database.sqlite', str_repeat("\0", 300_000_000));
        $zip->addFromString('about.json', '{"product": "Pruning Hook", "version": 2, "sha256": "none", "files": {}}');
        $zip->close();
        self::assertLessThan(1_000_000, filesize("$this->folder/bomb.zip"));
        $run = $this->process(['./hook', 'restore', 'bomb.zip']);
        $largest = 0;
        $run->start();
        while ($run->isRunning()) {
            clearstatcache();
            foreach ((array) glob("$this->folder/*.restoring*") as $file) {
                $largest = max($largest, (int) @filesize((string) $file));
            }
            usleep(5000);
        }
        self::assertSame(1, $run->getExitCode());
        self::assertSame(0, $largest, 'nothing was written before it was looked at');
        self::assertStringContainsString('is damaged', $run->getErrorOutput());
    }

    public function test_what_is_no_whole_backup_changes_nothing(): void
    {
        $this->hook(['backup', 'firm.zip']);
        file_put_contents("$this->folder/text.zip", 'no zip');
        copy("$this->folder/firm.zip", "$this->folder/damaged.zip");
        $zip = new ZipArchive;
        $zip->open("$this->folder/damaged.zip");
        $zip->addFromString('database.sqlite', substr((string) $zip->getFromName('database.sqlite'), 0, -4096));
        $zip->close();
        $zip->open("$this->folder/other.zip", ZipArchive::CREATE);
        $zip->addFromString('letter.txt', 'Dear all');
        $zip->close();
        $refused = [
            'nowhere.zip' => 'is no backup: it cannot be opened', 'text.zip' => 'is no backup: it cannot be opened',
            'other.zip' => 'is no backup of Pruning Hook',
            'damaged.zip' => 'is damaged: its database is not what was put into it',
        ];
        foreach ($refused as $file => $says) {
            $run = $this->hook(['restore', $file]);
            self::assertSame(1, $run->getExitCode());
            self::assertSame("hook: $this->folder/$file $says. Nothing was changed.", trim($run->getErrorOutput()));
        }
        self::assertSame('Weir House', $this->garden($this->file()));
        self::assertSame([], glob($this->file().'.before-*'));
    }

    /** Made from the demo by the last version before 1.0.0, with a picture, a client's page, a token and more added. */
    public function test_a_backup_of_before_the_first_version_is_brought_up_to_date(): void
    {
        $old = dirname(__DIR__, 2).'/Support/before-1.0.0.zip';
        $restored = $this->hook(['restore', $old]);
        self::assertSame(0, $restored->getExitCode(), $restored->getErrorOutput());
        self::assertStringContainsString('6 gardens, 61 plants, 1 pictures are back', $restored->getOutput());
        $zip = new ZipArchive;
        $zip->open($old);
        file_put_contents("$this->folder/old.sqlite", $zip->getFromName('database.sqlite'));
        $before = self::rows("$this->folder/old.sqlite");
        $now = self::rows($this->file());
        self::assertSame('restored', array_pop($now['security_events'])['kind'] ?? null);
        foreach ($before as $table => $rows) {
            self::assertSame($rows, $now[$table] ?? null, $table);
        }
        // What it says, by what was put into it.
        self::assertSame(
            [6, 61, 76, 201, 173, 13, 2, 1, 1],
            array_map(static fn (string $table): int => count($now[$table]), [
                'gardens', 'plants', 'visits', 'visit_tasks', 'work_logs', 'bloom_notes', 'stem_surveys', 'photos',
                'client_words',
            ]),
        );
        self::assertSame('WR1 2AB', $now['gardens'][0]['postcode']);
        self::assertSame(['user', 'Ledger'], [
            $now['personal_access_tokens'][0]['tokenable_type'], $now['personal_access_tokens'][0]['name'],
        ]);
        self::assertFileExists("$this->folder/files/photos/{$now['photos'][0]['uuid']}.jpg");
        self::assertSame(0, $this->hook(['backup', 'again.zip'])->getExitCode(), 'it goes on');
    }

    public function test_a_database_of_before_that_is_not_up_to_date_is_refused(): void
    {
        $this->firm()->exec('delete from migrations');
        $run = $this->process([PHP_BINARY, dirname(__DIR__, 3).'/artisan', 'migrate', '--force']);
        $run->run();
        self::assertNotSame(0, $run->getExitCode());
        self::assertStringContainsString('older than version 1.0.0', $run->getOutput().$run->getErrorOutput());
        self::assertSame('Weir House', $this->garden($this->file()));
    }

    /** @return array<string, list<array<string, mixed>>> what people put in, by table and id */
    private static function rows(string $file): array
    {
        $firm = new PDO("sqlite:$file", options: [PDO::ATTR_DEFAULT_FETCH_MODE => PDO::FETCH_ASSOC]);
        $all = static fn (string $sql): array => ($firm->query($sql) ?: self::fail($sql))->fetchAll();
        $rows = [];
        foreach (array_column($all("select name from sqlite_master where type = 'table'"), 'name') as $table) {
            if (preg_match('/^(sqlite_|search_|words_|kept_|migrations|jobs|cache|season_tasks)/', $table) !== 1) {
                $rows[$table] = $all("select * from \"$table\" order by 1, 2");
            }
        }

        return $rows;
    }

    public function test_a_backup_under_way_of_writing_is_of_one_moment(): void
    {
        $writer = new Process([PHP_BINARY, '-r', '$p = new PDO("sqlite:".$argv[1]);
            $p->exec("create table pairs (a, b)"); $p->exec("pragma busy_timeout = 5000");
            for ($i = 0; ; $i++) { $p->exec("begin immediate"); $p->exec("insert into pairs (a) values ($i)");
            $p->exec("update pairs set b = a where a = $i"); $p->exec("commit"); }', $this->file()]);
        $writer->start();
        usleep(300_000);
        $made = $this->hook(['backup', 'under-way.zip']);
        $writer->stop(0);
        self::assertSame(0, $made->getExitCode(), $made->getErrorOutput());
        $zip = new ZipArchive;
        $zip->open("$this->folder/under-way.zip");
        file_put_contents("$this->folder/copy.sqlite", (string) $zip->getFromName('database.sqlite'));
        $pairs = (new PDO("sqlite:$this->folder/copy.sqlite"))
            ->query('select count(*), sum(a is b), max(a) + 1 from pairs')?->fetch(PDO::FETCH_NUM);
        self::assertIsArray($pairs);
        self::assertGreaterThan(0, $pairs[0]);
        self::assertSame([$pairs[0], $pairs[0]], [$pairs[1], $pairs[2]], 'every pair is whole, and none is missing');
    }

    public function test_the_doctor_says_what_is_wrong_and_what_to_do(): void
    {
        $well = $this->hook(['doctor'])->getOutput();
        self::assertMatchesRegularExpression('/^database +ok: .*sound$/m', $well);
        self::assertMatchesRegularExpression('/^migrations +ok: \d+ run, none is left$/m', $well);
        self::assertMatchesRegularExpression('/^transactions +ok: WAL/m', $well);
        self::assertMatchesRegularExpression('/^settings +ok: .*Europe\/London, today \d{4}-/m', $well);
        self::assertMatchesRegularExpression('/ok: nothing waits for long$/m', $well);
        $firm = $this->firm();
        $firm->exec('pragma foreign_keys = off');
        $firm->exec("insert into failed_jobs (uuid, connection, queue, payload, exception)
            values ('a', 'database', 'default', '{}', 'the disk was full')");
        $firm->exec("insert into plants (garden_id, kind, label, practice, hazards, state)
            values (99, 'yew', 'Lost', '[]', '[]', '[]')");
        $firm->exec('delete from migrations');
        $ill = $this->hook(['doctor']);
        self::assertSame(1, $ill->getExitCode());
        self::assertStringContainsString('1 rows point at rows that are not there', $ill->getOutput());
        self::assertStringContainsString('1 pieces of work failed: php artisan queue:failed', $ill->getOutput());
        self::assertStringContainsString('1 migrations have not been run: php artisan', $ill->getOutput());
    }

    public function test_the_doctor_sees_what_stands_still_and_what_cannot_be_written(): void
    {
        $storage = "$this->folder/storage";
        foreach (['framework/views', 'framework/cache/data', 'framework/sessions', 'logs'] as $each) {
            mkdir("$storage/$each", recursive: true);
        }
        mkdir("$this->folder/files");
        $look = function (array $besides = []) use ($storage): string {
            $run = new Process(
                [PHP_BINARY, 'artisan', 'doctor'], dirname(__DIR__, 3),
                [...$this->settings(), 'LARAVEL_STORAGE_PATH' => $storage, ...$besides],
            );
            $run->run();

            return $run->getOutput().$run->getErrorOutput();
        };
        $never = $look();
        self::assertMatchesRegularExpression('/^folders +ok: \d+, all can be written to$/m', $never);
        self::assertMatchesRegularExpression('/^worker +WRONG: never seen at work: start it: systemctl/m', $never);
        self::assertMatchesRegularExpression('/^scheduler +WRONG: never seen at work: no backup/m', $never);
        self::assertMatchesRegularExpression('/^site +ok: not taken down$/m', $never);
        // A worker that looked for work, and a scheduler that ran.
        foreach ([['queue:work', '--stop-when-empty'], ['schedule:run']] as $command) {
            $this->artisan($command, ['LARAVEL_STORAGE_PATH' => $storage]);
        }
        $well = $look();
        self::assertMatchesRegularExpression('/^worker +ok: at work \d+ seconds ago$/m', $well);
        self::assertMatchesRegularExpression('/^scheduler +ok: at work \d+ seconds ago$/m', $well);
        foreach ((array) glob("$storage/framework/*.heartbeat") as $beat) {
            touch((string) $beat, time() - 3600);
        }
        $this->firm()->exec("insert into jobs (queue, payload, attempts, available_at, created_at)
            values ('default', '{}', 0, 1000, 1000)");
        touch("$storage/framework/down");
        rmdir("$storage/framework/sessions");
        file_put_contents("$storage/framework/sessions", 'in the way of the folder');
        $backup = "$storage/backups";
        mkdir($backup);
        touch("$backup/hook-20270301-000000.zip");
        chmod("$backup/hook-20270301-000000.zip", 0644);
        chmod($this->folder, 0755);
        $ill = $look();
        self::assertMatchesRegularExpression('/^worker +WRONG: last seen at work at 20/m', $ill);
        self::assertMatchesRegularExpression('/^scheduler +WRONG: last seen at work at 20/m', $ill);
        self::assertMatchesRegularExpression('/^queue +WRONG: 1 jobs wait, the oldest since 1970/m', $ill);
        self::assertMatchesRegularExpression('/^site +WRONG: it was taken down: php artisan up$/m', $ill);
        self::assertMatchesRegularExpression('~^folders +WRONG: .*framework/sessions~m', $ill);
        self::assertMatchesRegularExpression('~^secrets +WRONG: .*hook-20270301-000000.zip~m', $ill);
        // A file nobody may write to wants another owner, not a backup: SQLite itself is asked not to write.
        $held = $this->firm();
        $held->exec('begin immediate');
        $busy = $look();
        self::assertMatchesRegularExpression('/^database +WRONG: somebody has held it/m', $busy);
        self::assertStringNotContainsString('Restore a backup', $busy);
    }

    public function test_the_demo_never_empties_or_fills_what_is_not_its_own(): void
    {
        foreach ([['demo', '--fresh', '--port', '8194'], ['demo', '--port', '8194']] as $call) {
            $run = $this->hook($call);
            self::assertSame(1, $run->getExitCode());
            self::assertStringEndsWith(
                $this->file().' is not the demo\'s: it is neither emptied nor filled. ./hook serve serves it',
                trim($run->getErrorOutput()),
            );
        }
        self::assertSame('Weir House', $this->garden($this->file()));
    }

    private function file(): string
    {
        return "$this->folder/firm.sqlite";
    }

    private function firm(): PDO
    {
        return new PDO('sqlite:'.$this->file(), options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
    }

    private function garden(string $file): mixed
    {
        return (new PDO("sqlite:$file"))->query('select name from gardens')?->fetchColumn();
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $besides
     */
    private function artisan(array $arguments, array $besides = []): Process
    {
        $run = new Process(
            [PHP_BINARY, 'artisan', ...$arguments], dirname(__DIR__, 3), [...$this->settings(), ...$besides],
            timeout: 120,
        );
        self::assertSame(0, $run->run(), $run->getOutput().$run->getErrorOutput());

        return $run;
    }

    /** @param  list<string>  $arguments */
    private function hook(array $arguments, string $passphrase = ''): Process
    {
        $run = $this->process([dirname(__DIR__, 3).'/hook', ...$arguments]);
        $run->setEnv([...$run->getEnv(), 'HOOK_BACKUP_PASSPHRASE' => $passphrase]);
        $run->run();

        return $run;
    }

    /** @param  list<string>  $command  `./hook` is the project's own */
    private function process(array $command): Process
    {
        $command[0] = $command[0] === './hook' ? dirname(__DIR__, 3).'/hook' : $command[0];

        return new Process($command, $this->folder, $this->settings(), timeout: 240);
    }

    /** A picture that stands in the record, as the path below the test's folder. */
    private function picture(): string
    {
        $uuid = '11111111-1111-4111-8111-111111111111';
        mkdir("$this->folder/files/photos", recursive: true);
        file_put_contents("$this->folder/files/photos/$uuid.jpg", 'a picture');
        $firm = $this->firm();
        $firm->exec("insert into plants (id, garden_id, kind, label, practice, hazards, state)
            values (1, 1, 'yew', 'Yew', '[]', '[]', '[]')");
        $firm->exec('insert into visits (id, garden_id, "on") values (1, 1, \'2027-03-01\')');
        $firm->exec("insert into visit_tasks (id, visit_id, plant_id, task, season, position, prescribed)
            values (1, 1, 1, 'clip', 2027, 0, '{}')");
        $firm->exec("insert into photos (uuid, visit_task_id, moment, taken_at, width, height, bytes)
            values ('$uuid', 1, 'before', '2027-03-01 09:00:00', 4, 3, 9)");

        return "files/photos/$uuid.jpg";
    }

    /** @return array<string, string> */
    private function settings(): array
    {
        return [
            'DB_DATABASE' => $this->file(), 'HOOK_FILES' => "$this->folder/files", 'APP_ENV' => 'local',
            'HOOK_TIME_ZONE' => 'Europe/London', 'CACHE_STORE' => 'array', 'DB_CONNECTION' => 'sqlite',
        ];
    }
}
