<?php

declare(strict_types=1);

namespace Tests\Feature\Office;

use App\Ground\Models\ClientWord;
use App\Ground\Models\Feed;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Import;
use App\Ground\Models\Letter;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Support\Today;
use App\Io\Csv\Cells;
use App\Io\Csv\CsvFile;
use App\Io\Import\GardenNames;
use App\Io\Import\Near;
use App\Io\Import\TakeBackImport;
use App\Io\Import\WriteImport;
use App\Office\Clients\SeasonLetterNotification;
use App\Office\Messages\TextChannel;
use App\Office\Reports\ReportCalculator;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use RuntimeException;
use Tests\Feature\FeatureTestCase;

/** Where the office's lists end, and the edges of what it reads: one more, one less. */
final class OfficeLimitsTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        config(['queue.default' => 'sync']);
        $this->actingAs($this->planner());
    }

    public function test_lists_of_the_office_are_read_a_page_at_a_time(): void
    {
        User::factory()->count(35)->create();
        $here = User::query()->whereNull('left_on')->count();
        self::assertCount(30, $this->get('/people')->viewData('here'));
        self::assertCount($here - 30, $this->get('/people?page=2')->viewData('here'));
        User::query()->whereKeyNot(auth()->id())->limit(33)->get()->each(
            static fn (User $user) => $user->forceFill(['left_on' => '2027-01-01'])->save(),
        );
        self::assertCount(30, $this->get('/people')->viewData('gone'));
        for ($letter = 0; $letter < 41; $letter++) {
            Letter::query()->create(['channel' => 'mail', 'to' => "to$letter@x.test", 'subject' => 'S', 'body' => 'B']);
        }
        $post = $this->get('/post')->assertSee('Earlier');
        self::assertCount(40, $post->viewData('letters'));
        $this->get('/post?before='.$post->viewData('older'))->assertSee('to0@x.test')->assertDontSee('to1@x.test')
            ->assertDontSee('Earlier');
        $this->get('/post?q=to_0')->assertSee('No letter is like that');
        for ($word = 0; $word < 21; $word++) {
            ClientWord::query()->create(['garden_id' => $this->garden->id, 'kind' => 'ask', 'says' => "w$word"]);
        }
        self::assertCount(20, $this->get("/gardens/{$this->garden->id}/letter")->viewData('words'));
        for ($import = 0; $import < 11; $import++) {
            Import::query()->create(['of' => 'plants', 'name' => "$import.csv", 'status' => Import::READ]);
            Feed::query()->create(['digest' => "digest $import"]);
        }
        self::assertCount(10, $this->get('/files')->viewData('imports'));
        Plant::factory()->count(24)->create(['garden_id' => $this->garden->id]);
        self::assertCount(24, $this->get("/gardens/{$this->garden->id}/labels")->viewData('plants'));
        self::assertCount(1, $this->get("/gardens/{$this->garden->id}/labels?page=2")->viewData('plants'));
    }

    public function test_tables_are_written_whole_however_many_rows_they_have(): void
    {
        $plant = ['kind' => 'lilac', 'count' => 1, 'hazards' => '[]', 'practice' => '{}', 'state' => '{}',
            'own_practice' => false];
        for ($part = 0; $part < 5; $part++) {
            DB::table('plants')->insert(array_map(fn (int $each): array => [
                ...$plant, 'garden_id' => $this->garden->id, 'label' => 'Plant '.(250 * $part + $each),
            ], range(1, 250)));
        }
        $lines = explode("\r\n", trim($this->get('/export/plants')->streamedContent()));
        self::assertCount(1252, array_unique($lines), 'each once, with the wisteria and the first line');
        Garden::factory()->count(120)->create();
        $map = json_decode($this->get('/export/places')->streamedContent(), true, flags: JSON_THROW_ON_ERROR);
        self::assertSame(
            Garden::query()->orderBy('id')->pluck('id')->all(), array_column($map['features'], 'id'),
        );
        self::assertCount(1251, $map['features'][0]['properties']['plants']);
    }

    public function test_a_letter_looks_half_a_year_ahead_and_no_farther(): void
    {
        Plant::query()->delete();
        // Cut from 27 March to 24 April in the open ground of this garden.
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'butterfly-bush', 'label' => 'Bush']);
        config(['hook.today' => '2026-10-20']);
        $letter = "/gardens/{$this->garden->id}/letter";
        $this->get($letter)->assertSee('Bush: spring cut');
        $this->app->forgetScopedInstances();
        config(['hook.today' => '2026-08-20']);
        $this->get($letter)->assertDontSee('Bush: spring cut');
    }

    public function test_text_messages_go_to_numbers_and_only_what_can_be_told_in_one(): void
    {
        Storage::fake('local');
        $this->garden->update(['client_phone' => '+44 1', 'client_email' => null]);
        $told = new SeasonLetterNotification($this->garden, 'Ashgrove', 'http://x/client/1');
        $channel = $this->app->make(TextChannel::class);
        $channel->send((new AnonymousNotifiable)->route(TextChannel::class, ''), $told);
        $channel->send(new AnonymousNotifiable, $told);
        $channel->send($this->planner(), $told);
        self::assertSame(0, Letter::query()->count());
        self::assertSame([TextChannel::class], $told->via());
        $channel->send((new AnonymousNotifiable)->route(TextChannel::class, '+44 1'), $told);
        self::assertSame('Ashgrove: what we do in Millrace House this season, and when: http://x/client/1',
            Letter::query()->sole()->whole());
    }

    public function test_a_firm_is_begun_only_where_there_is_neither_firm_nor_people(): void
    {
        $options = [
            '--name' => str_repeat('a', 80), '--place' => '-90;180', '--zone' => 'Europe/London',
            '--planner' => 'Maren', '--email' => 'm@a.test', '--no-interaction' => true,
        ];
        $this->app->useEnvironmentPath(sys_get_temp_dir());
        $this->artisan('new-firm', $options)->assertFailed();
        self::assertSame(0, Firm::query()->count(), 'there are people already');
        auth()->logout();
        User::query()->delete();
        Firm::query()->create(['name' => 'Ashgrove']);
        $this->artisan('new-firm', $options)->expectsOutputToContain('there is a firm already: Ashgrove')
            ->assertFailed();
        Firm::query()->delete();
        $this->artisan('new-firm', [...$options, '--name' => str_repeat('a', 81)])
            ->expectsOutputToContain('a name of 1 to 80 letters is needed')->assertFailed();
        foreach (['91,0', '0,181', '1.5'] as $place) {
            $this->artisan('new-firm', [...$options, '--place' => $place])->assertFailed();
        }
        self::assertSame(0, Firm::query()->count());
    }

    /** @return array<string, array{string, list<string>, ?string}> */
    public static function words(): array
    {
        return [
            'one sign off' => ['lilck', ['lilac', 'rose'], 'lilac'], 'itself' => ['Rose', ['lilac', 'rose'], 'rose'],
            'half of it off' => ['roxx', ['rose'], 'rose'], 'more than half' => ['rxxx', ['rose'], null],
            'four of many' => ['abcdefghij', ['abcdefwxyz'], 'abcdefwxyz'],
            'five of many' => ['abcdefghij', ['abcdevwxyz'], null], 'nothing known' => ['x', [], null],
            'the nearer of two' => ['height_c', ['weight_cm', 'height_cm'], 'height_cm'],
        ];
    }

    /** @param  list<string>  $known */
    #[DataProvider('words')]
    public function test_what_was_meant_is_guessed_within_bounds(string $said, array $known, ?string $meant): void
    {
        self::assertSame($meant, Near::to($said, $known));
    }

    public function test_the_name_of_a_garden_is_as_long_as_one_may_be(): void
    {
        $long = str_repeat('x', 120);
        $garden = Garden::factory()->create(['name' => $long]);
        $names = new GardenNames;
        $cells = new Cells(['garden' => $long]);
        self::assertSame([$garden->id, []], [$names->of($cells), $cells->faults]);
        $cells = new Cells(['garden' => "{$long}y"]);
        self::assertNull($names->of($cells));
        self::assertContains('garden: is longer than 120 letters', $cells->faults);
    }

    public function test_cells_are_read_at_their_edges(): void
    {
        $read = static function (string $said, callable $how): array {
            $cells = new Cells(['it' => $said]);

            return [$how($cells), $cells->faults];
        };
        $whole = static fn (Cells $cells): ?int => $cells->whole('it', 1, 1000);
        self::assertSame([[1, []], [1000, []], [null, []]], [
            $read('1', $whole), $read('1 000', $whole), $read('', $whole),
        ]);
        foreach (['0', '1001', '1,5', '1.2.3', 'ten', '1e3'] as $wrong) {
            self::assertCount(1, $read($wrong, $whole)[1], $wrong);
        }
        $text = static fn (Cells $cells): ?string => $cells->text('it', 3, true);
        self::assertSame([['äöü', []], ['äöüx', ['it: is longer than 3 letters']], [null, ['it: is empty']]], [
            $read('äöü', $text), $read('äöüx', $text), $read('', $text),
        ]);
        $day = static fn (Cells $cells): ?string => $cells->day('it', Day::of(2027, 2, 20))?->__toString();
        self::assertSame(['2027-02-20', '2018-03-04', '1700-01-01', null], [
            $read('2027-02-20', $day)[0], $read('4.3.2018', $day)[0], $read('01/01/1700', $day)[0], $read('', $day)[0],
        ]);
        foreach (['2027-02-21', '1699-12-31', '31.02.2018', 'May'] as $wrong) {
            self::assertCount(1, $read($wrong, $day)[1], $wrong);
        }
        $yes = static fn (Cells $cells): ?bool => $cells->yes('it');
        self::assertSame([true, false, null], [$read('Yes', $yes)[0], $read('no', $yes)[0], $read('', $yes)[0]]);
        self::assertSame([null, ['it: "maybe" is none of yes, no']], $read('maybe', $yes));
    }

    public function test_what_ends_on_the_way_says_so_and_can_be_begun_again(): void
    {
        $import = Import::query()->create([
            'of' => 'plants', 'name' => 'a.csv', 'status' => Import::WRITING, 'new' => 1,
        ]);
        (new WriteImport($import->id))->failed(new RuntimeException('the disk is full'));
        self::assertSame(Import::READ, $import->fresh()?->status);
        $import->update(['status' => Import::TAKING_BACK]);
        (new TakeBackImport($import->id))->failed(new RuntimeException('/srv/x'));
        self::assertSame(Import::DONE, $import->fresh()?->status);
        self::assertStringContainsString('omething went wrong on our side', (string) $import->fresh()?->says);
        (new TakeBackImport(999_999))->failed(new RuntimeException('/srv/x'));
        // What is being read or written is not put away under it, nor taken in once more.
        $import->update(['status' => Import::READING]);
        $this->get("/files/$import->id")->assertSee('Being read');
        $this->put("/files/$import->id");
        self::assertSame(Import::READING, $import->fresh()?->status);
        $import->update(['status' => Import::TAKING_BACK]);
        $this->delete("/files/$import->id");
        self::assertSame(Import::TAKING_BACK, $import->fresh()?->status);
        $empty = Import::query()->create(['of' => 'plants', 'name' => 'b.csv', 'status' => Import::READ, 'same' => 3]);
        $this->get("/files/$empty->id")->assertSee('There is nothing in it to take in');
        $this->put("/files/$empty->id");
        self::assertSame(Import::READ, $empty->fresh()?->status);
    }

    public function test_sixty_thousand_lines_and_no_more(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hook');
        $lines = static function (int $many) use ($file): int {
            file_put_contents($file, "garden,kind\n".str_repeat("x,y\n", $many));

            return iterator_count(CsvFile::open($file, ['garden', 'kind'], ['garden'])->rows());
        };
        self::assertSame(60_000, $lines(60_000));
        try {
            $lines(60_001);
            self::fail('one more was read');
        } catch (Fault $fault) {
            self::assertStringContainsString('60,000', $fault->getMessage());
        } finally {
            unlink($file);
        }
    }

    public function test_a_report_shows_the_twenty_that_took_longest(): void
    {
        $prescribed = json_encode($this->visitTask()->prescribed->toArray(), JSON_THROW_ON_ERROR);
        for ($number = 1; $number <= 22; $number++) {
            $garden = Garden::factory()->create(['name' => "Garden $number"]);
            $plant = Plant::factory()->create(['garden_id' => $garden->id]);
            $visit = $garden->visits()->create(['on' => '2027-02-20']);
            $task = DB::table('visit_tasks')->insertGetId(['visit_id' => $visit->id, 'plant_id' => $plant->id,
                'task' => 'winter-pass', 'season' => 2027, 'position' => 0, 'minutes' => 10,
                'prescribed' => $prescribed]);
            DB::table('work_logs')->insert(['visit_task_id' => $task, 'plant_id' => $plant->id,
                'task' => 'winter-pass', 'season' => 2027, 'on' => '2027-02-20', 'outcome' => 'done',
                'minutes' => $number, 'findings' => '[]', 'amounts' => '[]']);
        }
        $hours = $this->app->make(ReportCalculator::class)->of(2027, Today::day())['hours']['garden'];
        self::assertCount(20, $hours);
        self::assertSame(['Garden 22', 'Garden 3'], [$hours[0]['name'], $hours[19]['name']]);
    }
}
