<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exercise\ExerciseRequest;
use App\Field\PlanDay;
use App\Gardens\Plants\PlantList;
use App\Ground\History\Fields;
use App\Ground\Models\BenchAnswer;
use App\Ground\Models\ClientWord;
use App\Ground\Models\Garden;
use App\Ground\Models\Import;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Support\Busy;
use App\Ground\Support\Compressed;
use App\Ground\Support\StaysReserved;
use App\Ground\Support\Today;
use App\Io\Import\ReadImport;
use App\Io\Import\TakeBackImport;
use App\Io\Import\WriteImport;
use App\Office\Clients\AfterWords;
use App\Office\Clients\ClientLinks;
use App\Office\Reports\MakeReport;
use App\Office\Reports\ReportCalculator;
use App\Office\Reports\ReportScreen;
use App\Planning\MakeDraft;
use App\Planning\MakeTrue;
use App\Season\Decisions;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Facades\Validator;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Names;
use PruningHook\Core\PlantBook\PlantBook;
use RuntimeException;

/** The last that is still listed, taken or believed, and the first that is not. */
final class LastOnesTest extends FeatureTestCase
{
    public function test_a_client_reads_six_reports_and_leaves_twenty_words(): void
    {
        Storage::fake('local');
        $prescribed = json_encode($this->prescription()->toArray(), JSON_THROW_ON_ERROR);
        foreach (range(1, 7) as $day) {
            $visit = $this->garden->visits()->create(['on' => "2027-02-0$day"]);
            $task = DB::table('visit_tasks')->insertGetId([
                'visit_id' => $visit->id, 'plant_id' => $this->wisteria->id, 'task' => "t$day", 'season' => 2027,
                'position' => 0, 'minutes' => 10, 'prescribed' => $prescribed,
            ]);
            DB::table('work_logs')->insert([
                'visit_task_id' => $task, 'plant_id' => $this->wisteria->id, 'task' => "t$day", 'season' => 2027,
                'on' => "2027-02-0$day", 'outcome' => 'done', 'findings' => '[]', 'amounts' => '[]',
            ]);
        }
        foreach (range(1, 21) as $day) {
            $this->garden->visits()->create(['on' => (string) Day::of(2027, 3, $day)]);
        }
        $page = (string) parse_url($this->app->make(ClientLinks::class)->open($this->garden, null), PHP_URL_PATH);
        $shown = $this->get($page)->assertOk();
        self::assertCount(6, $shown->viewData('done'));
        self::assertSame('2027-02-07', (string) $shown->viewData('done')[0]->on, 'the last first');
        self::assertCount(20, $shown->viewData('coming'));
        foreach (range(1, 19) as $word) {
            ClientWord::query()->create(['garden_id' => $this->garden->id, 'kind' => 'ask', 'says' => "w$word"]);
        }
        $this->post($page, ['kind' => 'ask', 'says' => 'The twentieth'])->assertSessionHasNoErrors();
        $this->post($page, ['kind' => 'ask', 'says' => 'One too many'])->assertSessionHasErrors('says');
        self::assertSame(20, ClientWord::query()->count());
    }

    public function test_a_letter_has_four_pictures_and_a_hundred_and_fifty_plants(): void
    {
        Plant::query()->delete();
        $plant = ['garden_id' => $this->garden->id, 'count' => 1, 'hazards' => '[]', 'practice' => '{}',
            'state' => '{}', 'own_practice' => false];
        foreach (range(1, 151) as $number) {
            DB::table('plants')->insert([
                ...$plant, 'kind' => $number % 30 === 0 ? 'butterfly-bush' : 'butchers-broom-of-old',
                'label' => "Plant $number",
            ]);
        }
        DB::table('plants')->where('label', 'Plant 151')->update(['kind' => 'butterfly-bush']);
        $page = (string) $this->actingAs($this->planner())->get("/gardens/{$this->garden->id}/letter")->assertOk()
            ->getContent();
        self::assertSame(4, substr_count($page, 'class="drawing portrait'));
        self::assertStringContainsString('Plant 150', $page);
        self::assertStringNotContainsString('Plant 151', $page);
    }

