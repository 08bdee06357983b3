<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use Illuminate\Support\Facades\DB;
use PDO;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

/** A firm goes to another database and back, and every row is what it was. */
final class MoveFirmTest extends FeatureTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/hook-move-'.getmypid();
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        DB::purge('elsewhere');
        array_map(unlink(...), (array) glob("$this->folder/*"));
        rmdir($this->folder);
        parent::tearDown();
    }

    public function test_a_firm_is_the_same_in_another_database_and_back_again(): void
    {
        $first = $this->moved('first.sqlite');
        $second = $this->elsewhere();
        $this->lying("sqlite:$first", fn () => $this->artisan('move-to', ['url' => $second])
            ->expectsOutputToContain('each equal to what was sent')->assertSuccessful()->run());
        $third = "$this->folder/third.sqlite";
        $this->lying($second, fn () => $this->artisan('move-to', ['url' => "sqlite:$third"])->assertSuccessful()
            ->run());
        $before = self::rows($first);
        self::assertCount(1, $before['visit_tasks']);
        self::assertSame('Ashgrove', $before['firms'][0]['name']);
        self::assertSame($before, self::rows($third));
    }

    /** The id of a plant that is gone is not given to another: its history still speaks of it. */
    public function test_ids_that_were_given_once_are_not_given_again(): void
    {
        $gone = Garden::factory()->create();
        $gone->forceDelete();
        $first = $this->moved('first.sqlite');
        $given = (new PDO("sqlite:$first"))->query("select seq from sqlite_sequence where name = 'gardens'");
        self::assertSame($gone->id, $given === false ? null : (int) $given->fetchColumn());
    }

    public function test_a_firm_is_found_by_its_words_where_it_came_to(): void
    {
        $first = $this->moved('first.sqlite');
        $found = (new PDO("sqlite:$first"))->query("select text from search_gardens where text match 'lrace'");
        self::assertStringContainsString('Millrace House', $found === false ? '' : (string) $found->fetchColumn());
    }

    public function test_where_a_firm_is_already_none_comes(): void
    {
        $first = $this->moved('first.sqlite');
        $this->artisan('move-to', ['url' => "sqlite:$first"])
            ->expectsOutputToContain('there is a firm there already')->assertFailed();
        self::assertCount(1, self::rows($first)['gardens']);
    }

    #[DataProvider('nowhere')]
    public function test_an_address_that_leads_nowhere_is_told(string $url, string $says): void
    {
        $this->artisan('move-to', ['url' => $url])->expectsOutputToContain($says)->assertFailed();
    }

    /** @return iterable<string, array{string, string}> */
    public static function nowhere(): iterable
    {
        yield 'no address' => ['hook.sqlite', 'a firm is moved to sqlite:/path/to/file or to postgresql://'];
        yield 'another sort' => ['mysql://root@127.0.0.1/hook', 'a firm is moved to sqlite:/path/to/file'];
        yield 'nobody answers' => ['postgresql://hook@127.0.0.1:1/hook', 'the database there does not answer'];
        yield 'no folder' => ['sqlite:/nowhere/at/all.sqlite', '/nowhere/at/all.sqlite cannot be written'];
    }

    private function moved(string $file): string
    {
        Firm::query()->create(['name' => 'Ashgrove', 'practice' => ['bush-rose-severity' => 'light-arc']]);
        $this->visitTask();
        $this->artisan('move-to', ['url' => "sqlite:$this->folder/$file"])->assertSuccessful()->run();

        return "$this->folder/$file";
    }

    /** An empty database on the server the tests run on; a file where they run on SQLite. */
    private function elsewhere(): string
    {
        $server = getenv('HOOK_TEST_PGSQL');
        if (! is_string($server) || $server === '') {
            return "sqlite:$this->folder/second.sqlite";
        }
        $name = 'hook_moved_'.(getenv('TEST_TOKEN') ?: '1');
        config(['database.connections.server' => [
            ...(array) config('database.connections.pgsql'), 'database' => 'postgres',
        ]]);
        DB::connection('server')->statement("drop database if exists $name");
        DB::connection('server')->statement("create database $name");
        DB::purge('server');

        return "$server/$name";
    }

    /** The office keeps its rows somewhere else meanwhile. */
    private function lying(string $url, callable $then): void
    {
        $was = config('database.default');
        $file = preg_replace('/^sqlite:/', '', $url);
        config(['database.default' => 'elsewhere', 'database.connections.elsewhere' => $file === $url
            ? [...(array) config('database.connections.pgsql'), 'url' => $url]
            : [...(array) config('database.connections.sqlite'), 'database' => $file]]);
        $then();
        DB::purge('elsewhere');
        config(['database.default' => $was]);
    }

    /** @return array<string, list<array<string, mixed>>> of every table, but for those that find words */
    private static function rows(string $file): array
    {
        $database = new PDO("sqlite:$file");
        $ask = static fn (string $sql): array => ($database->query($sql) ?: null)?->fetchAll(PDO::FETCH_ASSOC) ?? [];
        $rows = [];
        foreach ($ask("select name from sqlite_master where type = 'table'") as ['name' => $table]) {
            if (preg_match('/^(search|words)_|^migrations$/', (string) $table) !== 1) {
                $rows[(string) $table] = array_values($ask("select * from $table"));
            }
        }

        return $rows;
    }
}
