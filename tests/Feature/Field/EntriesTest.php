<?php

declare(strict_types=1);

namespace Tests\Feature\Field;

use App\Field\Record\KeepPhoto;
use App\Field\Record\MakeSmallCopy;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Entry;
use App\Ground\Models\Photo;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Outcome;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\FeatureTestCase;

/** What phones keep in the garden and send when they can: each word once, in whatever order and however often. */
final class EntriesTest extends FeatureTestCase
{
    private VisitTask $task;

    private User $isla;

    protected function setUp(): void
    {
        parent::setUp();
        $this->task = $this->visitTask();
        $this->isla = $this->hand();
    }

    public function test_a_word_is_kept_once_however_often_it_is_sent(): void
    {
        $word = $this->word(['minutes' => 35, 'findings' => ['dead-wood']]);
        $this->send($word)->assertOk()->assertJsonPath('results.0.state', 'kept');
        $this->send($word, $word)->assertJsonPath('results.0.state', 'kept')->assertJsonPath('results.1.state', 'kept');
        self::assertSame(1, Entry::query()->count());
        $log = WorkLog::query()->sole();
        self::assertSame(
            [Outcome::Done, 35, ['dead-wood'], $this->isla->id],
            [$log->outcome, $log->minutes, $log->findings, $log->logged_by],
        );
        $this->send([...$word, 'body' => ['outcome' => 'done', 'minutes' => 5]])
            ->assertJsonPath('results.0.because', 'Something else was kept under this name.');
        $this->actingAs($this->hand());
        $this->postJson('/entries', ['entries' => [$word]])->assertJsonPath('results.0.state', 'refused');
        self::assertSame(35, WorkLog::query()->sole()->minutes);
    }

    public function test_fifty_words_are_taken_at_once_and_no_more(): void
    {
        $words = array_map(fn (): array => $this->word([]), range(1, 51));
        $this->send(...$words)->assertStatus(422)->assertJsonValidationErrors('entries');
        self::assertSame(0, Entry::query()->count());
        $this->send(...array_slice($words, 1))->assertOk()->assertJsonCount(50, 'results');
    }

    public function test_a_correction_takes_the_place_of_the_old_and_taken_back_the_old_stands_again(): void
    {
        $first = $this->word(['minutes' => 35]);
        $second = $this->word(['minutes' => 50], [$first['id']]);
        $this->send($first, $second);
        self::assertSame(50, WorkLog::query()->sole()->minutes);
        $this->send($back = $this->word([], [$second['id']], 'withdraw'));
        self::assertSame(35, WorkLog::query()->sole()->minutes);
        $this->send($this->word([], [$back['id']], 'withdraw'));
        self::assertSame(50, WorkLog::query()->sole()->minutes);
        $this->send($this->word([], [$second['id']], 'withdraw'), $this->word([], [$first['id']], 'withdraw'));
        self::assertSame(0, WorkLog::query()->count());
        self::assertSame(6, Entry::query()->count(), 'nothing that was said is lost');
    }

    public function test_two_phones_on_one_visit_lose_nothing_and_who_said_what_stays_visible(): void
    {
        $tam = User::factory()->create(['name' => 'Tam Reed', 'role' => 'hand', 'crew_id' => $this->crew->id]);
        $this->send($this->word(
            ['minutes' => 40, 'findings' => ['dead-wood'], 'note' => 'north side', 'removed_percent' => 10],
        ));
        $this->send(...[...$this->as($tam), $this->word(
            ['outcome' => 'changed', 'minutes' => 25, 'findings' => ['suckers'], 'note' => 'south side'],
            said: '2027-02-20T09:50:00Z',
        )]);
        $log = WorkLog::query()->sole();
        self::assertSame(Outcome::Changed, $log->outcome, 'said last');
        self::assertSame([40, 10], [$log->minutes, $log->removed_percent]);
        self::assertEqualsCanonicalizing(['dead-wood', 'suckers'], $log->findings);
        self::assertSame('south side / north side', $log->note);
        $this->actingAs($this->planner())->get("/visits/{$this->task->visit_id}")
            ->assertSee($this->isla->name)->assertSee('Tam Reed')->assertSee('north side');
        // Whoever sees both and says it anew takes the place of both.
        $this->send($this->word(
            ['minutes' => 60], array_values(Entry::query()->pluck('uuid')->all()), said: '2027-02-20T09:55:00Z',
        ));
        self::assertSame([60, null], [WorkLog::query()->sole()->minutes, WorkLog::query()->sole()->note]);
    }