    public function test_twelve_clients_who_said_something_stand_among_the_decisions(): void
    {
        foreach (range(1, 13) as $number) {
            $garden = Garden::factory()->create(['name' => "Garden $number", 'client' => "Client $number"]);
            ClientWord::query()->create(['garden_id' => $garden->id, 'kind' => 'ask', 'says' => 'When?']);
        }
        $said = array_filter(
            array_column($this->app->make(Decisions::class)->of($this->planner(), Today::day()), 'says'),
            static fn (string $says): bool => str_starts_with($says, 'Client '),
        );
        self::assertCount(12, $said);
    }

    public function test_how_far_a_file_has_come_is_told_by_the_hundreds_and_forgotten_after_an_hour(): void
    {
        Storage::fake('local');
        config(['queue.default' => 'sync']);
        $this->actingAs($this->planner())->post('/files', [
            'of' => 'plants', 'file' => UploadedFile::fake()->createWithContent(
                'a.csv', "garden,kind\n".str_repeat("Millrace House,lilac\n", 251),
            ),
        ]);
        $import = Import::query()->sole();
        self::assertSame(250, $import->came());
        $this->travel(3599)->seconds();
        self::assertSame(250, $import->came());
        $this->travel(2)->seconds();
        self::assertSame(0, $import->came());
        self::assertSame([0, 0, 0, 0], array_map(
            (new Import)->getAttribute(...), ['new', 'changed', 'same', 'wrong'],
        ));
    }

    public function test_what_runs_in_the_background_is_taken_up_again_when_it_falls_silent(): void
    {
        $jobs = [
            new ReadImport(1), new WriteImport(1), new TakeBackImport(1), new MakeReport(2027), new MakeDraft(1),
            new MakeTrue(1, [], 1),
        ];
        $wait = config('queue.connections.database.retry_after');
        self::assertSame(60, $wait);
        foreach ($jobs as $job) {
            self::assertGreaterThan(1, $job->tries, $job::class);
            // What may take longer than the queue waits says that it is alive; the rest ends before.
            $says = in_array(StaysReserved::class, class_uses($job), true);
            self::assertSame([$says, $says ? 600 : 50], [$job->timeout > $wait, $job->timeout], $job::class);
        }
    }

    public function test_a_report_goes_back_eight_seasons_and_may_be_asked_for_ten(): void
    {
        $prescribed = json_encode($this->prescription()->toArray(), JSON_THROW_ON_ERROR);
        $visit = $this->garden->visits()->create(['on' => '2027-02-01']);
        foreach (range(2010, 2027) as $season) {
            $task = DB::table('visit_tasks')->insertGetId([
                'visit_id' => $visit->id, 'plant_id' => $this->wisteria->id, 'task' => 'winter-pass',
                'season' => $season, 'position' => 0, 'minutes' => 10, 'prescribed' => $prescribed,
            ]);
            DB::table('work_logs')->insert([
                'visit_task_id' => $task, 'plant_id' => $this->wisteria->id, 'task' => 'winter-pass',
                'season' => $season, 'on' => "$season-02-01", 'outcome' => 'done', 'findings' => '[]',
                'amounts' => '[]', 'minutes' => 20,
            ]);
        }
        $seasons = $this->app->make(ReportCalculator::class)->of(2027, Today::day())['hours']['season'];
        self::assertSame(array_map(strval(...), range(2020, 2027)), array_column($seasons, 'name'));
        self::assertSame(range(2027, 2017), ReportScreen::seasons(), 'for the season to come nothing is planned yet');
        DB::table('visit_tasks')->where('season', 2026)->update(['season' => 2028]);
        self::assertSame(range(2028, 2017), ReportScreen::seasons());
        DB::table('work_logs')->delete();
        DB::table('visit_tasks')->delete();
        self::assertSame([2027], ReportScreen::seasons(), 'a firm that begins');
    }

    public function test_long_texts_are_cut_where_changes_are_told(): void
    {
        $text = str_repeat('a', 60);
        self::assertSame("\"$text\"", Fields::says('notes', $text));
        self::assertSame('"'.str_repeat('a', 57).'..."', Fields::says('notes', "{$text}a"));
        self::assertSame(['nothing', 'nothing', 'nothing', 'nothing', 'something', '1.2 m'], [
            Fields::says('notes', null), Fields::says('notes', ''), Fields::says('hazards', '[]'),
            Fields::says('practice', '{}'), Fields::says('hazards', ['glass']), Fields::says('height_mm', 1200),
        ]);
    }

