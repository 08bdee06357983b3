<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\Device;
use App\Ground\Models\PinBrowser;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\People\Pin;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\FeatureTestCase;

/** A crew with one phone: each takes it over by a PIN, and nobody gets in by one who should not. */
final class PinTest extends FeatureTestCase
{
    private User $isla;

    private User $ben;

    protected function setUp(): void
    {
        parent::setUp();
        Notification::fake();
        [$this->isla, $this->ben] = [$this->hand(), $this->lead()];
    }

    public function test_two_people_take_turns_on_one_phone(): void
    {
        $this->withPins();
        $this->get('/change-person')->assertSee($this->isla->name)->assertDontSee('name="who" id="who-'.$this->ben->id);
        $session = session()->getId();
        $this->change($this->isla, '7391')->assertRedirect('/round')->assertHeader('Clear-Site-Data', '"cache"');
        $this->assertAuthenticatedAs($this->isla);
        self::assertNotSame($session, session()->getId());
        self::assertSame([$this->isla->id], Device::query()->pluck('user_id')->all(), 'the one before is signed out');
        $this->change($this->ben, '80264')->assertRedirect('/round');
        $this->assertAuthenticatedAs($this->ben);
        self::assertSame(['with PIN', 'with PIN'], DB::table('security_events')
            ->where('kind', 'signed-in')->whereNotNull('says')->pluck('says')->all());
        $this->post('/sign-out');
        $this->get('/sign-in')->assertSee('Sign in with a PIN');
        $this->change($this->isla, '7391')->assertRedirect('/round');
    }

    public function test_a_pin_works_only_where_the_password_was_entered(): void
    {
        $this->withPins();
        $this->post('/sign-out');
        $cookies = $this->defaultCookies;
        $this->defaultCookies = [];
        $this->get('/change-person')->assertSee('Nobody else has a PIN on this phone');
        $this->get('/sign-in')->assertDontSee('Sign in with a PIN');
        $this->change($this->isla, '7391')->assertSessionHasErrors('who');
        $this->defaultCookies = $cookies;
        Carbon::setTestNow(Carbon::now()->addDays(29));
        $this->change($this->isla, '7391')->assertRedirect('/round');
        // By PIN the month does not begin again.
        $this->post('/sign-out');
        Carbon::setTestNow(Carbon::now()->addDays(2));
        $this->change($this->isla, '7391')->assertSessionHasErrors('who');
        $this->post('/sign-out');
        $this->in($this->isla);
        $this->change($this->isla, '7391')->assertRedirect('/round');
        PinBrowser::forgetOld();
        self::assertSame([$this->isla->id], PinBrowser::query()->pluck('user_id')->all());
    }

    public function test_five_wrong_ones_end_it_there(): void
    {
        $this->withPins();
        foreach (['Wrong PIN. 4 attempts left.', 'Wrong PIN. 3 attempts left.', 'Wrong PIN. 2 attempts left.',
            'Wrong PIN. One attempt left.', "Too many wrong PINs. {$this->isla->name} must sign in with the password.",
        ] as $says) {
            $this->change($this->isla, '0007')->assertSessionHasErrors(['pin' => $says]);
            $this->assertAuthenticatedAs($this->ben);
        }
        $this->change($this->isla, '7391')->assertSessionHasErrors('who');
        self::assertSame(5, DB::table('security_events')->where('kind', 'pin-failed')
            ->where('about_id', $this->isla->id)->count());
        $this->in($this->isla);
        $this->change($this->ben, '80264')->assertRedirect('/round');
        $this->change($this->isla, '7391')->assertRedirect('/round');
        $this->assertAuthenticatedAs($this->isla);
    }