    public function test_what_is_wrong_is_refused_by_itself_and_the_good_ones_are_kept(): void
    {
        $other = Visit::query()->create([
            'garden_id' => $this->garden->id, 'crew_id' => $this->hand(false)->crew_id, 'on' => '2027-02-21',
        ]);
        $theirs = $other->tasks()->create(
            $this->task->only(['plant_id', 'task', 'season', 'position', 'minutes', 'prescribed']),
        );
        $good = $this->word(['minutes' => 20]);
        $this->send(
            $this->word(['outcome' => 'partly', 'minutes' => null]),
            [...$this->word([]), 'visit' => $theirs->visit_id, 'task' => $theirs->id],
            [...$this->word([]), 'task' => $theirs->id],
            [...$this->word([]), 'visit' => 99999],
            $this->word([], [Str::uuid()->toString()]),
            $this->word([], [], 'withdraw'),
            [...$this->word([]), 'kind' => 'shout'],
            ['id' => 'no uuid'],
            $this->word([], [], 'sign-off', ofTask: false),
            $good,
        )->assertJsonPath('results.0.fields.why', 'Tap why it was not all done.')
            ->assertJsonPath('results.0.fields.minutes', 'How many minutes did it take?')
            ->assertJsonPath('results.1.state', 'kept')
            ->assertJsonPath(
                'results.1.because', 'That visit is another crew\'s: kept, and the planner finds a place for it.',
            )
            ->assertJsonPath(
                'results.2.because', 'That task is not on the visit: kept, and the planner finds a place for it.',
            )
            ->assertJsonPath('results.3.because', 'That visit is no longer planned.')
            ->assertJsonPath('results.4.because', 'What it corrects has not arrived, or is of something else.')
            ->assertJsonPath('results.5.state', 'refused')
            ->assertJsonPath('results.6.state', 'refused')
            ->assertJsonPath('results.7.state', 'refused')
            ->assertJsonPath('results.8.because', 'The lead signs a visit off.')
            ->assertJsonPath('results.9.state', 'kept');
        self::assertSame([$good['id']], Entry::query()->whereNull('unplaced')->pluck('uuid')->all());
        self::assertSame(1, WorkLog::query()->count(), 'what has no place yet is not in the record');
    }

    public function test_work_for_a_visit_that_was_cancelled_waits_for_the_planner_to_place_it(): void
    {
        $visit = $this->task->visit;
        $visit->delete();
        $first = $this->word(['minutes' => 20]);
        $second = $this->word(['minutes' => 35, 'note' => 'north side'], [$first['id']]);
        foreach ([$first, $second, $second] as $word) {
            $this->send($word)->assertJsonPath('results.0.state', 'kept');
        }
        $entry = Entry::query()->whereNotNull('unplaced')->sole();
        self::assertSame($second['id'], $entry->uuid, 'what it corrects is out of it');
        self::assertSame(0, WorkLog::query()->count());
        $this->actingAs($this->hand())->get('/unplaced')->assertForbidden();
        $boss = $this->planner();
        $this->actingAs($boss)->get('/')->assertSee('One entry from the garden has no visit: find its place');
        $this->get('/unplaced')->assertOk()->assertSee('Winter pass')->assertSee($this->isla->name)
            ->assertSee('Done, 35 minutes; north side')
            ->assertSee("Millrace House: {$this->isla->name}")->assertSee('a visit of its own on 20 Feb');
        $this->put("/unplaced/$entry->id", ['task' => 0])->assertSessionHasNoErrors();
        $log = WorkLog::query()->sole();
        self::assertSame(
            [35, '2027-02-20', $this->isla->id, 'winter-pass'],
            [$log->minutes, (string) $log->on, $log->logged_by, $log->task],
        );
        self::assertSame([$this->garden->id, $this->crew->id], array_values(
            Visit::query()->sole()->only(['garden_id', 'crew_id']),
        ));
        $this->put("/unplaced/$entry->id", ['task' => 0])->assertNotFound();
        $this->get('/')->assertDontSee('has no visit: find its place');
    }