    public function test_two_hundred_people_and_calendars_thirty_devices_and_a_crew_of_forty(): void
    {
        $planner = $this->planner();
        $person = ['password' => 'x', 'role' => 'hand', 'crew_id' => $this->crew->id];
        foreach (range(1, 205) as $number) {
            DB::table('users')->insert([...$person, 'name' => "P$number", 'email' => "p$number@x.test"]);
            DB::table('feeds')->insert(['digest' => "digest $number", 'created_at' => now()]);
        }
        foreach (range(1, 35) as $number) {
            DB::table('devices')->insert(['user_id' => $planner->id, 'kind' => 'phone', 'seen_at' => now(),
                'created_at' => now()]);
        }
        $this->actingAs($planner);
        self::assertCount(200, $this->get('/changes')->assertOk()->viewData('people'));
        self::assertCount(200, $this->get('/files')->assertOk()->viewData('feeds'));
        $account = $this->get('/account')->assertOk();
        self::assertSame(30, substr_count((string) $account->getContent(), '<span class="what">'));
        self::assertCount(40, $this->get('/bench')->assertOk()->viewData('crew'));
    }

    public function test_the_last_eight_answers_of_the_bench_are_shown(): void
    {
        $hand = $this->hand();
        foreach (range(1, 9) as $number) {
            BenchAnswer::query()->create([
                'user_id' => $hand->id, 'case_key' => 'first-forsythia', 'seed' => $number, 'kind' => 'forsythia',
                'task' => 'after-flowering', 'method' => 'renew-by-thirds', 'level' => 1, 'cuts' => 'x',
                'day' => '2027-05-01', 'score' => $number,
                'mark' => ['found' => 0, 'kept' => 100, 'taken' => 0, 'remarks' => []],
            ]);
        }
        $answers = $this->actingAs($hand)->get('/bench')->assertOk()->viewData('answers');
        self::assertSame(range(9, 2), $answers->pluck('score')->all());
    }

    public function test_what_the_bench_is_asked_is_read_at_its_edges(): void
    {
        $asks = static fn (array $asked): ExerciseRequest => ExerciseRequest::create('/bench', 'GET', $asked);
        self::assertSame([1, 1_000_000, null, null], array_map(
            static fn (string $seed): ?int => $asks(['seed' => $seed])->seed(), ['', '1000000', '1000001', '-1'],
        ));
        self::assertSame(4000, strlen($asks(['cuts' => str_repeat('x', 4001)])->cuts()));
        $next = static fn (string $does, string $number, string $pick = '7'): ?string => $asks([
            'do' => $does, 'n' => $number, 'pick' => $pick,
        ])->nextCuts();
        self::assertSame(['h7-0', 's7-1', 'a1', 'd10', 'd30000', null, null, null, 't7', null], [
            $next('h', '1'), $next('s', '1'), $next('a', '1'), $next('d', '1'), $next('d', '3000'), $next('d', '3001'),
            $next('d', '0'), $next('h', '1', ''), $next('t', ''), $next('t', '', '1234567'),
        ]);
        self::assertSame(['', null], [$next('n', ''), $asks(['do' => ''])->lacks()]);
        self::assertStringContainsString('Take a stem', (string) $asks(['do' => 's', 'n' => '2'])->lacks());
        self::assertStringContainsString('how many buds', (string) $asks(['do' => 'a'])->lacks());
        self::assertStringContainsString('a height in centimetres', (string) $asks(['do' => 'd'])->lacks());
        self::assertStringContainsString('nothing that can be done', (string) $asks(['do' => 'q'])->lacks());
        // What would go of a plant that is cut to the ground is nearly all of it, and never more.
        $page = (string) $this->actingAs($this->hand())->get('/bench/first-forsythia?cuts=d10')->assertOk()
            ->getContent();
        self::assertSame(1, preg_match('/(\d+) % of its live buds would go/', $page, $taken));
        self::assertThat((int) ($taken[1] ?? 0), self::logicalAnd(
            self::greaterThan(90), self::lessThanOrEqual(100),
        ));
    }