    /** @return array<string, array{callable(User): mixed}> */
    public static function ends(): array
    {
        return [
            'leaving' => [static fn (User $who) => $who->forceFill(['left_on' => '2027-02-19'])->save()],
            'signing out everywhere' => [static fn (User $who) => $who->endSessions()],
            'becoming a planner' => [static fn (User $who) => $who->forceFill(['role' => Role::Planner])->save()],
            'two-step sign-in' => [static fn (User $who) => $who->forceFill(['code_since' => Carbon::now()])->save()],
            'removing it' => [static fn (User $who) => Pin::remove($who)],
            'another address' => [static fn (User $who) => $who->forceFill(['email' => 'new@hook.test'])->save()],
        ];
    }

    /** @param  callable(User): mixed  $end */
    #[DataProvider('ends')]
    public function test_it_ends_with(callable $end): void
    {
        $this->withPins();
        $end($this->isla->refresh());
        $this->change($this->isla, '7391')->assertSessionHasErrors('who');
        $this->assertAuthenticatedAs($this->ben);
    }

    public function test_a_lost_phone_that_is_signed_out_takes_no_pin(): void
    {
        $this->withPins();
        $this->change($this->isla, '7391');
        $phone = Device::query()->where('user_id', $this->isla->id)->sole();
        $cookies = $this->defaultCookies;
        $this->defaultCookies = [];
        $this->in($this->isla);
        $this->delete("/account/devices/$phone->id")->assertRedirect();
        $this->post('/sign-out');
        $this->defaultCookies = $cookies;
        $this->change($this->isla, '7391')->assertSessionHasErrors('who');
        $this->change($this->ben, '80264')->assertRedirect('/round');
    }

    public function test_a_pin_is_set_with_the_password_and_is_no_easy_one(): void
    {
        $this->in($this->isla);
        $form = ['pin' => '7391', 'password_for_pin' => 'secateurs'];
        foreach (['', '123', '1234', '987654', '0000', '1212', '1987', '2027', '12ab', '123456789', '٧٣٩١'] as $easy) {
            $this->put('/account/pin', ['pin' => $easy] + $form)->assertSessionHasErrors('pin');
        }
        $this->put('/account/pin', ['password_for_pin' => 'no'] + $form)->assertSessionHasErrors('password_for_pin');
        self::assertNull($this->isla->refresh()->pin);
        $this->put('/account/pin', $form)->assertSessionHasNoErrors();
        $kept = (string) $this->isla->refresh()->pin;
        self::assertFalse(password_verify('7391', $kept), 'whoever has the table tries no four digits');
        self::assertSame(0, DB::table('changes')->where('after', 'like', '%pin%')->count());
        $this->get('/account')->assertSee('Remove PIN');
        $this->delete('/account/pin')->assertRedirect();
        self::assertNull($this->isla->refresh()->pin);
        $this->actingAs($this->planner())->put('/account/pin', $form)->assertForbidden();
    }

    /** Both have one on this phone; Ben holds it. */
    private function withPins(): void
    {
        foreach ([[$this->isla, '7391'], [$this->ben, '80264']] as [$person, $pin]) {
            $this->in($person);
            $this->put('/account/pin', ['pin' => $pin, 'password_for_pin' => 'secateurs'])->assertSessionHasNoErrors();
            $person->is($this->ben) || $this->post('/sign-out');
        }
    }

    private function in(User $person): void
    {
        auth()->forgetGuards();
        session()->flush();
        $this->keep($this->post('/sign-in', ['email' => $person->email, 'password' => 'secateurs']))
            ->assertSessionHasNoErrors();
    }

    /** @return TestResponse<Response> */
    private function change(User $to, string $pin): TestResponse
    {
        Cookie::flushQueuedCookies();

        return $this->keep($this->post('/change-person', ['who' => $to->id, 'pin' => $pin]));
    }

    /**
     * A browser keeps its cookies.
     *
     * @param  TestResponse<Response>  $response
     * @return TestResponse<Response>
     */
    private function keep(TestResponse $response): TestResponse
    {
        $known = $response->getCookie('hook_known');
        $known === null || $this->withCookie('hook_known', (string) $known->getValue());

        return $response;
    }
}