    public function test_work_of_another_crew_and_of_long_ago_is_logged_where_the_planner_says(): void
    {
        $other = $this->hand(false);
        $this->actingAs($other);
        $theirs = $this->word(['minutes' => 25]);
        $this->postJson('/entries', ['entries' => [$theirs]])->assertJsonPath('results.0.state', 'kept');
        config(['hook.today' => '2027-03-20']);
        Carbon::setTestNow('2027-03-20 10:00:00');
        $late = $this->word(['minutes' => 30, 'on' => '2027-02-20']);
        $this->send($late)->assertJsonPath('results.0.state', 'kept');
        $boss = $this->planner();
        $entries = Entry::query()->whereNotNull('unplaced')->orderBy('id')->get();
        self::assertCount(2, $entries);
        $this->actingAs($boss)->get('/unplaced')->assertSee('long over')->assertSee('another crew');
        $this->put("/unplaced/{$entries[1]->id}", ['task' => $this->task->id])->assertSessionHasNoErrors();
        self::assertSame([30, '2027-02-20'], [
            WorkLog::query()->sole()->minutes, (string) WorkLog::query()->sole()->on,
        ]);
        // It has a log by now: the other one is put away, or made a visit of.
        $this->put("/unplaced/{$entries[0]->id}", ['task' => $this->task->id])->assertSessionHasErrors('task');
        self::assertNotNull($entries[0]->fresh()?->unplaced);
        $this->delete("/unplaced/{$entries[0]->id}")->assertRedirect('/unplaced');
        self::assertSame([1, 2], [WorkLog::query()->count(), Entry::query()->count()]);
        // Taken back on the phone before anybody placed it.
        $again = [...$this->word(['minutes' => 5]), 'visit' => $this->task->visit_id];
        $this->send($again)->assertJsonPath('results.0.state', 'kept');
        $this->send($this->word([], [$again['id']], 'withdraw'))->assertJsonPath('results.0.state', 'kept');
        self::assertSame(0, Entry::query()->whereNotNull('unplaced')->count());
    }

    public function test_one_that_cannot_be_read_never_stops_the_others(): void
    {
        $good = [$this->word(['minutes' => 20]), $this->word(['minutes' => 30])];
        $bad = [
            $this->word(['note' => str_repeat('x', 20_001)]), $this->word(['note' => "ends\0here"]),
            [...$this->word([]), 'said_at' => 'the day before'], 'no entry at all',
        ];
        $this->actingAs($this->isla)->postJson('/entries', [
            'now' => 'half past', 'entries' => [$good[0], ...$bad, $good[1]],
        ])->assertOk()->assertJsonCount(6, 'results')
            ->assertJsonPath('results.0.state', 'kept')
            ->assertJsonPath('results.1.fields.note', 'This is too long to be kept.')
            ->assertJsonPath('results.2.state', 'refused')
            ->assertJsonPath('results.3.state', 'refused')
            ->assertJsonPath('results.4.state', 'refused')
            ->assertJsonPath('results.5.state', 'kept');
        // An emoji that was cut in the middle is no JSON: it is kept with a sign for what is missing.
        $half = $this->word(['note' => 'robins HALF']);
        $text = str_replace('HALF', '\\ud83d', (string) json_encode(['entries' => [$half, $this->word([])]]));
        $json = ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'];
        $this->call('POST', '/entries', server: $json, content: $text)->assertOk()
            ->assertJsonPath('results.0.state', 'kept')->assertJsonPath('results.1.state', 'kept');
        self::assertSame("robins \u{FFFD}", Entry::query()->where('uuid', $half['id'])->sole()->body['note']);
        $whole = $this->word(['note' => "\u{1F426}"]);
        $this->send($whole)->assertJsonPath('results.0.state', 'kept');
        self::assertSame("\u{1F426}", Entry::query()->where('uuid', $whole['id'])->sole()->body['note']);
    }

