<?php

declare(strict_types=1);

namespace Tests\Feature\Office;

use App\Ground\Models\ClientLink;
use App\Ground\Models\ClientWord;
use App\Ground\Models\Garden;
use App\Ground\Models\Letter;
use App\Ground\Models\Photo;
use App\Ground\Models\Plant;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Office\Clients\AfterWords;
use App\Office\Clients\ReportLine;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use Tests\Feature\FeatureTestCase;

/** What clients are told, and what they say: the season's letter, their own page, the report after a visit. */
final class ClientsTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        config(['mail.default' => 'post', 'app.url' => 'http://localhost']);
        $this->garden->update(['client' => 'Orla Vane', 'client_email' => 'orla@vane.test',
            'client_phone' => '+44 1234 567', 'photos_ok' => true]);
    }

    public function test_the_letter_says_what_is_done_when_and_why_it_looks_bare(): void
    {
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'butterfly-bush',
            'label' => 'Butterfly bush', 'height_mm' => 2200, 'planted_on' => '2015-03-01']);
        $this->visit('2027-02-25');
        $this->actingAs($this->planner())->get("/gardens/{$this->garden->id}")->assertSee('Letter');
        $page = $this->get("/gardens/{$this->garden->id}/letter")->assertOk()
            ->assertSeeInOrder(['Dear Orla Vane', 'February 2027', 'Wisteria on the south wall', 'On Thu 25 Feb',
                'Butterfly bush: spring cut', 'it looks bare in spring', 'What we ask of you', 'Leave the gate open'])
            ->assertSee('class="p-goes"', false)->assertSee('Between');
        self::assertLessThanOrEqual(4, substr_count((string) $page->getContent(), '<svg class="drawing portrait"'));
        // What was done is not promised again.
        $task = Visit::query()->sole()->tasks()->firstOrFail();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20])->assertSessionHasNoErrors();
        $this->app->forgetScopedInstances();
        $this->get("/gardens/{$this->garden->id}/letter")->assertDontSee('On Thu 25 Feb');
        $empty = Garden::factory()->create();
        $this->get("/gardens/$empty->id/letter")->assertSee('Nothing is to be pruned in the next six months');
    }

    public function test_the_letter_goes_by_mail_and_text_with_the_way_to_the_clients_page(): void
    {
        $link = $this->sent();
        self::assertSame(['mail', 'text'], Letter::query()->orderBy('channel')->pluck('channel')->all());
        self::assertSame('+44 1234 567', Letter::query()->where('channel', 'text')->value('to'));
        self::assertStringContainsString($link, Letter::query()->where('channel', 'text')->sole()->whole());
        $kept = json_encode([DB::table('client_links')->get(), DB::table('letters')->get()]);
        self::assertStringNotContainsString(basename($link), (string) $kept, 'no backup holds it');
        auth()->logout();
        $this->get($link)->assertOk()->assertSee('Dear Orla Vane')->assertDontSee('Sign out')
            ->assertHeader('Referrer-Policy');
        self::assertNotNull(ClientLink::query()->sole()->seen_at);
        // A new letter shuts the page of the one before; taken away, none opens.
        $second = $this->sent();
        auth()->logout();
        $this->get($link)->assertNotFound();
        $this->get($second)->assertOk();
        $this->actingAs($this->planner())->delete("/gardens/{$this->garden->id}/letter")->assertRedirect();
        auth()->logout();
        foreach ([$second, '/client/'.str_repeat('x', 40)] as $shut) {
            $this->get($shut)->assertNotFound();
            $this->post($shut, ['kind' => 'ask', 'says' => 'Hello?'])->assertNotFound();
        }
        self::assertSame(0, ClientWord::query()->count());
    }

    public function test_a_clients_page_ends_with_the_garden_or_in_time_and_is_renewed_by_the_next_letter(): void
    {
        $link = $this->sent();
        $this->get("/gardens/{$this->garden->id}/letter")->assertSee('from 20 Feb to 21 Mar 2028');
        auth()->logout();
        $this->travel(12)->months();
        $this->get($link)->assertOk();
        $this->travel(32)->days();
        $this->get($link)->assertNotFound();
        ClientLink::forgetOld();
        self::assertSame(0, ClientLink::query()->count());
        $next = $this->sent();
        auth()->logout();
        $this->get($next)->assertOk();
        // Put away, and brought back: what was shut stays shut.
        $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/archive")->assertSessionHasNoErrors();
        auth()->logout();
        $this->get($next)->assertNotFound();
        $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/back");
        auth()->logout();
        $this->get($next)->assertNotFound();
        self::assertSame(
            ['link-made', 'link-opened', 'link-shut'],
            SecurityEvent::query()->where('says', 'like', '%client%')->orderByDesc('id')->limit(3)->pluck('kind')
                ->map(static fn (SecurityEventKind $kind): string => $kind->value)->reverse()->values()->all(),
        );
    }

    public function test_links_in_letters_are_read_for_two_weeks(): void
    {
        $this->sent();
        $letter = Letter::query()->where('channel', 'mail')->sole();
        self::assertStringContainsString('/client/', $letter->whole());
        touch(Storage::disk('local')->path($letter->file()), time() - 15 * 86_400);
        Carbon::setTestNow();
        Letter::forgetSecrets();
        self::assertStringNotContainsString('/client/', $letter->whole());
        self::assertStringContainsString('(link removed)', $letter->whole());
    }

    public function test_who_cannot_be_reached_is_said_and_nothing_is_opened(): void
    {
        $this->garden->update(['client_email' => null, 'client_phone' => null]);
        $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/letter")->assertSessionHasErrors('send');
        self::assertSame(0, ClientLink::query()->count() + Letter::query()->count());
        $this->get("/gardens/{$this->garden->id}/letter")->assertSee('Nobody has said how to reach the client');
    }

    public function test_a_client_agrees_asks_to_move_and_asks_and_the_planner_sees_it(): void
    {
        $visit = $this->visit('2027-02-25');
        $other = Garden::factory()->create();
        $theirs = $other->visits()->create(['on' => '2027-02-26']);
        $link = $this->sent();
        auth()->logout();
        $this->get($link)->assertSee('Thu 25 Feb')->assertSee('That day suits me');
        $this->post($link, ['kind' => 'agree', 'visit' => $visit->id])->assertSessionHasNoErrors();
        self::assertTrue($visit->fresh()?->confirmed);
        $this->get($link)->assertSee('agreed')->assertDontSee('That day suits me');
        $this->post($link, ['kind' => 'move', 'visit' => $visit->id, 'says' => ''])->assertSessionHasErrors('says');
        $this->post($link, ['kind' => 'move', 'visit' => $theirs->id, 'says' => 'x'])->assertSessionHasErrors('visit');
        $this->post($link, ['kind' => 'agree', 'visit' => $theirs->id])->assertSessionHasErrors('visit');
        self::assertFalse($theirs->fresh()?->confirmed);
        $this->post($link, ['kind' => 'shout', 'says' => 'x'])->assertSessionHasErrors('kind');
        $this->post($link, ['kind' => 'ask', 'says' => ['x']])->assertSessionHasErrors('says');
        $this->post($link, ['kind' => 'move', 'visit' => $visit->id, 'says' => 'Rather <b>Friday</b>'])
            ->assertSessionHasNoErrors();
        $this->get($link)->assertSee('Rather &lt;b&gt;Friday', false)->assertSee('waits for us');
        $this->actingAs($this->planner())->get('/')->assertSee('To decide today')->assertSee('Orla Vane agrees');
        $this->get("/gardens/{$this->garden->id}/letter")->assertSee('asks to move it, the visit of 25 Feb');
        foreach (ClientWord::query()->get() as $word) {
            $this->put("/words/$word->id")->assertRedirect();
        }
        $this->get('/')->assertDontSee('Orla Vane agrees');
        self::assertSame(0, ClientWord::query()->whereNull('heard_at')->count());
    }

    public function test_a_client_says_no_more_than_somebody_hears(): void
    {
        $link = $this->sent();
        auth()->logout();
        for ($word = 0; $word < 20; $word++) {
            ClientWord::query()->create(['garden_id' => $this->garden->id, 'kind' => 'ask', 'says' => "$word"]);
        }
        $this->post($link, ['kind' => 'ask', 'says' => 'And more'])->assertSessionHasErrors('says');
        self::assertSame(20, ClientWord::query()->count());
    }

    public function test_a_report_says_why_by_the_first_reason_or_the_method(): void
    {
        $reason = static fn (string $because): array => [
            'rule' => 'Wood', 'because' => $because, 'source' => 'common practice',
        ];
        $why = fn (array $reasons): string => (new ReportLine(
            (new VisitTask)->forceFill(['prescribed' => $this->prescription(['reasons' => $reasons])]), null,
        ))->why();
        self::assertSame('It flowers on old wood', $why([$reason('It flowers on old wood.'), $reason('It is tall.')]));
        self::assertSame('Thin', $why([]));
    }

    public function test_the_report_says_what_was_done_why_and_what_to_expect(): void
    {
        $task = $this->visitTask();
        $photo = Photo::query()->create([
            'uuid' => Str::uuid()->toString(), 'visit_task_id' => $task->id, 'moment' => 'after',
            'taken_at' => Carbon::now(), 'width' => 2, 'height' => 1, 'bytes' => 5,
        ]);
        Storage::disk('local')->put($photo->path(), 'image');
        $this->actingAs($this->planner())->get("/visits/$task->visit_id/report")->assertSee('Nothing is logged');
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done', 'minutes' => 20, 'note' => 'Between us: the gate sticks',
            'left_for_next_year' => 'The left arm',
        ])->assertSessionHasNoErrors();
        $next = $this->garden->visits()->create(['on' => '2027-06-20']);
        $this->get("/visits/$task->visit_id/report")->assertOk()->assertSeeInOrder([
            'What we did on', 'Wisteria on the south wall: winter pass, done', 'What to expect', 'The left arm',
            'We come again on Sun 20 Jun',
        ])->assertDontSee('Between us');
        $link = $this->sent();
        auth()->logout();
        $this->get("$link/visits/$task->visit_id")->assertOk()->assertSee("$link/photos/$photo->uuid", false)
            ->assertDontSee('Between us')->assertDontSee('/gardens/');
        $this->get("$link/photos/$photo->uuid")->assertOk();
        // Nothing of another garden, and no pictures without consent.
        $other = Garden::factory()->create();
        $theirs = $other->visits()->create(['on' => '2027-02-18']);
        $this->get("$link/visits/$theirs->id")->assertNotFound();
        $this->garden->update(['photos_ok' => null]);
        $this->get("$link/photos/$photo->uuid")->assertNotFound();
        $this->get("$link/visits/$task->visit_id")->assertDontSee($photo->uuid);
        self::assertNotNull($next->id);
    }

    public function test_what_is_known_of_a_client_is_checked(): void
    {
        $this->actingAs($this->planner());
        $form = fn (array $facts) => $this->put("/gardens/{$this->garden->id}", [
            ...$this->garden->only('name', 'client', 'latitude', 'longitude', 'elevation_m', 'last_frost',
                'first_frost', 'winter', 'setup_minutes'), ...$facts,
        ]);
        $form(['client_email' => 'orla', 'client_phone' => 'ring me', 'photos_ok' => 'maybe'])
            ->assertSessionHasErrors(['client_email', 'client_phone', 'photos_ok']);
        $form(['client_email' => 'orla@new.test', 'client_phone' => '', 'wishes' => 'Not before nine.',
            'photos_ok' => '0'])->assertSessionHasNoErrors();
        self::assertSame(['orla@new.test', null, false], array_values(
            $this->garden->fresh()?->only('client_email', 'client_phone', 'photos_ok') ?? [],
        ));
        $this->get("/gardens/{$this->garden->id}")->assertSee('Orla Vane wishes:')->assertSee('Not before nine.');
    }

    public function test_after_words_tell_what_shows_from_the_window(): void
    {
        $of = static fn (int $value, string $unit, Effect $effect): Amount => Amount::exactly(
            'x', $unit, $value, $effect,
        );
        self::assertSame(
            'Cut to about 30 cm it looks bare in spring; its new shoots carry this year\'s flowers, at about 1.8 m.',
            AfterWords::of([$of(300, 'mm', Effect::CutHeight), $of(1800, 'mm', Effect::FloweringHeight)]),
        );
        self::assertStringContainsString('45 cm', (string) AfterWords::of([$of(450, 'mm', Effect::HeightAfter)]));
        self::assertStringContainsString('oldest stems', (string) AfterWords::of([
            $of(3, 'stems', Effect::OldStemsOut),
        ]));
        self::assertNull(AfterWords::of([$of(19, '%', Effect::LiveShare)]));
        self::assertStringContainsString('20 %', (string) AfterWords::of([$of(20, '%', Effect::LiveShare)]));
        self::assertNull(AfterWords::of([]));
    }

    /** The letter is sent; the path of the client's page. */
    public function test_a_page_whose_garden_has_a_postcode_opens_to_whoever_knows_it(): void
    {
        $this->garden->update(['postcode' => 'hr9 4qx']);
        $link = $this->sent();
        $visit = $this->visit('2027-02-25');
        auth()->logout();
        session()->flush();
        foreach ([$link, "$link/visits/$visit->id"] as $page) {
            $this->get($page)->assertOk()->assertSee('enter the postcode')->assertDontSee('Orla Vane')
                ->assertDontSee('Millrace')->assertHeader('Cache-Control', 'no-store, private');
        }
        $this->post($link, ['kind' => 'agree', 'visit' => $visit->id])->assertSee('enter the postcode');
        self::assertFalse($visit->refresh()->confirmed);
        $this->post($link, ['postcode' => 'HR9 4QY'])->assertUnprocessable()
            ->assertSee('not the postcode we have');
        $this->post($link, ['postcode' => ['HR9 4QX']])->assertUnprocessable();
        $this->post($link, ['postcode' => ' hr94QX '])->assertRedirect($link);
        $this->get($link)->assertSee('Orla Vane');
        $this->post($link, ['kind' => 'agree', 'visit' => $visit->id])->assertRedirect($link);
        // Another postcode, and every page asks again.
        $this->garden->refresh()->update(['postcode' => 'HR1 1AA']);
        $this->get($link)->assertSee('enter the postcode');
        foreach (range(1, 10) as $try) {
            session()->flush();
            $this->travel(10)->seconds();
            $this->post($link, ['postcode' => "HR1 $try"]);
        }
        $this->travel(10)->seconds();
        $this->post($link, ['postcode' => 'HR1 1AA'])->assertSee('Too many attempts');
        $this->travel(61)->minutes();
        $this->post($link, ['postcode' => 'HR1 1AA'])->assertRedirect($link);
        foreach (['x', '!!!', str_repeat('1', 13)] as $odd) {
            $this->actingAs($this->planner())->put("/gardens/{$this->garden->id}", ['postcode' => $odd])
                ->assertSessionHasErrors('postcode');
        }
    }

    /** A database that was restored gives numbers again. */
    public function test_a_letter_is_not_shown_with_the_text_of_an_earlier_one_of_its_number(): void
    {
        $next = 1 + (int) Letter::query()->max('id');
        Storage::disk('local')->put("post/$next.txt", 'http://localhost/client/'.str_repeat('a', 40));
        $letter = Letter::take([
            'channel' => 'text', 'to' => '+44 1', 'subject' => 'Tomorrow', 'body' => 'We come at 9.',
        ]);
        self::assertSame([$next, 'We come at 9.'], [$letter->id, $letter->whole()]);
        Storage::disk('local')->assertMissing("post/$next.txt");
    }

    private function sent(): string
    {
        $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/letter")->assertSessionHasNoErrors();
        $body = Letter::query()->where('channel', 'mail')->latest('id')->firstOrFail()->whole();
        self::assertSame(1, preg_match('~http://localhost(/client/\w{40})~', $body, $link));

        return $link[1] ?? '';
    }
}