    public function test_a_visit_is_planned_three_years_ahead_and_not_a_day_more(): void
    {
        $may = static fn (Day $day): bool => Validator::make(
            ['on' => (string) $day], ['on' => PlanDay::rules()],
        )->passes();
        $today = Today::day();
        self::assertSame([true, true, false, false], [
            $may($today), $may($today->plus(1096)), $may($today->plus(1097)), $may($today->minus(1)),
        ]);
    }

    public function test_only_what_the_database_says_of_others_at_work_is_busy(): void
    {
        $says = static function (?int $code): PDOException {
            $thrown = new PDOException('no');
            $thrown->errorInfo = $code === null ? null : ['HY000', $code, 'no'];

            return $thrown;
        };
        self::assertSame([true, true, false, false, false, true], [
            Busy::is($says(5)), Busy::is($says(6)), Busy::is($says(7)), Busy::is($says(null)),
            Busy::is(new RuntimeException('5', 5)), Busy::is(new RuntimeException('x', 0, $says(5))),
        ]);
        self::assertSame('2', Busy::answer(Request::create('/'))->headers->get('Retry-After'));
    }

    public function test_answers_from_a_kilobyte_on_are_sent_packed(): void
    {
        $sent = static function (int $bytes, string $takes): Response {
            $request = Request::create('/', 'GET', server: ['HTTP_ACCEPT_ENCODING' => $takes]);

            /** @var Response */
            return (new Compressed)->handle($request, static fn (): Response => new Response(str_repeat('a', $bytes)));
        };
        self::assertNull($sent(1023, 'gzip')->headers->get('Content-Encoding'));
        self::assertSame('gzip', $sent(1024, 'gzip')->headers->get('Content-Encoding'));
        self::assertNull($sent(1024, 'br')->headers->get('Content-Encoding'));
        self::assertSame(str_repeat('a', 1024), gzdecode((string) $sent(1024, 'gzip')->getContent()));
    }

    /** @return array<string, array{string, string}> */
    public static function noTables(): array
    {
        return [
            'a zip whose first line is all text' => ["PK\x03\x04 garden,kind\nx,y\n", 'no table of text'],
            'bytes that are no text' => ["garden\0,kind\nx,y\n", 'no table of text'],
        ];
    }

    #[DataProvider('noTables')]
    public function test_what_is_no_table_is_told_from_its_first_line(string $content, string $says): void
    {
        Storage::fake('local');
        config(['queue.default' => 'sync']);
        $this->actingAs($this->planner())->post('/files', [
            'of' => 'plants', 'file' => UploadedFile::fake()->createWithContent('a.csv', $content),
        ]);
        self::assertStringContainsString($says, (string) Import::query()->sole()->says);
    }

    public function test_what_nobody_sees_from_a_window_is_not_explained(): void
    {
        $says = static fn (int $share): ?string => AfterWords::of([
            Amount::exactly('live growth removed', '%', $share, Effect::LiveShare),
        ]);
        self::assertNull($says(19));
        self::assertStringContainsString('About 20 %', (string) $says(20));
        self::assertNull(AfterWords::of([]));
    }

    public function test_whoever_tried_too_often_is_told_how_many_minutes_are_left(): void
    {
        $user = $this->hand();
        $try = fn (): string => (string) $this->from('/sign-in')->postJson('/sign-in', [
            'email' => $user->email, 'password' => 'loppers',
        ])->json('errors.email.0');
        foreach (range(1, 6) as $time) {
            self::assertStringContainsString('do not belong together', $try());
        }
        self::assertStringContainsString('in 15 minutes', $try());
        $this->travel(460)->seconds();
        self::assertStringContainsString('in 8 minutes', $try(), 'seven minutes and twenty seconds');
        $this->travel(435)->seconds();
        self::assertStringContainsString('in 1 minutes', $try());
        $this->travel(10)->seconds();
        self::assertStringContainsString('do not belong together', $try());
    }