    public function test_where_the_office_can_write_no_more_the_rest_waits_on_the_phone(): void
    {
        $words = [$this->word(['minutes' => 20]), $this->word(['minutes' => 30]), $this->word(['minutes' => 40])];
        $written = 0;
        DB::listen(static function (QueryExecuted $query) use (&$written): void {
            if (str_contains($query->sql, 'into "entries"') && ++$written === 2) {
                throw new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full');
            }
        });
        $this->send(...$words)->assertOk()->assertJsonCount(1, 'results')->assertJsonPath('results.0.state', 'kept');
        $written = 1;
        $this->send($words[1])->assertStatus(507)
            ->assertJsonPath('message', 'The office\'s disk is full: nothing was kept. Send it again later.');
        $written = 5;
        $this->send(...$words)->assertJsonCount(3, 'results')->assertJsonPath('results.2.state', 'kept');
        self::assertSame(3, Entry::query()->count(), 'none is doubled');
    }

    public function test_words_stay_when_their_visit_is_cancelled_and_go_with_their_task(): void
    {
        $first = $this->word(['minutes' => 10]);
        $this->send($first, $this->word([], [], 'arrive', ofTask: false));
        $other = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-22']);
        $old = $this->task->visit;
        $this->task->update(['visit_id' => $other->id]);
        $old->delete();
        self::assertSame(2, Entry::query()->count());
        $this->send($this->word(['minutes' => 20], [$first['id']]))->assertJsonPath('results.0.state', 'kept');
        self::assertSame(20, WorkLog::query()->sole()->minutes);
        $this->send($this->word(['note' => str_repeat('a', 2001)], [], 'close', ofTask: false))
            ->assertJsonPath('results.0.because', 'A note holds 2000 signs.');
    }

