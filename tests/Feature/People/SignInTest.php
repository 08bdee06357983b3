<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Support\ResetPasswordNotification;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Feature\FeatureTestCase;

final class SignInTest extends FeatureTestCase
{
    public function test_the_right_password_opens_the_season(): void
    {
        $user = $this->planner();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs'])->assertRedirect('/');
        $this->assertAuthenticatedAs($user);
    }

    public function test_a_hand_begins_on_the_round_and_comes_to_a_page_that_was_asked_for(): void
    {
        $user = $this->hand();
        $right = ['email' => $user->email, 'password' => 'secateurs'];
        $this->get('/');
        $this->post('/sign-in', $right)->assertRedirect('/round');
        $this->post('/sign-out');
        $this->get('/gardens?q=mill');
        $this->post('/sign-in', $right)->assertRedirect('/gardens?q=mill');
    }

    public function test_a_session_that_was_ended_is_not_brought_back_by_a_request_under_way(): void
    {
        // Files bear the true time.
        Carbon::setTestNow();
        $folder = sys_get_temp_dir().'/'.Str::uuid()->toString();
        mkdir($folder);
        config(['session.driver' => 'file', 'session.files' => $folder]);
        $cookie = (string) config('session.cookie');
        // Somebody signs out while it runs.
        Route::middleware('web')->get('slow', static fn (Request $request): string => $request->session()->getHandler()
            ->destroy($request->session()->getId()) ? 'done' : '');
        $id = $this->get('/sign-in')->getCookie($cookie)?->getValue();
        self::assertCount(1, (array) glob("$folder/*"));
        $this->withCookie($cookie, (string) $id)->get('/slow')->assertSee('done')->assertCookieMissing($cookie);
        self::assertSame([], glob("$folder/*"));
        // Nor is its name used again.
        $now = $this->withCookie($cookie, (string) $id)->get('/sign-in')->getCookie($cookie)?->getValue();
        self::assertNotSame($id, $now);
    }

    public function test_a_wrong_password_says_so_beside_the_field(): void
    {
        $user = $this->planner();
        $this->from('/sign-in')
            ->post('/sign-in', ['email' => $user->email, 'password' => 'loppers'])
            ->assertSessionHasErrors('email');
        $this->assertGuest();
        $this->get('/sign-in')->assertSee($user->email);
    }

    public function test_a_forgotten_password_is_replaced_by_letter(): void
    {
        Notification::fake();
        $user = $this->planner();
        $this->post('/forgotten', ['email' => $user->email])->assertSessionHas('status');
        Notification::assertSentTo($user, ResetPasswordNotification::class, function (
            ResetPasswordNotification $letter,
        ) use ($user): bool {
            $html = (string) $letter->toMail($user)->render();
            self::assertSame(1, preg_match('#/new-password/(\w+)\?email=#', $html, $link));
            $this->get('/new-password/'.$link[1].'?email='.urlencode($user->email))
                ->assertOk()
                ->assertSee($user->email);
            $this->post('/new-password', [
                'token' => $link[1],
                'email' => $user->email,
                'password' => 'new sharp loppers',
                'password_confirmation' => 'new sharp loppers',
            ])->assertRedirect('/');

            return Hash::check('new sharp loppers', (string) $user->fresh()?->password);
        });
    }

    public function test_signing_out_closes_the_door(): void
    {
        $this->actingAs($this->hand())->post('/sign-out');
        $this->get('/')->assertRedirect('/sign-in');
    }
}
