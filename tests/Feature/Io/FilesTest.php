<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Models\Change;
use App\Ground\Models\Feed;
use App\Ground\Models\Garden;
use App\Ground\Models\Import;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Support\LongQueue;
use App\Io\Csv\LogTable;
use App\Io\Csv\Tables;
use App\Io\Import\ReadImport;
use App\Io\Import\TakeBackImport;
use App\Io\Import\WriteImport;
use App\Season\Due\RenewDue;
use Error;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Feature\FeatureTestCase;

/** Files in and out: tables as CSV (RFC 4180), visits as iCalendar (RFC 5545), gardens as GeoJSON (RFC 7946). */
final class FilesTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        config(['queue.default' => 'sync']);
        $this->actingAs($this->planner());
    }

    public function test_plants_go_out_and_come_in_as_they_were(): void
    {
        $this->wisteria->update([
            'label' => "The \"old\" one, by\nthe gate", 'bed' => '=HYPERLINK(0)', 'height_mm' => 2455,
            'hazards' => ['glass'], 'notes' => "-3 branches; =1+1;'-x", 'grafted' => true, 'planted_on' => '2011-03-04',
        ]);
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac', 'label' => 'Flieder, groß']);
        $table = $this->get('/export/plants')->assertOk()->streamedContent();
        self::assertStringContainsString('"The ""old"" one, by'."\n".'the gate"', $table);
        self::assertStringContainsString("'=HYPERLINK(0)", $table, 'no spreadsheet takes it for a formula');
        self::assertStringContainsString(
            "\"'-3 branches; '=1+1;''-x\"", $table, 'nor where a semicolon begins a cell',
        );
        self::assertStringContainsString('245.5', $table);
        $rows = static fn (): array => DB::table('plants')->orderBy('id')->get()->all();
        $before = $rows();
        $import = $this->take($table);
        self::assertSame([0, 0, 2, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        // The same without ids, in an empty book: garden and label tell them.
        $without = (string) preg_replace('/^(id|\d+),/m', ',', $table);
        DB::table('plants')->delete();
        $import = $this->take(str_replace(',garden,', 'garden,', (string) preg_replace('/^,/m', '', $without)));
        self::assertSame([2, 0, 0, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        self::assertSame(0, DB::table('plants')->count(), 'nothing is kept before it is accepted');
        $this->put("/files/$import->id")->assertRedirect("/files/$import->id");
        $without = static fn (object $row): array => array_diff_key((array) $row, array_flip([
            'id', 'created_at', 'updated_at', 'height_on', 'stems_on',
        ]));
        self::assertEquals(array_map($without, $before), array_map($without, $rows()));
        self::assertSame('2027-02-20', DB::table('plants')->where('kind', 'wisteria')->value('height_on'));
        self::assertSame(2, Change::query()->where('of', 'plant')->where('did', 'made')
            ->whereIn('row_id', Plant::query()->pluck('id'))->count());
        $this->get("/files/$import->id")->assertSee('Taken in: 2 new');
        $this->get('/')->assertOk();
    }

    /** @return array<string, array{string}> the same table as five spreadsheets write it */
    public static function spreadsheets(): array
    {
        $table = "garden;kind;label;height_cm;planted\r\nMillrace House;lilac;Flieder, groß;245,5;24.03.2018\r\n";

        return [
            'semicolons and decimal commas' => [$table],
            'with a byte order mark' => ["\xEF\xBB\xBF$table"],
            'in Windows-1252' => [mb_convert_encoding($table, 'Windows-1252', 'UTF-8')],
            'in UTF-16' => ["\xFF\xFE".mb_convert_encoding($table, 'UTF-16LE', 'UTF-8')],
            'with tabs and plain breaks' => [str_replace([';', "\r\n"], ["\t", "\n"], $table)],
            'with other spelling of its columns' => [str_replace('height_cm', 'Height-CM', $table)],
        ];
    }

    #[DataProvider('spreadsheets')]
    public function test_a_table_is_understood_however_it_was_saved(string $table): void
    {
        $import = $this->take($table);
        self::assertSame([1, 0, 0, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->put("/files/$import->id");
        $plant = Plant::query()->where('kind', 'lilac')->sole();
        self::assertSame(['Flieder, groß', 2455, '2018-03-24'], [
            $plant->label, $plant->height_mm, (string) $plant->planted_on,
        ]);
    }

    public function test_each_line_says_what_is_new_what_changes_and_what_is_wrong(): void
    {
        $this->wisteria->update(['label' => 'South wall', 'height_mm' => 3000, 'bed' => 'Wall']);
        $import = $this->take(implode("\n", [
            'garden,kind,label,height_cm,planted,hazards',
            'Millrace House,wisteria,South wall,320,,', 'Millrace House,lilac,By the gate,,,',
            'Millrace Hose,lilac,Nowhere,,,', 'Millrace House,lilck,Misspelt,,,',
            'Millrace House,lilac,Tall,nine,2031-01-01,tigers', 'Millrace House,lilac,By the gate,,,', '', ',,,,,',
        ]));
        self::assertSame([1, 1, 0, 4], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->get("/files/$import->id")->assertSeeInOrder([
            '2', 'height_cm: 320, was 300', '4',
            'there is no garden called &quot;Millrace Hose&quot;. Did you mean &quot;Millrace House&quot;?', '5',
            'the plant book has no kind &quot;lilck&quot;. Did you mean &quot;Lilac&quot;?', '6', 'lies in the future',
            'is none of power-line', 'is no number', '7', 'stands in this file twice',
        ], false)->assertSee('Take in 2 lines and leave 4 out');
        $this->get("/files/$import->id?does=wrong")->assertDontSee('was 300');
        $this->put("/files/$import->id");
        $wisteria = $this->wisteria->fresh();
        self::assertSame([3200, 'Wall', '2027-02-20'], [
            $wisteria?->height_mm, $wisteria?->bed, (string) $wisteria?->height_on,
        ], 'a column that is not there changes nothing');
        self::assertSame(2, Plant::query()->count());
        // Twice accepted, once taken in.
        $this->put("/files/$import->id");
        self::assertSame(2, Plant::query()->count());
        $this->delete("/files/$import->id")->assertRedirect('/files');
        self::assertSame(0, DB::table('import_rows')->count());
        Storage::disk('local')->assertMissing("imports/$import->id.csv");
    }

    public function test_a_file_is_taken_back_whole_where_nothing_has_changed_since(): void
    {
        $this->wisteria->update(['label' => 'South wall', 'height_mm' => 3000]);
        $take = fn (): Import => $this->take(
            "garden,kind,label,height_cm\nMillrace House,wisteria,South wall,320\nMillrace House,lilac,New one,90\n",
        );
        $import = $take();
        $this->put("/files/$import->id");
        self::assertSame(3200, $this->wisteria->fresh()?->height_mm);
        // Somebody measures it meanwhile: then all of it stays.
        $this->wisteria->fresh()?->update(['height_mm' => 3300]);
        $this->post("/files/$import->id/back");
        $this->get("/files/$import->id")->assertSee('It was not taken back: South wall has changed since');
        self::assertSame(2, Plant::query()->count());
        $this->wisteria->fresh()?->update(['height_mm' => 3200]);
        $this->post("/files/$import->id/back")->assertRedirect("/files/$import->id");
        $this->get("/files/$import->id")->assertSee('Taken back: all is as it was');
        self::assertSame([3000, 1], [$this->wisteria->fresh()?->height_mm, Plant::query()->count()]);
        // Once is enough.
        $this->post("/files/$import->id/back");
        self::assertSame(Import::TAKEN_BACK, $import->fresh()?->status);
        self::assertSame([1, 1], [$take()->new, Import::query()->latest('id')->firstOrFail()->changed]);
    }

    public function test_of_two_equal_files_that_were_both_read_one_is_taken_in(): void
    {
        $files = [
            'plants' => "garden,kind,label\nMillrace House,lilac,By the gate\nMillrace House,lilac,By the well\n",
            'gardens' => "name,client,latitude,longitude\nWeir House,Rosa,51.6,-1.2\n",
            'logs' => "on,garden,plant,task,outcome,minutes\n2026-02-20,Millrace House,"
                ."{$this->wisteria->label},winter-pass,done,50\n",
        ];
        foreach ($files as $of => $content) {
            [$first, $second] = [$this->take($content, $of), $this->take($content, $of)];
            self::assertSame([0, $first->new], [$second->wrong, $second->new], $of);
            self::assertGreaterThan(0, $first->new, (string) $first->says);
            $this->put("/files/$first->id");
            self::assertSame(Import::DONE, $first->fresh()?->status, (string) $first->fresh()?->says);
            $count = DB::table($of === 'logs' ? 'work_logs' : $of)->count();
            $this->put("/files/$second->id");
            self::assertSame(Import::READ, $second->fresh()?->status, $of);
            self::assertSame($count, DB::table($of === 'logs' ? 'work_logs' : $of)->count(), $of);
            $this->get("/files/$second->id")->assertSee('Since it was read,')->assertSee('by another way')
                ->assertSee('Nothing was kept');
        }
    }

    public function test_cells_beyond_the_columns_are_a_fault_and_every_line_ending_ends_a_line(): void
    {
        $import = $this->take("garden,kind,label,notes\nMillrace House,lilac,One,thorny, beware of the dog\n"
            ."Millrace House,lilac,Two,\"thorny, beware of the dog\",,\n");
        self::assertSame([1, 1], [$import->new, $import->wrong]);
        $this->get("/files/$import->id")
            ->assertSee('more cells than there are columns, from &quot;beware of the dog&quot;', false)
            ->assertSee('put quotation marks round it');
        foreach (["\r", "\r\n", "\n"] as $end) {
            $import = $this->take(implode($end, [
                'garden,kind,label', 'Millrace House,lilac,One', "Millrace House,lilac,\"Two$end lines\"", '',
            ]));
            self::assertSame([2, 0], [$import->new, $import->wrong], bin2hex($end));
        }
        // A carriage return on the border of two pieces that are read is one ending.
        $import = $this->take("garden,kind,label\r\n".implode("\r\n", array_map(
            static fn (int $line): string => sprintf('Millrace House,lilac,%06d', $line), range(1, 4000),
        )));
        self::assertSame([4000, 0], [$import->new, $import->wrong]);
    }

    public function test_a_file_that_is_being_read_can_be_cancelled_and_one_cut_short_is_read_again(): void
    {
        config(['queue.default' => 'null']);
        $import = $this->take("garden,kind,label\nMillrace House,lilac,One\n");
        $this->get("/files/$import->id")->assertSee('Being read')->assertSee('Cancel');
        // The worker was killed in the middle of it.
        DB::table('import_rows')->insert([
            'import_id' => $import->id, 'line' => 2, 'does' => 'new', 'label' => 'One', 'facts' => '{}', 'says' => '[]',
        ]);
        (new ReadImport($import->id))->handle($this->app->make(Tables::class));
        self::assertSame([Import::READ, 1], [$import->fresh()?->status, DB::table('import_rows')->count()]);
        $next = $this->take("garden,kind,label\n".str_repeat("Millrace House,lilac,\n", 1000));
        DB::listen(function (QueryExecuted $query) use ($next): void {
            if (str_contains($query->sql, 'insert into "import_rows"') && $next->fresh()?->status === Import::READING) {
                $this->delete("/files/$next->id")->assertRedirect("/files/$next->id");
            }
        });
        (new ReadImport($next->id))->handle($this->app->make(Tables::class));
        self::assertSame([Import::CANCELLED, 1], [$next->fresh()?->status, DB::table('import_rows')->count()]);
        $this->get("/files/$next->id")->assertSee('Nothing was kept')->assertSee('Choose another file');
        foreach ([ReadImport::class, WriteImport::class, TakeBackImport::class] as $job) {
            self::assertGreaterThan(1, (new $job(1))->tries);
            self::assertSame(LongQueue::NAME, (new $job(1))->queue);
        }
    }

    public function test_what_fails_on_the_way_leaves_nothing(): void
    {
        $import = $this->take("garden,kind,label\nMillrace House,lilac,One\nMillrace House,lilac,Two\n");
        DB::table('import_rows')->where('label', 'Two')->update(['facts' => '{"garden_id":999999,"kind":"lilac"}']);
        $count = Plant::query()->count();
        try {
            $this->withoutExceptionHandling()->put("/files/$import->id");
            self::fail('a garden that is gone was taken');
        } catch (\Throwable) {
            self::assertSame($count, Plant::query()->count());
        }
        self::assertSame(Import::READ, $import->fresh()?->status);
        $this->get("/files/$import->id")->assertSee('Nothing was kept');
    }

    public function test_a_long_file_is_taken_in_by_pieces_and_one_that_was_cut_short_goes_on(): void
    {
        config(['queue.default' => 'null']);
        foreach ($this->longFiles() as $of => [$content, $rows, $count]) {
            $there = static fn (): int => $of === 'plants' ? Plant::query()->count() : DB::table($rows)->count();
            $before = $there();
            $import = $this->take($content, $of);
            (new ReadImport($import->id))->handle($this->app->make(Tables::class));
            self::assertSame($count, $import->fresh()?->new, (string) $import->fresh()?->says);
            $this->put("/files/$import->id");
            $write = fn () => (new WriteImport($import->id))->handle($this->app->make(Tables::class));
            $seen = $this->endedAfterTheFirstPiece($write);
            self::assertSame(100, $there() - $before, $of);
            $this->get("/files/$import->id")->assertSee('Being taken in')->assertSee('100 lines so far');
            $write();
            self::assertSame([Import::DONE, $count], [$import->fresh()?->status, $there() - $before], $of);
            self::assertGreaterThan(1, $seen);
            if ($of === 'logs') {
                self::assertSame(5, Visit::query()->count(), 'each day in a garden is one visit');
            }
            // Taken back, it goes on in the same way.
            $this->post("/files/$import->id/back");
            $back = fn () => $this->app->call([new TakeBackImport($import->id), 'handle']);
            $this->endedAfterTheFirstPiece($back);
            self::assertLessThan($before + $count, $there());
            self::assertGreaterThan($before, $there());
            $back();
            self::assertSame(Import::TAKEN_BACK, $import->fresh()?->status, (string) $import->fresh()?->says);
            self::assertSame($before, $there(), $of);
        }
    }

    public function test_what_fails_late_or_is_stopped_is_taken_out_again_piece_by_piece(): void
    {
        Bus::fake([RenewDue::class]);
        $file = $this->longFiles()['plants'][0];
        $before = Plant::query()->count();
        $import = $this->take($file);
        DB::table('import_rows')->where('import_id', $import->id)->where('label', 'Plant 249')
            ->update(['facts' => '{"garden_id":999999,"kind":"lilac","label":"Plant 249"}']);
        $this->put("/files/$import->id");
        self::assertSame([Import::READ, $before], [$import->fresh()?->status, Plant::query()->count()]);
        self::assertStringContainsString('Nothing was kept', (string) $import->fresh()?->says);
        // Somebody stops it on the way.
        DB::table('import_rows')->where('import_id', $import->id)->where('label', 'Plant 249')->delete();
        $pieces = 0;
        DB::listen(function (QueryExecuted $query) use ($import, &$pieces): void {
            if (str_contains($query->sql, 'insert into "plants"') && ++$pieces === 2) {
                $this->get("/files/$import->id")->assertSee('Cancel');
                $this->delete("/files/$import->id")->assertRedirect("/files/$import->id");
            }
        });
        $this->put("/files/$import->id");
        self::assertSame([2, Import::READ], [$pieces, $import->fresh()?->status], (string) $import->fresh()?->says);
        self::assertSame($before, Plant::query()->count());
        $this->get("/files/$import->id")->assertSee('It was stopped. Nothing was kept');
        // It is still there to be taken in, whole.
        $this->put("/files/$import->id");
        self::assertSame([Import::DONE, $before + 249], [$import->fresh()?->status, Plant::query()->count()]);
    }

    public function test_what_was_changed_while_it_was_being_taken_out_again_is_told(): void
    {
        config(['queue.default' => 'null']);
        $import = $this->take("garden,kind,label,height_cm\nMillrace House,wisteria,{$this->wisteria->label},310\n");
        (new ReadImport($import->id))->handle($this->app->make(Tables::class));
        $this->put("/files/$import->id");
        (new WriteImport($import->id))->handle($this->app->make(Tables::class));
        $this->wisteria->fresh()?->update(['height_mm' => 3300]);
        $import->refresh()->putBack('The disk is full.');
        $this->app->call([new TakeBackImport($import->id), 'handle']);
        self::assertSame(Import::DONE, $import->fresh()?->status);
        $this->get("/files/$import->id")->assertSee('It was not taken in. The disk is full.')
            ->assertSee('could not be taken out again')->assertSee('has changed since')
            ->assertSee('Undo tries once more');
        $import->update(['status' => Import::TAKING_BACK]);
        $import->stays('One has changed since.', inPart: true);
        self::assertStringContainsString('only in part', (string) $import->fresh()?->says);
    }

    /** @return array<string, array{string, string, int}> a file of more lines than a piece has, its rows, its lines */
    private function longFiles(): array
    {
        $plants = "garden,kind,label\n";
        $logs = "on,garden,plant,task,outcome,minutes\n";
        foreach (range(1, 250) as $line) {
            $plants .= "Millrace House,lilac,Plant $line\n";
        }
        foreach (range(1, 150) as $line) {
            $logs .= sprintf(
                "202%d-02-20,Millrace House,%s,winter-pass,done,50\n", 1 + $line % 5,
                Plant::factory()->create([
                    'kind' => 'wisteria', 'garden_id' => $this->wisteria->garden_id, 'label' => "Old $line",
                ])->label,
            );
        }

        return ['plants' => [$plants, 'plants', 250], 'logs' => [$logs, 'work_logs', 150]];
    }

    /** The worker is killed when it has written one piece. @return int statements that wrote, until then */
    private function endedAfterTheFirstPiece(callable $job): int
    {
        $pieces = $seen = 0;
        $this->app['events']->listen(TransactionBeginning::class, static function () use (&$pieces): void {
            if (DB::transactionLevel() === 2 && ++$pieces === 2) {
                throw new Error('killed');
            }
        });
        DB::listen(static function () use (&$seen): void {
            $seen++;
        });
        try {
            $job();
            self::fail('it was not cut into pieces');
        } catch (Error $killed) {
            self::assertSame('killed', $killed->getMessage());
        } finally {
            $this->app['events']->forget(TransactionBeginning::class);
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
        }

        return $seen;
    }

    /** @return array<string, array{string, string}> */
    public static function noTables(): array
    {
        return [
            'a workbook' => ["PK\x03\x04\0\0rest", 'This is no table of text'],
            'an unknown column' => [
                "garden,kind,hight_cm\nA,lilac,3\n", 'column 3: "hight_cm" is an unknown column. Did you mean',
            ],
            'a column twice' => ["garden,kind,kind\nA,lilac,x\n", 'column 3: "kind" stands there twice'],
            'no kinds' => ["garden,label\nA,x\n", 'the column "kind" is missing'],
            'nothing' => ['', 'the column "garden" is missing'],
            'only its first line' => ["garden,kind\n", 'no line below its first'],
        ];
    }

    #[DataProvider('noTables')]
    public function test_what_is_no_table_is_refused_in_words(string $table, string $says): void
    {
        $import = $this->take($table);
        self::assertSame(Import::REFUSED, $import->status);
        self::assertStringContainsString($says, (string) $import->says);
        $this->get("/files/$import->id")->assertOk()->assertSee('Nothing was kept');
        self::assertSame(0, DB::table('import_rows')->count());
    }

    public function test_more_lines_than_are_taken_at_once_are_refused(): void
    {
        $import = $this->take("garden,kind\n".str_repeat("Millrace House,lilac\n", 60_001));
        self::assertSame(Import::REFUSED, $import->status);
        self::assertStringContainsString('more than 60,000 lines', (string) $import->says);
        self::assertSame(0, DB::table('import_rows')->count());
        $this->post('/files', ['of' => 'plants'])->assertSessionHasErrors('file');
        $this->post('/files', ['of' => 'people', 'file' => UploadedFile::fake()->createWithContent('a.csv', 'x')])
            ->assertSessionHasErrors('of');
    }

    public function test_gardens_go_out_to_a_table_and_a_map_and_come_in_from_both(): void
    {
        $this->garden->update(['address' => 'Mill Lane 3', 'notes' => 'Key at 5, "back" door']);
        $table = $this->get('/export/gardens')->assertOk()->streamedContent();
        $map = $this->get('/export/places')->assertOk()->streamedContent();
        foreach ([$table, $map] as $file) {
            $import = $this->take($file, 'gardens');
            self::assertSame([0, 0, 1, 0], [$import->new, $import->changed, $import->same, $import->wrong], $file);
        }
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/geojson.schema.json')));
        self::assertTrue((new Validator)->validate(json_decode($map), $schema)->isValid(), $map);
        $feature = json_decode($map, true)['features'][0];
        self::assertSame([$this->garden->longitude, $this->garden->latitude], $feature['geometry']['coordinates']);
        self::assertSame('wisteria', $feature['properties']['plants'][0]['kind']);
        $import = $this->take(
            "name,latitude,longitude,crew,last_frost,first_frost\nNew one,51,75\nFrost,52,-2,Wren crew,04-22,10-28\n"
            ."No crew,52,-2,Owl crew,,\nHalf,52,-2,,04-22,\n", 'gardens',
        );
        self::assertSame([2, 0, 0, 2], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->get("/files/$import->id?does=wrong")->assertSee('no crew called')->assertSee('go together');
        $this->withoutExceptionHandling()->put("/files/$import->id");
        self::assertSame(3, Garden::query()->count());
        $this->get('/gardens')->assertOk()->assertSee('New one');
        self::assertSame(Import::REFUSED, $this->take('{"type":"Point"}', 'gardens')->status);
        self::assertSame(Import::REFUSED, $this->take('{"type":', 'gardens')->status);
    }

    public function test_visits_go_out_as_a_calendar_that_others_read(): void
    {
        $visit = $this->visit('2027-02-25');
        $text = $this->get('/export/calendar')->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->streamedContent();
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate(), 'RFC 5545');
        $event = $calendar->VEVENT;
        self::assertSame(['20270225', '20270226', "Pruning: {$this->garden->name}"], [
            (string) $event->DTSTART, (string) $event->DTEND, (string) $event->SUMMARY,
        ]);
        self::assertStringContainsString('Wisteria', (string) $event->DESCRIPTION);
        self::assertStringContainsString("/visits/$visit->id", (string) $event->URL);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line), 'RFC 5545, 3.1');
        }
        $other = Garden::factory()->create();
        self::assertStringNotContainsString(
            'VEVENT', (string) $this->get("/export/calendar?garden=$other->id")->streamedContent(),
        );
    }

    public function test_a_long_calendar_goes_out_whole_compressed_and_in_little_memory(): void
    {
        $visit = $this->visit('2027-02-25');
        $rows = [];
        foreach (range(1, 2500) as $number) {
            $rows[] = [
                'garden_id' => $visit->garden_id, 'crew_id' => $visit->crew_id, 'on' => '2027-02-'.(20 + $number % 8),
            ];
        }
        foreach (array_chunk($rows, 500) as $chunk) {
            DB::table('visits')->insert($chunk);
        }
        $plain = $this->get('/export/calendar')->assertOk()->streamedContent();
        self::assertSame(2501, substr_count($plain, 'BEGIN:VEVENT'));
        preg_match_all('/^UID:(.+)$/m', $plain, $names);
        self::assertCount(2501, array_unique($names[1]), 'each once');
        self::assertInstanceOf(VCalendar::class, Reader::read($plain));
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $answer = $this->get('/export/calendar', ['Accept-Encoding' => 'gzip'])->assertOk()
            ->assertHeader('Content-Encoding', 'gzip');
        $packed = $answer->streamedContent();
        self::assertLessThan(32_000_000, memory_get_peak_usage() - $before);
        self::assertSame($plain, gzdecode($packed));
        self::assertLessThan(strlen($plain) / 5, strlen($packed));
    }

    public function test_plants_come_in_from_the_map_they_went_out_to(): void
    {
        $this->wisteria->update([
            'height_mm' => 2455, 'hazards' => ['glass'], 'grafted' => true, 'planted_on' => '2011-03-04',
            'bed' => 'Wall',
        ]);
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac', 'label' => 'Flieder, groß']);
        $map = $this->get('/export/places')->assertOk()->streamedContent();
        $import = $this->take($map);
        self::assertSame([0, 0, 2, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        $before = DB::table('plants')->get()->all();
        DB::table('plants')->delete();
        $import = $this->take((string) preg_replace('/"plants":\[{"id":\d+,|},{"id":\d+,/', '"plants":[{', $map, 1));
        self::assertSame(1, $import->wrong, 'the second names a plant that is gone');
        $import = $this->take((string) preg_replace('/{"id":\d+,"kind"/', '{"kind"', $map));
        self::assertSame([2, 0, 0, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->put("/files/$import->id");
        $without = static fn (object $row): array => array_diff_key((array) $row, array_flip([
            'id', 'created_at', 'updated_at', 'height_on', 'stems_on',
        ]));
        self::assertEquals(array_map($without, $before), array_map($without, DB::table('plants')->get()->all()));
        // A place of somebody else's map has no plants.
        $import = $this->take('{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"name":"X"}}]}');
        self::assertSame('The file has no line below its first.', $import->says);
    }

    public function test_visits_moved_in_a_calendar_come_back_from_it(): void
    {
        [$moved, $same, $late] = array_map($this->visitOn(...), ['2027-02-25', '2027-02-26', '2027-02-28']);
        $text = (string) $this->get('/export/calendar')->streamedContent();
        $to = static fn (string $text, string $from, string $day): string => str_replace(
            "DTSTART;VALUE=DATE:$from", "DTSTART;VALUE=DATE:$day", $text,
        );
        $import = $this->take($text, 'visits');
        self::assertSame([0, 0, 3, 0], [$import->new, $import->changed, $import->same, $import->wrong]);

        $text = $to($to($text, '20270225', '20270301'), '20270228', '20280801');
        $text = str_replace('END:VCALENDAR', "BEGIN:VEVENT\r\nUID:dentist\r\nDTSTAMP:20270101T000000Z\r\n"
            ."DTSTART:20270303T090000Z\r\nSUMMARY:Dentist\r\nEND:VEVENT\r\nEND:VCALENDAR", $text);
        $import = $this->take($text, 'visits');
        self::assertSame([0, 1, 2, 1], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->get("/files/$import->id")->assertOk()->assertSee('day: 2027-03-01, was 2027-02-25')
            ->assertSee('data-th="Visit"', false)
            ->assertSee('is outside the days they share')->assertSee('no visit of ours: left alone');
        self::assertSame('2027-02-25', (string) $moved->refresh()->on, 'nothing is kept before it is accepted');
        $this->put("/files/$import->id")->assertRedirect();
        self::assertSame(['2027-03-01', '2027-02-26', '2027-02-28'], array_map(
            static fn (Visit $visit): string => (string) $visit->refresh()->on, [$moved, $same, $late],
        ));
        // Undone as a whole.
        $this->post("/files/$import->id/back");
        self::assertSame('2027-02-25', (string) $moved->refresh()->on);
    }

    public function test_what_a_calendar_cannot_change_is_told_line_by_line(): void
    {
        $gone = $this->visit('2027-02-24');
        $text = (string) $this->get('/export/calendar')->streamedContent();
        $said = function (string $text): string {
            $import = $this->take($text, 'visits');
            self::assertSame([0, 0, 0, 1], [$import->new, $import->changed, $import->same, $import->wrong]);

            return (string) $this->get("/files/$import->id")->getContent();
        };
        $day = static fn (string $day): string => str_replace('VALUE=DATE:20270224', "VALUE=DATE:$day", $text);
        self::assertStringContainsString('A visit is planned for today or later', $said($day('20270110')));
        self::assertStringContainsString('at most three years ahead', $said($day('20390110')));
        self::assertStringContainsString('cancel it on its own page', $said(
            (string) preg_replace('/STATUS:\w+/', 'STATUS:CANCELLED', $text),
        ));
        self::assertStringContainsString('repeats', $said(
            str_replace('SUMMARY', "RRULE:FREQ=DAILY\r\nSUMMARY", $text),
        ));
        self::assertStringContainsString('has no day', $said((string) preg_replace('/DTSTART.*\r\n/', '', $text)));
        // By the firm's own clock: an hour before midnight in Greenwich is the next day in Auckland.
        config(['hook.time_zone' => 'Pacific/Auckland']);
        $import = $this->take(str_replace('DTSTART;VALUE=DATE:20270224', 'DTSTART:20270225T230000Z', $text), 'visits');
        $this->get("/files/$import->id")->assertSee('day: 2027-02-26, was 2027-02-24');
        config(['hook.time_zone' => 'Europe/London']);
        $gone->delete();
        self::assertStringContainsString('is not planned any more', $said($text));
        $refused = $this->take("garden,kind\nMillrace House,lilac\n", 'visits');
        self::assertSame(Import::REFUSED, $refused->status);
        self::assertStringContainsString('no calendar', (string) $refused->says);
        $large = $this->take("BEGIN:VCALENDAR\r\n".str_repeat("X-A:b\r\n", 700_000), 'visits');
        self::assertStringContainsString('larger than 4 MB', (string) $large->says);
    }

    public function test_what_changed_between_the_reading_and_the_word_is_not_overwritten(): void
    {
        $visit = $this->visit('2027-02-25');
        $text = str_replace(
            'DTSTART;VALUE=DATE:20270225', 'DTSTART;VALUE=DATE:20270301',
            (string) $this->get('/export/calendar')->streamedContent(),
        );
        $import = $this->take($text, 'visits');
        $this->put('/tasks/'.$visit->tasks()->firstOrFail()->id.'/log', ['outcome' => 'done', 'minutes' => 25])
            ->assertSessionHasNoErrors();
        $this->put("/files/$import->id")->assertRedirect();
        $this->get("/files/$import->id")->assertSee('It was not taken in')->assertSee('so it stays on its day');
        self::assertSame('2027-02-25', (string) $visit->refresh()->on);
    }

    public function test_a_calendar_is_subscribed_to_by_a_link_that_can_be_shut(): void
    {
        $this->visit('2027-02-25');
        $this->post('/feeds', ['crew_id' => (string) $this->crew->id, 'garden' => ''])->assertSessionHas('feed');
        $link = (string) parse_url((string) session('feed'), PHP_URL_PATH);
        self::assertSame(1, preg_match('~^/calendar/(\w{40})\.ics$~', $link, $token));
        self::assertSame(0, DB::table('feeds')->where('digest', $token[1] ?? '')->count(), 'only a digest is kept');
        auth()->logout();
        $sent = $this->get($link)->assertOk()->assertCookieMissing('pruning_hook_session');
        self::assertStringContainsString('BEGIN:VEVENT', $sent->streamedContent());
        $this->get('/calendar/'.str_repeat('a', 40).'.ics')->assertNotFound();
        $this->actingAs($this->planner())->delete('/feeds/'.Feed::query()->sole()->id)->assertRedirect();
        $this->get($link)->assertNotFound();
        $this->post('/feeds', ['crew_id' => '', 'garden' => 'Nowhere at all'])->assertSessionHasErrors('garden');
        $this->post('/feeds', ['crew_id' => '99999'])->assertSessionHasErrors('crew_id');
    }

    public function test_the_record_goes_out_as_a_table(): void
    {
        $task = $this->visitTask();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 25])->assertSessionHasNoErrors();
        $lines = explode("\r\n", trim($this->get('/export/logs')->streamedContent()));
        self::assertCount(2, $lines);
        self::assertStringContainsString('Millrace House', $lines[1]);
        self::assertStringContainsString(',done,,25,', $lines[1]);
    }

    public function test_the_record_comes_in_as_it_went_out_and_is_taken_back_whole(): void
    {
        $task = $this->visitTask();
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done', 'minutes' => 25, 'note' => 'Two whips left, "on purpose"', 'findings' => ['dead-wood'],
            'left_for_next_year' => 'The arm over the door',
        ])->assertSessionHasNoErrors();
        $table = $this->get('/export/logs')->streamedContent();
        $import = $this->take($table, 'logs');
        self::assertSame([0, 0, 1, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        Visit::query()->get()->each(static fn (Visit $visit) => $visit->delete());
        self::assertSame(0, DB::table('work_logs')->count());
        $import = $this->take($table, 'logs');
        self::assertSame([1, 0, 0, 0], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->get("/files/$import->id")->assertSee('Winter pass, 20 Feb');
        self::assertSame(0, DB::table('work_logs')->count(), 'nothing is kept before it is accepted');
        $this->put("/files/$import->id");
        $without = static fn (string $table): string => (string) preg_replace('/^\d+,|,[^,]*$/m', '', $table);
        self::assertSame($without($table), $without($this->get('/export/logs')->streamedContent()));
        $this->get("/plants/{$this->wisteria->id}")->assertOk()->assertSee('The arm over the door');
        $this->get('/record')->assertOk()->assertSee('Two whips left');
        self::assertFalse((bool) Visit::query()->sole()->waiting, 'nothing of it waits for its log');
        // Somebody changes it meanwhile: then all of it stays.
        $task = Visit::query()->sole()->tasks()->firstOrFail();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 35])->assertSessionHasNoErrors();
        $this->post("/files/$import->id/back");
        $this->get("/files/$import->id")->assertSee('It was not taken back')->assertSee('has changed since');
        self::assertSame(1, DB::table('work_logs')->count());
        Visit::query()->get()->each(static fn (Visit $visit) => $visit->delete());
        $import = $this->take($table, 'logs');
        $this->put("/files/$import->id");
        $this->post("/files/$import->id/back");
        self::assertSame(Import::TAKEN_BACK, $import->fresh()?->status);
        self::assertSame([0, 0], [DB::table('work_logs')->count(), Visit::query()->count()]);
    }

    public function test_lines_of_the_record_say_what_is_wrong_with_them(): void
    {
        $this->wisteria->update(['label' => 'South wall', 'planted_on' => '2016-03-01']);
        foreach (['Twin', 'Twin'] as $label) {
            Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac', 'label' => $label]);
        }
        $import = $this->take(implode("\n", [
            'on,garden,plant,task,outcome,why,minutes,findings,season',
            '2019-02-10,Millrace House,South wall,Winter pass,,,40,,',
            '10.02.2020,Millrace House,South wall,winter-pass,,,,,',
            '2020-02-10,Millrace House,South wall,Winter pass,,,,,', '2019-02-10,Nowhere,South wall,Winter pass,,,,,',
            '2019-02-10,Millrace House,Twin,Thin,,,,,', '2019-02-10,Millrace House,South wall,Winter pss,,,,,',
            '2031-02-10,Millrace House,South wall,Winter pass,,,,,', ',Millrace House,South wall,Winter pass,,,,,',
            '2019-02-11,Millrace House,South wall,Winter pass,not-done,,,,',
            '2019-02-12,Millrace House,South wall,Winter pass,,,ten,dead-wod,',
            '2018-02-12,Millrace House,South wall,Winter pass,not-done,weather,,,2018',
            '2012-02-12,Millrace House,South wall,Winter pass,,,,,',
        ]), 'logs');
        self::assertSame([3, 0, 0, 9], [$import->new, $import->changed, $import->same, $import->wrong]);
        $this->get("/files/$import->id")->assertSeeInOrder([
            '4', 'stands in this file twice for that day', '5', 'there is no garden called', '6', 'more than one',
            '7', 'Did you mean &quot;Winter pass&quot;?', '8', 'lies in the future', '9', 'on: is empty',
            '10', 'what was not done has a reason', '11', 'is no number', 'Did you mean dead-wood?',
            '13', 'planted on 2016-03-01',
        ], false);
        $this->put("/files/$import->id");
        self::assertSame(
            [['2018-02-12', 2018, 'not-done'], ['2019-02-10', 2019, 'done'], ['2020-02-10', 2020, 'done']],
            DB::table('work_logs')->orderBy('on')->get()
                ->map(static fn (object $log): array => [$log->on, $log->season, $log->outcome])->all(),
        );
        self::assertSame(Import::REFUSED, $this->take("on,garden,plant\n", 'logs')->status);
        $many = "on,garden,plant,task\n".str_repeat("2019-02-10,X,Y,Z\n", 2001);
        self::assertStringContainsString('season by season', (string) $this->take($many, 'logs')->says);
    }

    public function test_every_column_is_described(): void
    {
        $told = (string) file_get_contents(base_path('docs/formats/tables.md'));
        foreach (Tables::OF as $of => $table) {
            foreach ($this->app->make(Tables::class)->named($of)->columns() as $column) {
                self::assertStringContainsString("`$column`", $told, "$table: $column");
            }
        }
        foreach (LogTable::COLUMNS as $column) {
            self::assertStringContainsString("`$column`", $told, $column);
        }
    }

    /** A visit of a plant of its own. */
    private function visitOn(string $day): Visit
    {
        $visit = $this->garden->visits()->create(['on' => $day, 'crew_id' => $this->crew->id]);
        $visit->tasks()->create([
            'plant_id' => Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac'])->id,
            'task' => 'thin', 'season' => 2027, 'position' => 1, 'minutes' => 20, 'standing' => true,
            'prescribed' => $this->prescription(),
        ]);

        return $visit;
    }

    private function take(string $content, string $of = 'plants'): Import
    {
        $this->post('/files', [
            'of' => $of, 'file' => UploadedFile::fake()->createWithContent('a table.csv', $content),
        ])->assertSessionHasNoErrors();

        return Import::query()->latest('id')->firstOrFail();
    }
}