    public function test_one_visits_word_does_not_correct_anothers(): void
    {
        $this->send($first = $this->word(['minutes' => 10]));
        $other = $this->visit('2027-02-22')->tasks()->firstOrFail();
        $this->send([...$this->word([], [$first['id']]), 'visit' => $other->visit_id, 'task' => $other->id])
            ->assertJsonPath('results.0.state', 'refused');
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('doubtful')]
    public function test_what_is_hard_to_believe_is_asked_about_first(array $body, string $field): void
    {
        $this->task->update(['prescribed' => $this->prescription(['amounts' => [
            ['what' => 'buds left', 'unit' => 'buds', 'min' => 2, 'target' => 2, 'max' => 3],
        ]])]);
        $answer = $this->send($this->word($body))->assertJsonPath('results.0.state', 'refused')->json('results.0');
        self::assertSame([$field, 'sure'], array_keys($answer['fields']));
        $this->send($this->word([...$body, 'sure' => true]))->assertJsonPath('results.0.state', 'kept');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function doubtful(): iterable
    {
        yield 'a plant that is taller after the cut' => [
            ['more' => ['height_before' => 120, 'height_after' => 150]], 'more.height_after',
        ];
        yield 'fifty buds where two were asked for' => [['amounts' => [50]], 'amounts.0'];
        yield 'ten hours for half an hour' => [['minutes' => 600], 'minutes'];
    }

    public function test_a_stop_says_why_and_who_was_told(): void
    {
        $stop = ['outcome' => 'not-done', 'why' => 'nest', 'minutes' => null];
        $this->send($this->word($stop))->assertJsonPath('results.0.state', 'refused')
            ->assertJsonPath('results.0.fields.told', 'Who have you told? Choose one.');
        $this->send($this->word([...$stop, 'told' => 'the office']))->assertJsonPath('results.0.state', 'kept');
        $log = WorkLog::query()->sole();
        self::assertSame(['nest', 'the office'], [$log->why?->value, $log->told]);
        // Done after all, what was tapped before it stops nothing.
        $this->send($this->word(['why' => 'nest'], [Entry::query()->sole()->uuid]))
            ->assertJsonPath('results.0.state', 'kept');
        self::assertNull($log->fresh()?->why);
    }

    public function test_a_phones_wrong_clock_is_put_right(): void
    {
        $this->actingAs($this->isla)->postJson('/entries', [
            'now' => '2027-02-20T13:00:00Z', 'entries' => [$this->word([], said: '2027-02-20T12:30:00Z')],
        ])->assertJsonPath('results.0.state', 'kept');
        $entry = Entry::query()->sole();
        self::assertSame('09:30', $entry->said_at->format('H:i'));
        self::assertSame(-3 * 3600, $entry->clock_off_s);
        // Half a day and more: it may as well be the office's clock, and the day the phone said is kept.
        $this->actingAs($this->isla)->postJson('/entries', [
            'now' => '2027-02-18T10:00:00Z', 'entries' => [$late = $this->word([], said: '2027-02-18T09:30:00Z')],
        ])->assertJsonPath('results.0.state', 'kept');
        $entry = Entry::query()->where('uuid', $late['id'])->sole();
        self::assertSame(['2027-02-18 09:30', 2 * 86_400], [$entry->said_at->format('Y-m-d H:i'), $entry->clock_off_s]);
        // A word of tomorrow is of now.
        $this->send($this->word([], said: '2027-02-23T12:30:00Z'));
        self::assertSame('2027-02-20 10:00', Entry::query()->orderByDesc('id')->first()?->said_at->format('Y-m-d H:i'));
    }

    public function test_heights_and_stems_by_age_become_what_the_plant_is(): void
    {
        $this->wisteria->update(['height_mm' => 3000, 'stems_old' => 6, 'stems_young' => 4]);
        $this->send($this->word(['more' => [
            'height_before' => 300, 'height_after' => 240, 'stems_old' => 2, 'stems_young' => 1,
        ], 'blades' => true, 'left_stem' => 'C', 'left_for_next_year' => 'the oldest']));
        $log = WorkLog::query()->sole();
        self::assertSame([true, 'C', 'the oldest'], [$log->blades, $log->left_stem, $log->left_for_next_year]);
        self::assertSame(
            [3000, 2400, 2, 1], array_column($log->amounts, 'value'),
        );
        $this->app->make(CorePlants::class)->forget();
        $plant = $this->app->make(CorePlants::class)->plant(
            $this->wisteria->fresh() ?? $this->wisteria, Day::parse('2027-02-21'),
        );
        self::assertSame([2400, 4, 3], [$plant->heightMm, $plant->stems?->old, $plant->stems?->young]);
    }

    public function test_arriving_leaving_and_the_leads_signature_are_words_of_the_visit(): void
    {
        $this->send(
            $this->word(['nests' => true, 'rubbish' => true], [], 'arrive', ofTask: false),
            $this->word(['debris' => '1', 'note' => ' all gone '], [], 'close', ofTask: false),
        );
        self::assertSame(
            [['nests' => true], ['debris' => true, 'note' => 'all gone']], Entry::query()->orderBy('id')->get()
                ->map(static fn (Entry $entry): array => $entry->body)->all(),
        );
        $this->send(...[...$this->as($this->lead()), $this->word([], [], 'sign-off', ofTask: false)])
            ->assertJsonPath('results.0.state', 'kept');
    }

    public function test_guests_are_told_to_sign_in_and_the_token_comes_with_who_asks(): void
    {
        $this->getJson('/entries/who')->assertUnauthorized();
        $this->postJson('/entries', ['entries' => [$this->word([])]])->assertUnauthorized();
        $this->actingAs($this->isla)->getJson('/entries/who')->assertOk()->assertJsonPath('user', $this->isla->id)
            ->assertJsonStructure(['token', 'now', 'name']);
    }

    public function test_a_photo_is_kept_once_and_seen_by_the_firm_alone(): void
    {
        Storage::fake('local');
        $photo = fn (array $more = []): array => [
            'id' => '0b7a2f0e-1111-4222-8333-444455556666', 'task' => $this->task->id, 'moment' => 'before',
            'taken_at' => '2027-02-20T09:00:00Z', 'photo' => self::picture(), ...$more,
        ];
        $send = fn (array $said) => $this->actingAs($this->isla)
            ->post('/photos', $said, ['Accept' => 'application/json']);
        $send($photo())->assertOk();
        $send($photo())->assertOk();
        self::assertSame(1, Photo::query()->count());
        $kept = Photo::query()->sole();
        self::assertSame([2, 1, 'before'], [$kept->width, $kept->height, $kept->moment]);
        $this->get("/photos/$kept->uuid")->assertOk()->assertHeader('X-Content-Type-Options', 'nosniff');
        $new = static fn (): array => ['id' => Str::uuid()->toString()];
        $send($photo([...$new(), 'photo' => UploadedFile::fake()->createWithContent('a.jpg', 'no')]))
            ->assertUnprocessable()->assertJsonValidationErrors(['photo' => 'That is no picture.']);
        $send($photo([...$new(), 'photo' => UploadedFile::fake()->create('a.jpg', 15361)]))
            ->assertUnprocessable()->assertJsonValidationErrors(['photo' => 'The picture is over 15 MB.']);
        $send($photo(['moment' => 'after', 'task' => 99999]))->assertUnprocessable();
        $this->actingAs($this->hand(false))->post('/photos', $photo($new()))->assertForbidden();
        $this->actingAs($this->lead())->deleteJson("/photos/$kept->uuid")->assertForbidden();
        $this->actingAs($this->isla)->deleteJson("/photos/$kept->uuid")->assertOk();
        self::assertSame([], Storage::disk('local')->allFiles());
        $this->app->make('auth')->forgetGuards();
        $this->get("/photos/$kept->uuid")->assertRedirect('/sign-in');
    }

    public function test_nothing_that_came_with_a_photo_is_kept_but_what_it_shows(): void
    {
        Storage::fake('local');
        $kept = function (string $bytes): Photo {
            $this->actingAs($this->isla)->post('/photos', [
                'id' => Str::uuid()->toString(), 'task' => $this->task->id, 'moment' => 'before',
                'taken_at' => '2027-02-20T09:00:00Z', 'photo' => UploadedFile::fake()->createWithContent('a', $bytes),
            ], ['Accept' => 'application/json'])->assertOk();

            return Photo::query()->latest('id')->firstOrFail();
        };
        // Held upright, with the place it was taken at, and a program behind its end.
        $jpeg = self::jpeg(40, 20);
        $notes = "Exif\0\0II*\0".pack('Vv', 8, 2).pack('vvVV', 0x0112, 3, 1, 6).pack('vvVV', 0x8825, 4, 1, 38)
            .pack('V', 0).pack('v', 1).pack('vvV', 1, 2, 2)."N\0\0\0".pack('V', 0);
        $from = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($notes) + 2).$notes.substr($jpeg, 2).'<?php echo 1;';
        $path = (string) tempnam(sys_get_temp_dir(), 'held');
        file_put_contents($path, $from);
        $said = (array) exif_read_data($path);
        unlink($path);
        self::assertSame([6, 'N'], [$said['Orientation'] ?? null, $said['GPSLatitudeRef'] ?? null]);
        $photo = $kept($from);
        $file = (string) Storage::disk('local')->get($photo->path());
        self::assertSame([20, 40, strlen($file)], [$photo->width, $photo->height, $photo->bytes]);
        self::assertStringNotContainsString('Exif', $file);
        self::assertStringNotContainsString('<?php', $file);
        // What was at its left edge is at its top.
        $drawn = imagecreatefromstring($file);
        self::assertNotFalse($drawn);
        self::assertGreaterThan(200, imagecolorat($drawn, 10, 3) >> 16 & 255);
        self::assertLessThan(60, imagecolorat($drawn, 10, 36) >> 16 & 255);
        // Larger than a cut can be told by; in a list it is smaller still.
        $large = $kept(self::jpeg(3000, 1000));
        self::assertSame([2048, 683], [$large->width, $large->height]);
        // The large one is shown until the queue has made the small one.
        $shown = fn (): string => (string) file_get_contents(
            $this->get("/photos/$large->uuid?small=1")->assertOk()->baseResponse->getFile()->getPathname(),
        );
        self::assertSame(Storage::disk('local')->get($large->path()), $shown());
        (new MakeSmallCopy($large->uuid))->handle();
        $small = getimagesize(Storage::disk('local')->path($large->smallPath()));
        self::assertSame([480, 160], array_slice((array) $small, 0, 2));
        self::assertSame(Storage::disk('local')->get($large->smallPath()), $shown());
        $this->deleteJson("/photos/$large->uuid")->assertOk();
        Storage::disk('local')->assertMissing([$large->path(), $large->smallPath()]);
    }

