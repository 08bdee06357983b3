<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\BloomNote;
use App\Ground\Models\Change;
use App\Ground\Models\Firm;
use App\Ground\Models\Letter;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\People\InvitationNotification;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\Feature\FeatureTestCase;

/** People are invited, come in, change what they may do, and leave; what they did stays. */
final class PeopleTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['mail.default' => 'post', 'app.url' => 'http://localhost']);
    }

    public function test_somebody_is_invited_by_letter_and_comes_in_once(): void
    {
        $this->actingAs($this->planner())->post('/people', $this->facts())->assertSessionHasNoErrors()
            ->assertRedirect('/people');
        $person = User::query()->where('email', 'new@hollow.test')->sole();
        self::assertSame([Role::Hand, $this->crew->id, null], [$person->role, $person->crew_id, $person->joined_at]);
        $this->get('/people')->assertSee('Nell Brook')->assertSee('invited, not come in yet');
        $link = $this->link($person);
        $this->get('/post')->assertSee('Your way into')->assertSee('Hello Nell Brook');
        auth()->logout();
        $this->get($link)->assertOk()->assertSee('Nell Brook, choose a password');
        $this->post($link, ['password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrors('password');
        $this->assertGuest();
        $this->post($link, ['password' => 'three wet gloves', 'password_confirmation' => 'three wet gloves'])
            ->assertRedirect('/round');
        $this->assertAuthenticatedAs($person);
        self::assertTrue(Hash::check('three wet gloves', (string) $person->fresh()?->password));
        auth()->logout();
        $this->get($link)->assertSee('This link opens nothing');
        $this->post($link, ['password' => 'four wet gloves', 'password_confirmation' => 'four wet gloves']);
        self::assertTrue(Hash::check('three wet gloves', (string) $person->fresh()?->password), 'it works once');
    }

    public function test_letters_go_by_the_queue_and_what_cannot_be_delivered_stands_in_the_post_office(): void
    {
        config(['queue.letters' => 'database', 'queue.default' => 'database']);
        $boss = $this->planner();
        $this->actingAs($boss)->post('/people', $this->facts())->assertSessionHasNoErrors();
        self::assertSame(0, Letter::query()->count(), 'nobody waits for the mail server');
        $job = DB::table('jobs')->where('payload', 'like', '%SendQueuedNotifications%')->sole();
        self::assertStringNotContainsString('welcome', (string) $job->payload, 'nobody can read the link there');
        $this->get('/post')->assertSee('One letter is waiting to be sent');
        // The server answers nothing; the worker tries again, each time after a longer while.
        config(['mail.default' => 'smtp', 'mail.mailers.smtp' => [
            'transport' => 'smtp', 'host' => '127.0.0.1', 'port' => 9, 'timeout' => 1,
        ]]);
        $pauses = [];
        for ($try = 1; $try <= 6; $try++) {
            DB::table('jobs')->where('payload', 'not like', '%SendQueuedNotifications%')->delete();
            Artisan::call('queue:work', ['--once' => true, '--sleep' => 0]);
            $next = DB::table('jobs')->where('payload', 'like', '%SendQueuedNotifications%')->value('available_at');
            if ($next !== null) {
                $pauses[] = (int) $next - Carbon::now()->getTimestamp();
                Carbon::setTestNow(Carbon::createFromTimestamp((int) $next));
            }
        }
        self::assertSame([10, 60, 300, 1200, 3600], $pauses);
        $letter = Letter::query()->sole();
        self::assertSame('new@hollow.test', $letter->to);
        self::assertStringContainsString('127.0.0.1:9', (string) $letter->failed_because);
        $this->get('/post')->assertSee('Not delivered, after several tries')->assertDontSee('waiting to be sent');
        // What is refused with its person leaves no letter behind.
        DB::table('jobs')->delete();
        User::created(static fn () => throw new RuntimeException('the power went'));
        $this->post('/people', [...$this->facts(), 'email' => 'other@hollow.test'])->assertStatus(500);
        self::assertSame(0, DB::table('jobs')->count());
    }

    public function test_a_new_letter_shuts_the_link_of_the_one_before_and_a_forged_or_old_one_opens_nothing(): void
    {
        $this->actingAs($planner = $this->planner())->post('/people', $this->facts());
        $person = User::query()->where('email', 'new@hollow.test')->sole();
        $first = $this->link($person);
        $this->post("/people/$person->id/again")->assertRedirect('/people');
        $second = $this->link($person);
        self::assertNotSame($first, $second);
        auth()->logout();
        $this->get($first)->assertSee('This link opens nothing');
        $this->get(str_replace("/welcome/$person->id", "/welcome/$planner->id", $second))
            ->assertSee('This link opens nothing');
        $this->get("$second&x=1")->assertSee('This link opens nothing');
        $this->get($second)->assertSee('choose a password');
        $this->travel(15)->days();
        $this->get($second)->assertSee('This link opens nothing');
    }

    public function test_whoever_leaves_is_shut_out_and_stays_in_the_record(): void
    {
        $hand = $this->hand();
        $hand->update(['name' => 'Isla Fenn']);
        $this->post('/sign-in', ['email' => $hand->email, 'password' => 'secateurs']);
        $phone = session()->all();
        auth()->forgetGuards();
        session()->flush();
        $this->actingAs($this->planner())->post("/people/$hand->id/leave")->assertSessionHas('undo');
        $this->get('/people')->assertSee('Left the firm')->assertSee('left on 20 Feb');
        self::assertSame(['2027-02-20', null], [$hand->fresh()?->left_on, $hand->fresh()?->crew_id]);
        auth()->forgetGuards();
        session()->flush();
        $this->withSession($phone)->get('/round')->assertRedirect('/sign-in');
        session()->flush();
        $this->post('/sign-in', ['email' => $hand->email, 'password' => 'secateurs'])->assertSessionHasErrors('email');
        $this->post('/forgotten', ['email' => $hand->email]);
        self::assertSame(0, Letter::query()->where('is_private', true)->count(), 'no letter lets them in again');
        self::assertTrue(Change::query()->where('of', 'person')->where('row_id', $hand->id)->exists());
        $this->actingAs($this->planner())->post("/people/$hand->id/back")->assertRedirect('/people');
        self::assertNull($hand->fresh()?->left_on);
    }

    public function test_the_last_who_plans_cannot_leave_nor_stop_planning(): void
    {
        $planner = $this->planner();
        User::query()->whereKeyNot($planner->id)->where('role', Role::Planner)->update(['left_on' => '2027-01-01']);
        $this->actingAs($planner)->post("/people/$planner->id/leave")->assertForbidden();
        $this->from("/people/$planner->id/edit")->put("/people/$planner->id", [
            'name' => $planner->name, 'email' => $planner->email, 'role' => 'hand', 'crew_id' => '',
        ])->assertSessionHasErrors(['role' => 'Nobody else plans: make somebody else a planner first.']);
        $other = User::factory()->create();
        $this->post("/people/$planner->id/leave")->assertRedirect('/sign-in');
        $this->assertGuest();
        self::assertNotNull($planner->fresh()?->left_on);
        self::assertTrue($other->fresh()?->isLastPlanner());
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function wrong(): array
    {
        return [
            'no name' => [['name' => ' '], 'name'], 'an address that is none' => [['email' => 'nell'], 'email'],
            'an address somebody has' => [['email' => 'taken@hollow.test'], 'email'],
            'a role nobody has' => [['role' => 'owner'], 'role'], 'no such crew' => [['crew_id' => '999'], 'crew_id'],
            'a lead of nothing' => [['role' => 'lead', 'crew_id' => ''], 'crew_id'],
        ];
    }

    /** @param  array<string, string>  $facts */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_told_beside_its_field_and_nobody_is_invited(array $facts, string $field): void
    {
        User::factory()->create(['email' => 'taken@hollow.test']);
        $count = User::query()->count();
        $this->actingAs($this->planner());
        $before = User::query()->count();
        $this->from('/people/create')->post('/people', [...$this->facts(), ...$facts])
            ->assertRedirect('/people/create')->assertSessionHasErrors($field);
        self::assertSame($before, User::query()->count());
        self::assertGreaterThan($count - 1, $before);
        self::assertSame(0, Letter::query()->count());
    }

    public function test_only_a_lead_needs_a_crew(): void
    {
        $this->actingAs($this->planner());
        foreach (['hand' => '', 'lead' => (string) $this->crew->id, 'planner' => ''] as $role => $crew) {
            $email = "$role@weir.example";
            $this->post('/people', ['name' => 'Ada Brook', 'email' => $email, 'role' => $role, 'crew_id' => $crew])
                ->assertSessionHasNoErrors();
            $person = User::query()->where('email', $email)->firstOrFail();
            self::assertSame([$role, $crew], [$person->role->value, (string) $person->crew_id]);
        }
    }

    public function test_a_person_changes_the_own_name_and_units(): void
    {
        $hand = $this->hand();
        $this->actingAs($hand)->put('/account', ['name' => 'Isla Fern', 'units' => 'imperial'])
            ->assertSessionHas('undo');
        self::assertSame(['Isla Fern', 'imperial'], [$hand->fresh()?->name, $hand->fresh()?->units]);
        [$back] = (array) session('undo');
        $this->post($back)->assertSessionHasNoErrors();
        self::assertSame('metric', $hand->fresh()?->units);
        $this->put('/account', ['name' => 'Isla Fern', 'units' => 'imperial']);
        $this->put('/account', ['name' => '', 'units' => 'cubits'])->assertSessionHasErrors(['name', 'units']);
        $this->wisteria->update(['height_mm' => 2400]);
        $this->get("/plants/{$this->wisteria->id}")->assertSee('7 ft 10 in');
        // So are the sentences of a sheet and of the plant book.
        $visit = $this->visit();
        $sheet = "/visits/$visit->id";
        $lengths = '\\d (mm|cm|m)\\b(?! of rain)';
        self::assertSame(0, preg_match("~$lengths~", self::told($this->get($sheet)), $left), $left[0] ?? '');
        BloomNote::query()->create([
            'plant_id' => $this->wisteria->id, 'season' => 2026, 'flowering_height_mm' => 2400, 'score' => 4,
        ]);
        $this->put("/plants/{$this->wisteria->id}/stems", ['op' => 'add', 'azimuth_deg' => 90]);
        $garden = "/gardens/{$this->garden->id}";
        $plant = "/plants/{$this->wisteria->id}";
        foreach ([
            '/plant-book/wisteria', $plant, "$plant/record", "$plant/courses", "$plant/stems", "$plant/stems?stem=A",
            "$plant/stems?side=1", $garden, '/round', '/', '/bench/crowded-lilac?cuts=d1500&pick=1',
            '/bench/first-hedge?cuts=c30.r200',
        ] as $page) {
            $told = self::told($this->get($page)->assertOk());
            // The working of an amount is calculated as it is written down, and a place lies so many metres up.
            $unsaid = "~(?<! x \d\.\d|° W, \d)$lengths~";
            self::assertSame(0, preg_match($unsaid, $told, $left), "$page: ".($left[0] ?? ''));
        }
        auth()->logout();
        $this->actingAs($this->planner());
        self::assertSame(1, preg_match("~$lengths~", self::told($this->get($sheet))));
        $this->actingAs($this->planner())->get("/plants/{$this->wisteria->id}")->assertDontSee('7 ft 10 in');
    }

    /**
     * What a page says, without what its drawings are made of and its forms ask.
     *
     * @param  TestResponse<\Illuminate\Http\Response>  $page
     */
    private static function told(TestResponse $page): string
    {
        return strip_tags((string) preg_replace('~<(form|script|style)\b.*?</\1>~s', '', (string) $page->getContent()));
    }

    public function test_what_somebody_may_do_is_taken_back_by_the_planner_but_not_the_last_who_plans(): void
    {
        $planner = $this->planner();
        $lead = $this->lead();
        $facts = ['name' => $lead->name, 'email' => $lead->email, 'crew_id' => (string) $this->crew->id];
        $this->actingAs($planner)->put("/people/$lead->id", [...$facts, 'role' => 'hand'])->assertSessionHas('undo');
        [$back] = (array) session('undo');
        $this->actingAs($lead)->post($back)->assertForbidden();
        $this->actingAs($planner)->post($back)->assertSessionHasNoErrors();
        self::assertSame(Role::Lead, $lead->fresh()?->role);
        $this->put("/people/$lead->id", [...$facts, 'role' => 'planner']);
        [$back] = (array) session('undo');
        User::query()->where('role', Role::Planner)->whereKeyNot($lead->id)->update(['left_on' => '2027-02-01']);
        $this->actingAs($lead->fresh() ?? $lead)->post($back)
            ->assertSessionHasErrors(['undo' => 'Nobody else plans: make somebody else a planner first.']);
        self::assertSame(Role::Planner, $lead->fresh()?->role);
        // Leaving has a way back of its own.
        $hand = $this->hand();
        $this->post("/people/$hand->id/leave");
        $left = Change::query()->where('of', 'person')->latest('id')->firstOrFail();
        $this->post("/changes/$left->id/undo")->assertSessionHasErrors('undo');
        $this->get('/changes')->assertSee('by the person');
    }

    public function test_what_goes_out_is_seen_but_for_letters_that_open_an_account(): void
    {
        $hand = $this->hand();
        $this->post('/forgotten', ['email' => $hand->email]);
        $this->actingAs($this->planner())->get('/post')->assertSee('A new password for Pruning Hook')
            ->assertSee($hand->email)->assertSee('only its recipient can')->assertDontSee('/new-password/');
        self::assertStringContainsString('/new-password/', Letter::query()->sole()->whole());
        $this->get('/post?q=nobody-like-that')->assertSee('No letter is like that');
    }

    public function test_the_letter_names_the_firm(): void
    {
        Notification::fake();
        $this->actingAs($this->planner())->post('/people', $this->facts());
        $person = User::query()->where('email', 'new@hollow.test')->sole();
        Notification::assertSentTo($person, InvitationNotification::class, function ($letter) use ($person): bool {
            return str_contains((string) $letter->toMail($person)->subject, Firm::ours()->name);
        });
    }

    /** @return array<string, string> */
    private function facts(): array
    {
        return [
            'name' => 'Nell Brook', 'email' => 'New@hollow.test', 'role' => 'hand',
            'crew_id' => (string) $this->crew->id,
        ];
    }

    private function link(User $person): string
    {
        $body = Letter::query()->where('to', $person->email)->latest('id')->firstOrFail()->whole();
        self::assertSame(1, preg_match('~http://localhost(/welcome/\S+)~', $body, $link));

        return $link[1] ?? '';
    }
}
