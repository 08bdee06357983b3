<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\User;
use App\People\TimeCode;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Password;
use Tests\Feature\FeatureTestCase;

/** Two-step sign-in: turned on, asked for, used once, and turned off. */
final class SecondStepTest extends FeatureTestCase
{
    private User $boss;

    /** @var list<string> */
    private array $spares = [];

    protected function setUp(): void
    {
        parent::setUp();
        Notification::fake();
        Carbon::setTestNow(Carbon::now()->startOfMinute());
        $this->boss = $this->planner();
        $this->actingAs($this->boss);
    }

    public function test_it_is_asked_for_once_a_code_of_it_was_typed(): void
    {
        $this->get('/account')->assertSee('Set it up');
        $this->post('/account/code')->assertRedirect();
        $secret = (string) $this->boss->refresh()->code_secret;
        $this->get('/account')->assertSee('otpauth://totp/')->assertSee(substr($secret, 0, 4));
        $this->out();
        $this->in()->assertRedirect('/');
        $this->from('/account')->put('/account/code', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->put('/account/code', ['code' => $this->code()])->assertSessionHasNoErrors();
        $spares = session('spares');
        self::assertCount(8, $spares);
        $this->get('/account')->assertSee($spares[0])->assertDontSee('otpauth');
        $this->get('/account')->assertDontSee($spares[0])->assertSee('8 recovery codes left');
        $kept = (string) json_encode(DB::table('users')->get());
        self::assertStringNotContainsString($secret, $kept, 'no backup holds it in clear');
        self::assertStringNotContainsString($spares[0], $kept);
        self::assertSame(0, DB::table('changes')->where('after', 'like', '%code_%')->count());
        $this->out();
        $this->travel(1)->minutes();
        $this->in()->assertRedirect('/sign-in/code');
        $this->assertGuest();
        $this->get('/')->assertRedirect('/sign-in');
        $this->in()->assertRedirect('/sign-in/code');
        $this->get('/sign-in/code')->assertOk()->assertSee('Verification code');
        $this->post('/sign-in/code', ['code' => substr($this->code(), 0, 3).' '.substr($this->code(), 3)])
            ->assertRedirect('/');
        $this->assertAuthenticatedAs($this->boss);
        self::assertSame(0, SecurityEvent::query()->where('kind', 'sign-in-failed')->count());
    }

    public function test_a_code_is_of_now_and_is_taken_once(): void
    {
        $this->set();
        $wrong = function (string $code): void {
            $this->in()->assertRedirect('/sign-in/code');
            $this->from('/sign-in/code')->post('/sign-in/code', ['code' => $code])->assertSessionHasErrors('code');
            $this->assertGuest();
        };
        // The phone's clock is ninety seconds off.
        $wrong($this->code(3));
        $wrong($this->code(-3));
        $wrong('');
        $wrong('12345678901234567890123456789012345678901');
        $this->in();
        $code = $this->code(1);
        $this->post('/sign-in/code', ['code' => $code])->assertRedirect('/');
        $this->out();
        $wrong($code);
        $wrong($this->code());
        $this->travel(1)->minutes();
        $this->in();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/');
    }

    public function test_a_code_from_paper_opens_once(): void
    {
        $this->set();
        $this->in();
        $typed = strtoupper(str_replace('-', ' ', $this->spares[3]));
        $this->post('/sign-in/code', ['code' => $typed])->assertRedirect('/');
        self::assertCount(7, (array) $this->boss->refresh()->code_spares);
        self::assertSame('7 left', SecurityEvent::query()->where('kind', 'spare-used')->sole()->says);
        $this->out();
        $this->in();
        $this->post('/sign-in/code', ['code' => $this->spares[3]])->assertSessionHasErrors('code');
        $this->assertGuest();
    }

    public function test_codes_are_not_tried_without_end_nor_at_leisure(): void
    {
        $this->set();
        $this->in();
        for ($times = 0; $times < 6; $times++) {
            $this->post('/sign-in/code', ['code' => '000000']);
        }
        $this->post('/sign-in/code', ['code' => $this->code()])
            ->assertSessionHasErrors(['code' => 'Too many attempts. Try again in 15 minutes.']);
        self::assertSame(6, SecurityEvent::query()->where('kind', 'code-failed')->count());
        $this->travel(16)->minutes();
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/sign-in');
        $this->in();
        $this->travel(6)->minutes();
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        // Nobody is asked whose password was not right.
        $this->post('/sign-in', ['email' => $this->boss->email, 'password' => 'loppers'])
            ->assertSessionHasErrors('email');
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->boss->forceFill(['left_on' => '2027-02-20'])->save();
        $this->in();
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
    }

    public function test_a_letter_with_a_new_password_does_not_stand_in_for_it(): void
    {
        $this->set();
        $this->post('/new-password', [
            'token' => Password::createToken($this->boss), 'email' => $this->boss->email,
            'password' => 'three wet gloves', 'password_confirmation' => 'three wet gloves',
        ])->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_it_is_given_up_with_the_password_or_lifted_by_another_planner(): void
    {
        $this->set();
        $this->actingAs($this->boss->refresh());
        $give = fn (string $password) => $this->from('/account')
            ->delete('/account/code', ['password_for_code' => $password]);
        $give('loppers')->assertSessionHasErrors('password_for_code');
        $give('')->assertSessionHasErrors('password_for_code');
        self::assertNotNull($this->boss->refresh()->code_since);
        $give('secateurs')->assertSessionHasNoErrors();
        self::assertSame([null, null], [$this->boss->refresh()->code_since, $this->boss->code_secret]);
        $this->out();
        $this->in()->assertRedirect('/');
        $this->set();
        $other = $this->planner();
        $this->actingAs($this->hand())->delete("/people/{$this->boss->id}/code")->assertForbidden();
        $this->actingAs($other)->get("/people/{$this->boss->id}/edit")->assertSee('Reset two-step sign-in');
        $this->delete("/people/{$this->boss->id}/code")->assertRedirect();
        self::assertNull($this->boss->refresh()->code_since);
        self::assertSame($this->boss->id, SecurityEvent::query()->latest('id')->firstOrFail()->about_id);
    }

    public function test_whoever_runs_the_machine_lets_the_only_planner_in(): void
    {
        $this->artisan('code:lift', ['email' => $this->boss->email])->assertFailed();
        $this->artisan('code:lift', ['email' => 'nobody@hollow.test'])->assertFailed();
        $this->set();
        $this->artisan('code:lift', ['email' => $this->boss->email])->assertSuccessful();
        $this->in()->assertRedirect('/');
    }

    public function test_a_firm_asks_its_planners_for_it(): void
    {
        $this->put('/people/code', ['wants' => 1])->assertSessionHasErrors('wants');
        $this->set();
        $this->actingAs($this->boss->refresh())->put('/people/code', ['wants' => 1])->assertSessionHasNoErrors();
        self::assertTrue(Firm::ours()->planners_code);
        $this->get('/people')->assertSee('Stop requiring two-step sign-in');
        $this->out();
        $other = $this->planner();
        $this->in($other);
        $this->get('/gardens')->assertRedirect('/account#code');
        $this->post('/gardens', ['name' => 'X'])->assertRedirect('/account#code');
        $this->get('/account')->assertOk();
        $this->getJson('/entries/who')->assertOk();
        $this->post('/account/code');
        $this->put('/account/code', ['code' => $this->code(0, $other->refresh())])->assertSessionHasNoErrors();
        $this->get('/gardens')->assertOk();
        $this->out();
        $this->in($this->hand())->assertRedirect('/round');
        $this->get('/round')->assertOk();
    }

    /** The planner has set it up, and nobody is signed in. */
    private function set(): void
    {
        $this->actingAs($this->boss)->post('/account/code');
        $this->put('/account/code', ['code' => $this->code()])->assertSessionHasNoErrors();
        $this->spares = array_values(array_filter((array) session('spares'), is_string(...)));
        $this->out();
        $this->travel(2)->minutes();
    }

    private function out(): void
    {
        auth()->forgetGuards();
        session()->flush();
    }

    private function in(?User $who = null): \Illuminate\Testing\TestResponse
    {
        auth()->forgetGuards();

        return $this->post('/sign-in', ['email' => ($who ?? $this->boss)->email, 'password' => 'secateurs']);
    }

    private function code(int $off = 0, ?User $who = null): string
    {
        $secret = (string) ($who ?? $this->boss->refresh())->code_secret;

        return TimeCode::at($secret, intdiv(Carbon::now()->getTimestamp(), TimeCode::STEP_S) + $off);
    }
}