    /** @return array<string, array{string, string}> */
    public static function noPictures(): array
    {
        return [
            'a picture of 60,000 by 60,000 that would fill the machine' => [
                "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNC5', 60_000, 60_000, 1, 0, 0, 0, 0)
                    .pack('N', crc32('IHDR'.pack('NNC5', 60_000, 60_000, 1, 0, 0, 0, 0))),
                'The picture is too large: 3600 megapixels. The limit is 50.',
            ],
            'one cut short' => [substr(self::jpeg(40, 20), 0, 40), 'That is no picture.'],
            'a page that calls itself one' => ['GIF89a<script>alert(1)</script>', 'That is no picture.'],
        ];
    }

    #[DataProvider('noPictures')]
    public function test_what_cannot_be_drawn_is_refused_before_it_is_unpacked(string $bytes, string $says): void
    {
        Storage::fake('local');
        $this->actingAs($this->isla)->post('/photos', [
            'id' => Str::uuid()->toString(), 'task' => $this->task->id, 'moment' => 'before',
            'taken_at' => '2027-02-20T09:00:00Z', 'photo' => UploadedFile::fake()->createWithContent('a.png', $bytes),
        ], ['Accept' => 'application/json'])->assertJsonValidationErrors(['photo' => $says]);
        self::assertSame([0, []], [Photo::query()->count(), Storage::disk('local')->allFiles()]);
    }