    public function test_a_typed_list_is_read_at_its_edges(): void
    {
        $names = $this->app->make(PlantBook::class)->names();
        self::assertInstanceOf(Names::class, $names);
        $read = static fn (string $text): PlantList => PlantList::read($text, $names, []);
        self::assertCount(200, $read(str_repeat("lilac\n", 200))->rows);
        self::assertSame([200, 1], [
            count($read(str_repeat("lilac\n", 201))->rows), $read(str_repeat("lilac\n", 201))->left,
        ]);
        self::assertSame(120, mb_strlen($read('lilac, '.str_repeat('a', 121))->rows[0]->label));
        self::assertSame([1, 9999, 1, 3], [
            $read('lilac')->rows[0]->count, $read('9999 lilac')->rows[0]->count, $read('0 lilac')->rows[0]->count,
            $read('3x lilac')->rows[0]->count,
        ]);
    }

    public function test_calendars_keep_visits_for_sixty_days(): void
    {
        $this->garden->visits()->create(['on' => (string) Today::day()->minus(60)]);
        $this->garden->visits()->create(['on' => (string) Today::day()->minus(61)]);
        $calendar = (string) $this->actingAs($this->planner())->get('/export/calendar')->streamedContent();
        self::assertSame(1, substr_count($calendar, 'BEGIN:VEVENT'));
        self::assertStringContainsString('20261222', $calendar);
    }

    public function test_a_tap_of_the_board_gets_the_board_and_a_form_the_page(): void
    {
        $rose = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'bush-rose']);
        $this->actingAs($this->lead());
        $tap = ['op' => 'add', 'azimuth_deg' => 10];
        $this->put("/plants/$rose->id/stems", $tap)->assertRedirect("/plants/$rose->id/stems?stem=A");
        $this->put("/plants/$rose->id/stems", $tap, ['X-Board' => '1'])->assertOk()->assertSee('Stem B')
            ->assertDontSee('<html', false);
        $this->post("/plants/$rose->id/stems/undo", [], ['X-Board' => '1'])->assertOk()->assertDontSee('Stem B');
        $this->post("/plants/$rose->id/stems/undo")->assertRedirect("/plants/$rose->id/stems");
    }

    public function test_lines_of_a_file_are_counted_over_all_that_they_are(): void
    {
        $import = Import::query()->create([
            'of' => 'plants', 'name' => 'a.csv', 'status' => Import::READ, 'new' => 30, 'changed' => 20, 'same' => 10,
            'wrong' => 5,
        ]);
        $this->actingAs($this->planner())->get("/files/$import->id?page=2")->assertOk();
        foreach (['new' => 30, 'changed' => 20, 'same' => 10, 'wrong' => 5] as $does => $many) {
            for ($row = 0; $row < $many; $row++) {
                DB::table('import_rows')->insert(['import_id' => $import->id, 'line' => $row, 'does' => $does,
                    'label' => "$does $row", 'facts' => '[]', 'says' => '[]']);
            }
        }
        $this->get("/files/$import->id")->assertSee('1 to 50 of 65 lines');
        $this->get("/files/$import->id?page=2")->assertSee('51 to 65 of 65 lines')->assertSee('wrong 4');
        $this->get("/files/$import->id?does=changed")->assertSee('1 to 20 of 20 lines')->assertDontSee('same 1');
    }

    public function test_what_is_not_there_to_be_read_written_or_taken_back_is_left_alone(): void
    {
        foreach ([ReadImport::class, WriteImport::class, TakeBackImport::class] as $job) {
            $this->app->call([new $job(999_999), 'handle']);
            foreach ([Import::READ, Import::DONE, Import::REFUSED, Import::TAKEN_BACK] as $status) {
                $import = Import::query()->create(['of' => 'plants', 'name' => 'a.csv', 'status' => $status]);
                $this->app->call([new $job($import->id), 'handle']);
                self::assertSame($status, $import->fresh()?->status, "$job, $status");
            }
        }
    }

    public function test_another_user_has_another_first_page(): void
    {
        self::assertSame(['/', '/round', '/round'], array_map(
            static fn (User $user): string => $user->home(), [$this->planner(), $this->lead(), $this->hand()],
        ));
    }
}
