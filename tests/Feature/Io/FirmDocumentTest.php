<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Models\Firm;
use App\Ground\Models\Photo;
use App\Ground\Support\Dialect;
use App\Ground\Support\SearchTables;
use App\Io\Firm\FirmDocument;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;
use ZipArchive;

/** A whole firm goes from one installation to another and is the same there. */
final class FirmDocumentTest extends FeatureTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->folder = sys_get_temp_dir().'/hook-firm-'.getmypid();
        is_dir($this->folder) || mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob("$this->folder/*"));
        rmdir($this->folder);
        parent::tearDown();
    }

    public function test_a_firm_is_the_same_in_another_installation(): void
    {
        $this->firm();
        $this->artisan('firm', ['way' => 'out', 'file' => "$this->folder/one.zip"])->assertSuccessful();
        $before = $this->inside("$this->folder/one.zip");
        self::assertStringNotContainsString('password', implode($before));
        self::assertTrue((new Validator)->validate(
            json_decode($before['about.json']),
            json_decode((string) file_get_contents(base_path('docs/formats/firm.schema.json'))),
        )->isValid());
        $this->emptied();
        $this->artisan('firm', ['way' => 'in', 'file' => "$this->folder/one.zip"])
            ->expectsOutputToContain('Taken in: 1 gardens, 1 plants, 1 visits, 1 lines of the record, 2 people.')
            ->expectsOutputToContain('/welcome/')->assertSuccessful();
        $this->artisan('firm', ['way' => 'out', 'file' => "$this->folder/two.zip"])->assertSuccessful();
        $after = $this->inside("$this->folder/two.zip");
        self::assertSame($before, $after);
        $this->actingAs($this->planner())->get("/gardens/{$this->garden->id}")->assertOk()->assertSee('Wisteria');
        $this->get('/search?q=wisteria')->assertSee('Wisteria');
        $this->get('/')->assertOk();
        Storage::disk('local')->assertExists('photos/'.Photo::query()->sole()->uuid.'.jpg');
    }

    public function test_it_is_fetched_by_the_planner_alone(): void
    {
        $this->firm();
        $this->actingAs($this->lead())->get('/export/firm')->assertForbidden();
        $answer = $this->actingAs($this->planner())->get('/export/firm')->assertOk()
            ->assertHeader('Content-Type', 'application/zip');
        self::assertStringStartsWith('PK', $answer->streamedContent());
    }

    public function test_a_firm_is_never_taken_over_another(): void
    {
        $this->firm();
        $this->artisan('firm', ['way' => 'out', 'file' => "$this->folder/one.zip"])->assertSuccessful();
        $this->artisan('firm', ['way' => 'out', 'file' => "$this->folder/one.zip"])->assertFailed();
        $this->artisan('firm', ['way' => 'in', 'file' => "$this->folder/one.zip"])
            ->expectsOutputToContain('there is a firm here already')->assertFailed();
        self::assertSame(1, Firm::query()->count());
        $this->artisan('firm', ['way' => 'round', 'file' => 'x'])->assertFailed();
    }

    /** @return array<string, array{callable(ZipArchive): mixed, string}> */
    public static function damages(): array
    {
        return [
            'an unknown column' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'tables/crews.jsonl', '{"id":1,"name":"Wren crew","colour":"blue"}'."\n",
            ), 'tables/crews.jsonl, line 1: "colour" is an unknown column'],
            'a line that is no JSON' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'tables/plants.jsonl', "{\"id\":1\n",
            ), 'tables/plants.jsonl, line 1: this is no row'],
            'a row that lacks what it needs' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'tables/crews.jsonl', '{"id":1}'."\n",
            ), 'tables/crews.jsonl holds a row that cannot be kept'],
            'a garden that is not there' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'tables/gardens.jsonl', '',
            ), 'names something that is not in the file'],
            'a table that is missing' => [static fn (ZipArchive $zip) => $zip->deleteName('tables/visits.jsonl'),
                'tables/visits.jsonl is missing'],
            'a file of somebody else' => [static fn (ZipArchive $zip) => $zip->addFromString('../../evil.php', '<?php'),
                'belongs to no firm'],
            'a bomb' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'tables/changes.jsonl', str_repeat(' ', 20_000_000),
            ), 'unpacks to far more than it should'],
            'another version' => [static fn (ZipArchive $zip) => $zip->addFromString(
                'about.json', '{"format":"pruning-hook-firm","version":9}',
            ), 'version 9 of the format is not known'],
            'no firm' => [static fn (ZipArchive $zip) => $zip->addFromString('about.json', '{}'), 'this is no firm'],
        ];
    }

    /** @param  callable(ZipArchive): mixed  $damage */
    #[DataProvider('damages')]
    public function test_what_is_damaged_is_told_with_its_place_and_leaves_nothing(callable $damage, string $says): void
    {
        $this->firm();
        (new FirmDocument)->write("$this->folder/one.zip");
        $zip = new ZipArchive;
        $zip->open("$this->folder/one.zip");
        $damage($zip);
        $zip->close();
        $this->emptied();
        $this->artisan('firm', ['way' => 'in', 'file' => "$this->folder/one.zip"])
            ->expectsOutputToContain($says)->assertFailed();
        foreach (FirmDocument::TABLES as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
        self::assertSame([], Storage::disk('local')->allFiles('photos'));
    }

    /** Nothing that the database keeps of a firm is forgotten when a table is added to it. */
    public function test_every_table_is_in_it_or_known_to_be_left_out(): void
    {
        $left = [
            'cache', 'cache_locks', 'client_links', 'devices', 'failed_jobs', 'feeds', 'garden_seasons', 'import_rows',
            'imports', 'season_reports', 'jobs',
            'kept_gardens', 'kept_months', 'kept_plants', 'kept_treatments', 'kept_weeks', 'letters',
            'password_reset_tokens', 'plan_drafts', 'season_tasks', 'sent_forms',
            'security_events', 'signs_to_weigh', 'personal_access_tokens', 'webhooks', 'webhook_deliveries',
            'pin_browsers',
        ];
        self::assertSame([], array_values(array_diff(self::tables(), $left, FirmDocument::TABLES)));
    }

    /** @return list<string> but for those that find words, and the database's own */
    private static function tables(): array
    {
        return array_values(array_filter(
            array_column(Schema::getTables(schema: Schema::getCurrentSchemaName()), 'name'),
            static fn (string $name): bool => ! SearchTables::areIn($name)
                && ! in_array($name, ['migrations', 'sqlite_sequence'], true),
        ));
    }

    private function firm(): void
    {
        Firm::query()->create(['name' => 'Ashgrove', 'practice' => ['bush-rose-severity' => 'light-arc']]);
        $task = $this->visitTask();
        $this->actingAs($this->hand())->put("/tasks/$task->id/log", [
            'outcome' => 'done', 'minutes' => 25, 'note' => 'Größe "gut"',
        ])->assertSessionHasNoErrors();
        $photo = Photo::query()->create([
            'uuid' => Str::uuid()->toString(), 'visit_task_id' => $task->id, 'moment' => 'before',
            'taken_at' => Carbon::now(), 'width' => 2, 'height' => 1, 'bytes' => 5,
        ]);
        Storage::disk('local')->put($photo->path(), 'image');
        $this->planner();
    }

    private function emptied(): void
    {
        Dialect::of(DB::connection())->filling(static function (): void {
            foreach (self::tables() as $table) {
                DB::table($table)->delete();
            }
        });
        Storage::disk('local')->deleteDirectory('photos');
    }

    /** @return array<string, string> what each file in it says, but for when it was made */
    private function inside(string $file): array
    {
        $zip = new ZipArchive;
        self::assertTrue($zip->open($file));
        $inside = [];
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $inside[(string) $zip->getNameIndex($index)] = (string) $zip->getFromIndex($index);
        }
        ksort($inside);

        return $inside;
    }
}