    /** Red at its left half, black at its right. */
    private static function jpeg(int $width, int $height): string
    {
        $drawn = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefilledrectangle($drawn, 0, 0, intdiv($width, 2) - 1, $height, 0xFF0000);
        ob_start();
        imagejpeg($drawn, null, 95);

        return (string) ob_get_clean();
    }

    public function test_a_task_has_a_hundred_photos_and_its_plants_record_shows_the_latest(): void
    {
        Storage::fake('local');
        $this->actingAs($this->isla)->put("/tasks/{$this->task->id}/log", ['outcome' => 'done', 'minutes' => 25])
            ->assertSessionHasNoErrors();
        Photo::query()->insert(array_map(fn (int $nth): array => [
            'uuid' => sprintf('0b7a2f0e-1111-4222-8333-%012d', $nth), 'visit_task_id' => $this->task->id,
            'moment' => 'after', 'taken_at' => sprintf('2027-02-20 09:%02d:%02d', intdiv($nth, 60), $nth % 60),
            'width' => 2, 'height' => 1, 'bytes' => 5,
        ], range(1, KeepPhoto::MOST - 1)));
        $send = fn () => $this->actingAs($this->isla)->post('/photos', [
            'id' => Str::uuid()->toString(), 'task' => $this->task->id, 'moment' => 'before',
            'taken_at' => '2027-02-20T08:00:00Z', 'photo' => self::picture(),
        ], ['Accept' => 'application/json']);
        $send()->assertOk();
        $send()->assertUnprocessable()->assertJsonValidationErrors([
            'photo' => 'This task has 100 pictures already, the most it can keep. Delete one first.',
        ]);
        self::assertSame(KeepPhoto::MOST, Photo::query()->count());
        $this->get("/plants/{$this->task->plant_id}/record")->assertOk()->assertSee('The latest 24 of 100 pictures')
            ->assertSee('000000000099')->assertSee('000000000076')->assertDontSee('000000000075');
    }

    /** The smallest PNG: two pixels beside each other. */
    private static function picture(): UploadedFile
    {
        $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data
            .pack('N', crc32($type.$data));

        return UploadedFile::fake()->createWithContent(
            'a.png', "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNC5', 2, 1, 8, 0, 0, 0, 0))
                .$chunk('IDAT', (string) gzcompress("\0\0\0")).$chunk('IEND', ''),
        );
    }

    /** @return array{} what follows is sent by somebody else */
    private function as(User $user): array
    {
        $this->isla = $user;

        return [];
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  list<string>  $corrects
     * @return array<string, mixed>
     */
    private function word(
        array $body,
        array $corrects = [],
        string $kind = 'log',
        string $said = '2027-02-20T09:00:00Z',
        bool $ofTask = true,
    ): array {
        return [
            'id' => Str::uuid()->toString(), 'kind' => $kind, 'visit' => $this->task->visit_id,
            'task' => $ofTask ? $this->task->id : null, 'said_at' => $said, 'corrects' => $corrects,
            'body' => $kind === 'log' ? ['outcome' => 'done', 'minutes' => 30, ...$body] : $body,
        ];
    }

    /** @param  array<string, mixed>  ...$words @return TestResponse<Response> */
    private function send(array ...$words): TestResponse
    {
        return $this->actingAs($this->isla)
            ->postJson('/entries', ['now' => Carbon::now()->toIso8601String(), 'entries' => $words]);
    }
}
