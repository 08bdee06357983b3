<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\Device;
use App\Ground\Models\Garden;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\AtomicFileSessionHandler;
use App\Ground\Support\ResetPasswordNotification;
use App\People\GoodPassword;
use App\People\NewDeviceNotification;
use App\People\SendResetLetter;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Validator;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;
use Tests\Support\CountingHasher;

/** Nobody gets in who should not: hosts, headers, cookies, sessions, passwords, and whose work a lead may give away. */
final class DoorsTest extends FeatureTestCase
{
    public function test_a_session_is_written_whole_for_its_owner_alone(): void
    {
        $folder = sys_get_temp_dir().'/sessions-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $sessions = new AtomicFileSessionHandler($this->app->make(Filesystem::class), $folder, 60);
        self::assertTrue($sessions->write('abc', 'who is in'));
        self::assertSame('100600', sprintf('%o', (int) fileperms("$folder/abc")));
        self::assertStringEqualsFile("$folder/abc", 'who is in');
        File::deleteDirectory($folder);
    }

    public function test_it_answers_under_its_own_names_only_and_its_letters_lead_home(): void
    {
        Notification::fake();
        config(['app.url' => 'https://office.hollowbrook.test', 'hook.hosts' => 'shed.hollowbrook.test, 192.0.2.7']);
        $user = $this->planner();
        $this->post('http://evil.test/forgotten', ['email' => $user->email])->assertStatus(400);
        $this->get('http://evil.test/sign-in')->assertStatus(400)->assertSee('Not under this name')
            ->assertDontSee('evil');
        $this->get('http://office.hollowbrook.test.evil.test/sign-in')->assertStatus(400);
        Notification::assertNothingSent();
        foreach (['office.hollowbrook.test', 'shed.hollowbrook.test', '192.0.2.7', 'localhost', '127.0.0.1'] as $host) {
            $this->get("http://$host/sign-in")->assertOk();
        }
        $this->get('http://localhost/sign-in', ['X-Forwarded-Host' => 'evil.test'])->assertDontSee('evil.test');
        $this->post('http://localhost/forgotten', ['email' => $user->email])->assertSessionHas('status');
        Notification::assertSentTo($user, ResetPasswordNotification::class, static function (
            ResetPasswordNotification $letter,
        ) use ($user): bool {
            self::assertStringContainsString(
                'https://office.hollowbrook.test/new-password/', (string) $letter->toMail($user)->render(),
            );

            return true;
        });
    }

    #[DataProvider('elsewhere')]
    public function test_back_never_leads_out_of_the_house(string $from): void
    {
        $this->actingAs($this->planner());
        $seen = "/plants/{$this->visitTask()->plant_id}/seen";
        foreach ([
            fn (array $head) => $this->post('/gardens', ['name' => ''], $head),
            fn (array $head) => $this->put($seen, ['seen' => 'stress:drought'], $head),
            fn (array $head) => $this->get('/frost-dates?latitude=x', $head),
            fn (array $head) => $this->get('/site-year?latitude=x', $head),
        ] as $ask) {
            $this->get('/gardens')->assertOk();
            $to = (string) $ask(['Referer' => $from])->headers->get('Location');
            self::assertStringNotContainsString('evil', $to);
            self::assertStringNotContainsString('8099', $to);
            session()->flush();
        }
        $this->from('/gardens/create')->post('/gardens', ['name' => ''])->assertRedirect('/gardens/create');
    }

    /** @return list<array{string}> */
    public static function elsewhere(): array
    {
        return [
            ['https://evil.test/gardens'], ['//evil.test'], ['http://localhost@evil.test/'], ['http://localhost:8099/'],
            ['http://evil.test:80/localhost'], ['http://localhost.evil.test/'], ['evil'], ['http:///evil.test'],
        ];
    }

    public function test_every_answer_says_what_a_browser_may_do_with_it(): void
    {
        $looks = ['/up', '/plants/99999', '/nowhere'];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (in_array('GET', $route->methods(), true)) {
                $looks[] = '/'.ltrim((string) preg_replace('/\{\w+\}/', '1', $route->uri()), '/');
            }
        }
        foreach ($looks as $look) {
            foreach ([null, $this->planner()] as $user) {
                $answer = $user === null ? $this->get($look) : $this->actingAs($user)->get($look);
                $policy = (string) $answer->headers->get('Content-Security-Policy');
                self::assertStringContainsString("default-src 'self'", $policy, $look);
                self::assertStringContainsString("frame-ancestors 'none'", $policy, $look);
                self::assertStringNotContainsString('unsafe', $policy, $look);
                self::assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'), $look);
                self::assertSame('DENY', $answer->headers->get('X-Frame-Options'), $look);
                self::assertSame('same-origin', $answer->headers->get('Referrer-Policy'), $look);
                self::assertNotNull($answer->headers->get('Permissions-Policy'), $look);
                self::assertNull($answer->headers->get('Strict-Transport-Security'), $look);
                $html = (string) $answer->getContent();
                self::assertSame(
                    0, preg_match('/<[^>]+\s(style|on[a-z]+)="|<style|<script(?![^>]+src=)/', $html), $look,
                );
                foreach ($answer->headers->getCookies() as $cookie) {
                    self::assertTrue($cookie->isHttpOnly(), "$look: {$cookie->getName()}");
                    self::assertSame('lax', $cookie->getSameSite(), "$look: {$cookie->getName()}");
                }
                auth()->forgetGuards();
            }
        }
        $safe = $this->get('https://localhost/sign-in')->assertHeader('Strict-Transport-Security', 'max-age=31536000');
        self::assertNotSame([], $safe->headers->getCookies());
        foreach ($safe->headers->getCookies() as $cookie) {
            self::assertTrue($cookie->isSecure(), $cookie->getName());
        }
    }

    public function test_what_a_browser_was_kept_from_is_told_in_the_log_and_no_more_of_it(): void
    {
        $log = storage_path('logs/security-'.date('Y-m-d').'.log');
        $before = is_file($log) ? (int) filesize($log) : 0;
        $told = static fn (): string => substr((string) @file_get_contents($log), $before);
        $send = fn (string $body) => $this->call('POST', '/policy-report', content: $body)->assertNoContent();
        foreach (['', 'no', '[]', '{"csp-report":1}', '{"csp-report":{"x":"y"}}', str_repeat('[', 9000)] as $odd) {
            $send($odd);
        }
        clearstatcache();
        self::assertSame('', $told());
        $send((string) json_encode(['csp-report' => [
            'effective-directive' => 'script-src-elem', 'blocked-uri' => 'https://evil.test/'.str_repeat('x', 500),
            'document-uri' => 'http://localhost/gardens', 'script-sample' => 'secret', 'line-number' => 7,
        ]]));
        self::assertStringContainsString('script-src-elem', $told());
        self::assertStringContainsString('evil.test', $told());
        self::assertStringNotContainsString('secret', $told());
        self::assertLessThan(800, strlen($told()));
    }

    /** @return array<string, array{int}> */
    public static function failures(): array
    {
        return array_combine(
            ['400', '403', '404', '405', '413', '419', '429', '500', '503'],
            [[400], [403], [404], [405], [413], [419], [429], [500], [503]],
        );
    }

    #[DataProvider('failures')]
    public function test_a_page_that_fails_needs_nothing_to_say_so(int $status): void
    {
        // As it would be rendered with no session, no person and no database.
        $page = (string) file_get_contents(resource_path("views/errors/$status.blade.php"));
        self::assertStringContainsString("@extends('errors.plain')", $page);
        self::assertSame(0, preg_match('/\{\{|@if|@auth|<x-|\$/', $page));
        Route::get('failing', static fn () => abort($status));
        config(['database.connections.sqlite.database' => '/nowhere/at/all']);
        $this->get('/failing')->assertStatus($status)->assertSee('/plain.css')->assertSee('Pruning Hook');
    }

    public function test_a_new_password_ends_every_other_session(): void
    {
        $user = $this->hand();
        $in = fn () => $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs']);
        $in()->assertRedirect('/round');
        $phone = session()->all();
        // At another device, by letter.
        auth()->forgetGuards();
        session()->flush();
        $this->post('/new-password', [
            'token' => Password::createToken($user), 'email' => $user->email,
            'password' => 'three wet gloves', 'password_confirmation' => 'three wet gloves',
        ])->assertRedirect('/round');
        $this->get('/round')->assertOk();
        auth()->forgetGuards();
        session()->flush();
        $this->withSession($phone)->get('/round')->assertRedirect('/sign-in');
        $this->withSession($phone)->getJson('/entries/who')->assertUnauthorized();
        $this->assertGuest();
    }

    public function test_a_person_signs_out_everywhere_and_changes_the_password(): void
    {
        $user = $this->lead();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs']);
        $phone = session()->all();
        $remembered = $user->fresh()?->getRememberToken();
        $this->get('/account')->assertOk()->assertSee('Sign out')->assertSee($user->email);
        $this->post('/account/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
        self::assertNotSame($remembered, $user->fresh()?->getRememberToken());
        $this->withSession($phone)->get('/round')->assertRedirect('/sign-in');
        auth()->forgetGuards();
        session()->flush();
        $user = $user->fresh() ?? $user;
        $change = fn (array $more) => $this->actingAs($user)->from('/account')->put('/account/password', [
            'current' => 'secateurs', 'password' => 'three wet gloves', 'password_confirmation' => 'three wet gloves',
            ...$more,
        ]);
        $change(['current' => 'loppers'])->assertSessionHasErrors('current');
        $change(['current' => ['secateurs']])->assertSessionHasErrors('current');
        $change(['password_confirmation' => 'two wet gloves'])->assertSessionHasErrors('password');
        $change(['password' => 'Password2027', 'password_confirmation' => 'Password2027'])
            ->assertSessionHasErrors(['password' => 'That password is too common.']);
        self::assertTrue(Hash::check('secateurs', (string) $user->fresh()?->password));
        $change([])->assertSessionHasNoErrors();
        self::assertTrue(Hash::check('three wet gloves', (string) $user->fresh()?->password));
        $this->get('/account')->assertOk();
    }

    public function test_one_lost_phone_is_shut_out_alone(): void
    {
        $user = $this->lead();
        $in = function (string $agent) use ($user): array {
            auth()->forgetGuards();
            session()->flush();
            $this->withHeader('User-Agent', $agent)
                ->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs'])
                ->assertRedirect('/round');

            return session()->all();
        };
        $phone = $in('Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/120 Mobile Safari/537.36');
        $tablet = $in('Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) AppleWebKit/605.1.15');
        $desk = $in('Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/120 Safari/537.36');
        $remembered = $user->fresh()?->getRememberToken();
        $this->get('/account')->assertOk()->assertSeeInOrder(['Computer', 'this one', 'Tablet', 'Phone'])
            ->assertSee('since 20 Feb');
        self::assertSame(['phone', 'tablet', 'computer'], Device::query()->orderBy('id')->pluck('kind')->all());
        [$lost, , $this_one] = Device::query()->orderBy('id')->get()->all();

        $this->delete("/account/devices/$lost->id")->assertRedirect('/account');
        $this->get('/account')->assertOk()->assertDontSee('Phone');
        self::assertNotSame($remembered, $user->fresh()?->getRememberToken(), 'nor is it remembered');
        $at = function (array $session): TestResponse {
            auth()->forgetGuards();
            session()->flush();

            return $this->withSession($session)->get('/round');
        };
        $at($phone)->assertRedirect('/sign-in');
        $this->assertGuest();
        $at($tablet)->assertOk();
        // Nobody ends what is another's, or what is not there.
        auth()->forgetGuards();
        session()->flush();
        $this->actingAs($this->hand())->delete("/account/devices/$this_one->id")->assertNotFound();
        $at($desk)->assertOk();
        // Signing out here ends this one only.
        $this->post('/sign-out');
        self::assertSame(['tablet'], Device::query()->where('user_id', $user->id)->pluck('kind')->all());
        $at($tablet)->assertOk();
        $this->post('/account/sign-out');
        self::assertSame(0, Device::query()->where('user_id', $user->id)->count());
    }

    /** @return array<string, array{string, list<array{int, bool}>}> hours that pass, and whether one is still in */
    public static function times(): array
    {
        $desk = 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/120 Safari/537.36';
        $phone = 'Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/120 Mobile Safari/537.36';

        return [
            'a desk that was left overnight' => [$desk, [[11, true], [13, false]]],
            'a desk that is used day and night' => [$desk, [...array_fill(0, 30, [11, true]), [7, false]]],
            'a phone through a month of rounds' => [$phone, [[24 * 20, true], [24 * 9, true], [48, false]]],
        ];
    }

    /** @param  list<array{int, bool}>  $times */
    #[DataProvider('times')]
    public function test_nobody_stays_signed_in_for_ever(string $agent, array $times): void
    {
        $this->withHeader('User-Agent', $agent);
        $this->post('/sign-in', ['email' => $this->lead()->email, 'password' => 'secateurs'])->assertRedirect();
        foreach ($times as [$hours, $isIn]) {
            $this->travel($hours)->hours();
            $answer = $this->get('/round');
            $isIn ? $answer->assertOk() : $answer->assertRedirect('/sign-in');
        }
        $this->assertGuest();
        $this->get('/sign-in')->assertSee('Your session has ended');
        $this->get('/round')->assertRedirect('/sign-in');
    }

    public function test_a_device_is_seen_by_the_hour_and_forgotten_once_its_session_is_over(): void
    {
        $user = $this->lead();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs']);
        $device = Device::query()->sole();
        $this->travel(30)->minutes();
        $this->get('/round')->assertOk();
        self::assertEquals($device->seen_at, $device->fresh()?->seen_at);
        $this->travel(40)->minutes();
        $this->get('/round')->assertOk();
        self::assertEquals(now()->startOfSecond(), $device->fresh()?->seen_at);
        // What a script reads besides opens nothing.
        auth()->forgetGuards();
        session()->flush();
        $this->actingAs($user)->get('/round', ['Sec-Fetch-Mode' => 'cors'])->assertOk();
        self::assertSame(1, Device::query()->count());
        $this->travel(29)->days();
        Device::forgetOld();
        self::assertSame(1, Device::query()->count());
        $this->travel(2)->days();
        Device::forgetOld();
        self::assertSame(0, Device::query()->count());
    }

    /** @return array<string, array{string, bool}> */
    public static function passwords(): array
    {
        return [
            'words that have nothing to do with each other' => ['three wet gloves', true],
            'long and odd' => ['vK8#pe2Lm!zq', true], 'short' => ['hj4$kL9mm2!', false],
            'the usual' => ['password1234', false], 'dressed up' => ['P4ssw0rd!!!!', false],
            'said twice' => ['sunshinesunshine', false], 'breached' => ['unbelievable1', false],
            'a run of keys' => ['qwertyuiopas', false], 'a run of figures' => ['012345678901', false],
            'one sign' => ['aaaaaaaaaaaa', false], 'the own name' => ['tobinashe2027', false],
            'the own address' => ['xx-hollow-77', false], 'past what the hash reads' => [str_repeat('ab3$', 20), false],
        ];
    }

    #[DataProvider('passwords')]
    public function test_the_first_passwords_anybody_tries_are_refused(string $password, bool $good): void
    {
        self::assertSame($good, Validator::make(
            ['password' => $password], ['password' => [new GoodPassword(['Tobin Ashe', 'lead@hollow.test'])]],
        )->passes());
    }

    public function test_trying_is_limited_by_address_and_by_network(): void
    {
        $user = $this->hand();
        $try = function (string $email, string $password, string $ip): int {
            auth()->forgetGuards();
            session()->flush();
            $status = $this->withServerVariables(['REMOTE_ADDR' => $ip])->from('/sign-in')
                ->postJson('/sign-in', ['email' => $email, 'password' => $password])->getStatusCode();

            return $status;
        };
        for ($times = 0; $times < 6; $times++) {
            self::assertSame(422, $try($user->email, 'loppers', "192.0.2.$times"));
        }
        // The neighbours of one number are the same network; the right password does not help any more.
        self::assertSame(429, $try(strtoupper($user->email), 'secateurs', '192.0.2.200'));
        self::assertSame(302, $try($user->email, 'secateurs', '198.51.100.7'));
        for ($times = 0; $times < 54; $times++) {
            self::assertSame(422, $try("nobody$times@hollow.test", 'loppers', '192.0.2.9'));
        }
        self::assertSame(429, $try($this->planner()->email, 'secateurs', '192.0.2.10'));
        for ($times = 0; $times < 23; $times++) {
            $try($user->email, 'loppers', "203.$times.113.1");
        }
        self::assertSame(422, $try($user->email, 'loppers', '2001:db8:1::1'));
        self::assertSame(429, $try($user->email, 'secateurs', '2001:db8:2::1'), 'at one address from anywhere');
        Carbon::setTestNow(Carbon::now()->addMinutes(16));
        self::assertSame(302, $try($user->email, 'secateurs', '192.0.2.1'));
    }

    public function test_the_password_somebody_has_now_is_not_tried_without_end(): void
    {
        $user = $this->hand();
        $change = fn (string $current, string $new = 'three wet gloves') => $this->actingAs($user)->from('/account')
            ->put('/account/password', [
                'current' => $current, 'password' => $new, 'password_confirmation' => $new,
            ]);
        for ($times = 0; $times < 8; $times++) {
            $change('secateurs', 'short')->assertSessionHasErrors('password')->assertSessionDoesntHaveErrors('current');
        }
        for ($times = 0; $times < 6; $times++) {
            $change('loppers')->assertSessionHasErrors(['current' => 'That is not your current password.']);
        }
        $change('secateurs')->assertSessionHasErrors(['current' => 'Too many attempts. Try again in 15 minutes.']);
        $this->travel(16)->minutes();
        $change('secateurs')->assertSessionHasNoErrors();
    }

    /** Not the seconds are compared, which a busy machine makes up, but the work that takes them. */
    public function test_nobody_learns_by_waiting_who_works_here(): void
    {
        Queue::fake();
        $known = [$this->hand()->email, $this->planner()->email];
        Password::createToken(User::query()->where('email', $known[1])->sole());
        $hasher = new CountingHasher;
        $this->app->forgetInstance('auth.password');
        Password::clearResolvedInstances();
        Hash::swap($hasher);
        auth()->forgetGuards();
        $asks = [
            '/sign-in' => static fn (string $email): array => ['email' => $email, 'password' => 'loppers'],
            '/forgotten' => static fn (string $email): array => ['email' => $email],
            '/new-password' => static fn (string $email): array => [
                'token' => 'x', 'email' => $email, 'password' => 'three wet gloves',
                'password_confirmation' => 'three wet gloves',
            ],
        ];
        foreach ($asks as $path => $with) {
            $work = [];
            foreach ([...$known, 'nobody@hollow.test', 'x@y.test'] as $email) {
                $hasher->hashed = 0;
                $this->post($path, $with($email));
                $work[$email] = $hasher->hashed;
                session()->flush();
                auth()->forgetGuards();
            }
            self::assertCount(1, array_unique($work), $path.' '.json_encode($work));
            self::assertSame($path === '/forgotten' ? 0 : 1, max($work), $path);
        }
        Queue::assertPushed(SendResetLetter::class, 4);
    }

    public function test_a_stranger_who_tries_an_address_keeps_nobody_out_where_they_have_been_in(): void
    {
        Notification::fake();
        $user = $this->hand();
        $in = $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs']);
        $in->assertRedirect('/round');
        $known = (string) $in->getCookie('hook_known')?->getValue();
        Notification::assertSentToTimes($user, NewDeviceNotification::class, 1);
        auth()->forgetGuards();
        session()->flush();
        $this->travel(1)->hours();
        foreach (range(1, 31) as $network) {
            $this->withServerVariables(['REMOTE_ADDR' => "203.0.$network.1"])
                ->post('/sign-in', ['email' => $user->email, 'password' => 'loppers']);
            session()->flush();
        }
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs'])->assertSessionHasErrors('email');
        session()->flush();
        $here = fn (string $password) => $this->withCookie('hook_known', $known)
            ->post('/sign-in', ['email' => $user->email, 'password' => $password]);
        $here('secateurs')->assertRedirect('/round');
        // It is not told again, and is no way to try without end.
        Notification::assertSentToTimes($user, NewDeviceNotification::class, 1);
        foreach (range(1, 6) as $time) {
            auth()->forgetGuards();
            session()->flush();
            $here("loppers$time");
        }
        session()->flush();
        $here('secateurs')->assertSessionHasErrors('email');
        // What a stranger writes into the cookie is not read.
        $this->withUnencryptedCookie('hook_known', (string) json_encode([hash('xxh128', $user->email) => 'x']))
            ->post('/sign-in', ['email' => $user->email, 'password' => 'secateurs'])->assertSessionHasErrors('email');
    }

    public function test_what_happens_at_the_doors_is_kept_without_what_is_secret(): void
    {
        $planner = $this->planner();
        $hand = $this->hand();
        $log = storage_path('logs/security-'.date('Y-m-d').'.log');
        $this->post('/sign-in', ['email' => 'typed-by-mistake', 'password' => 'hunter2-secret']);
        $this->post('/sign-in', ['email' => $hand->email, 'password' => 'hunter2-secret']);
        $this->post('/sign-in', ['email' => $planner->email, 'password' => 'secateurs']);
        $this->get('/export/plants')->assertOk()->streamedContent();
        $this->put("/people/$hand->id", [
            'name' => $hand->name, 'email' => $hand->email, 'role' => 'lead', 'crew_id' => $hand->crew_id,
        ])->assertSessionHasNoErrors();
        $this->post("/people/$hand->id/leave");
        $kinds = SecurityEvent::query()->orderBy('id')->pluck('kind')->map(static fn ($kind) => $kind->value)->all();
        self::assertSame([
            'sign-in-failed', 'sign-in-failed', 'signed-in', 'exported', 'role-changed', 'left-firm',
        ], $kinds);
        self::assertSame([null, $hand->id], SecurityEvent::query()->orderBy('id')->limit(2)->pluck('about_id')->all());
        self::assertSame('hand to lead', SecurityEvent::query()->where('kind', 'role-changed')->value('says'));
        self::assertSame('127.0.0.0/24', SecurityEvent::query()->value('network'));
        $lines = (string) file_get_contents($log);
        foreach (['hunter2', 'secateurs', 'typed-by-mistake'] as $secret) {
            self::assertStringNotContainsString($secret, $lines);
            self::assertStringNotContainsString($secret, (string) json_encode(SecurityEvent::query()->get()));
        }
        $told = explode("\n", trim($lines));
        self::assertSame('left-firm', ((array) json_decode(end($told), true))['message'] ?? null);
        $this->get('/security')->assertOk()->assertSeeInOrder(['Left the firm', 'Role changed', 'plants', 'Signed in']);
        $this->get('/security?kind=exported')->assertSee('Data exported')->assertDontSee('Signed in');
        $this->get("/security?who=$hand->id")->assertSee('No matching events');
        $this->actingAs($this->hand())->get('/security')->assertForbidden();
        // However often a locked door is rattled, it was locked once.
        auth()->logout();
        foreach (range(1, 9) as $time) {
            session()->flush();
            $this->post('/sign-in', ['email' => $planner->email, 'password' => "loppers$time"]);
        }
        self::assertSame(1, SecurityEvent::query()->where('kind', 'locked-out')->count());
        $this->travel(366)->days();
        $this->artisan('retention')->assertSuccessful();
        self::assertSame(0, SecurityEvent::query()->count());
    }

    public function test_nobody_learns_who_works_here(): void
    {
        Notification::fake();
        $known = $this->hand()->email;
        $answers = [];
        foreach ([$known, 'nobody@hollow.test'] as $email) {
            $told = $this->from('/sign-in')->post('/sign-in', ['email' => $email, 'password' => 'loppers']);
            $wrong = session('errors')?->first('email');
            session()->flush();
            $this->from('/forgotten')->post('/forgotten', ['email' => $email])->assertSessionHasNoErrors();
            $sent = session('status');
            session()->flush();
            $this->from('/new-password/x')->post('/new-password', [
                'token' => 'x', 'email' => $email, 'password' => 'three wet gloves',
                'password_confirmation' => 'three wet gloves',
            ]);
            $answers[] = [$told->getStatusCode(), $wrong, $sent, session('errors')?->first('email')];
            session()->flush();
        }
        self::assertSame($answers[0], $answers[1]);
        self::assertNotContains(null, $answers[0]);
    }

    public function test_what_a_script_reads_besides_takes_no_message_from_a_page(): void
    {
        $this->actingAs($this->planner())->get('/gardens');
        $this->withCookie(Config::string('session.cookie'), session()->getId())->withCredentials();
        $form = "/gardens/{$this->garden->id}/plants/create";
        $this->from($form)->post("/gardens/{$this->garden->id}/plants", [
            'kind' => 'wistria', 'label' => 'By the gate',
        ]);
        foreach (['cors', 'no-cors'] as $mode) {
            $this->getJson('/plant-book/find?q=wist', ['Sec-Fetch-Mode' => $mode])->assertOk();
        }
        $this->get($form, ['Sec-Fetch-Mode' => 'navigate'])->assertSee('Did you mean')->assertSee('By the gate');
        $this->get($form, ['Sec-Fetch-Mode' => 'navigate'])->assertDontSee('Did you mean');
    }

    /** Phones fetch sheets while somebody signs out and in; an answer that is late would sign them out again. */
    public function test_what_a_script_reads_besides_never_takes_the_place_of_who_signed_in(): void
    {
        $name = (string) config('session.cookie');
        foreach (['/round', '/entries/who', '/plant-book/find?q=wist'] as $late) {
            foreach (['cors', 'same-origin'] as $mode) {
                $answer = $this->withCookie($name, str_repeat('a', 40))->get($late, ['Sec-Fetch-Mode' => $mode]);
                self::assertNull($answer->getCookie($name), "$late as $mode hands out a session of its own");
            }
        }
        self::assertNotNull($this->get('/sign-in', ['Sec-Fetch-Mode' => 'navigate'])->getCookie($name));
    }

    public function test_a_session_is_written_in_whole_or_not_at_all(): void
    {
        $folder = sys_get_temp_dir().'/hook-sessions-'.getmypid();
        mkdir($folder);
        config(['session.driver' => 'file', 'session.files' => $folder]);
        $sessions = $this->app->make(SessionManager::class)->driver('file')->getHandler();
        $sessions->write('one', 'signed in');
        $reading = fopen("$folder/one", 'r');
        self::assertNotFalse($reading);
        $sessions->write('one', 'signed in still');
        // Written over where it lay, whoever was reading it would find it empty for a moment, and so would a crash.
        self::assertSame('signed in', stream_get_contents($reading));
        self::assertStringEqualsFile("$folder/one", 'signed in still');
        self::assertSame('0600', substr(sprintf('%o', (int) fileperms("$folder/one")), -4));
        File::deleteDirectory($folder);
    }

    public function test_a_cut_plan_goes_on_a_coming_visit_of_the_own_crew_only(): void
    {
        $hand = $this->hand();
        $this->actingAs($hand)->put("/plants/{$this->wisteria->id}/stems", ['op' => 'add', 'azimuth_deg' => '10']);
        $plan = fn (VisitTask $task) => $this->post("/plants/{$this->wisteria->id}/stems/plan", ['task' => $task->id]);
        $coming = $this->visitTask();
        $coming->visit->update(['crew_id' => $this->otherCrew()]);
        $plan($coming)->assertForbidden();
        $coming->visit->update(['crew_id' => $this->crew->id, 'on' => '2027-02-19']);
        $plan($coming)->assertSessionHasErrors('task');
        self::assertNull($coming->refresh()->cut_plan);
        $coming->visit->update(['on' => '2027-02-20']);
        $plan($coming)->assertSessionHasNoErrors();
        self::assertNotNull($coming->refresh()->cut_plan);
    }

    public function test_a_lead_gives_work_to_the_own_crew_only(): void
    {
        $other = $this->otherCrew();
        $lead = $this->lead();
        $facts = [...$this->garden->only(['name', 'client', 'latitude', 'longitude', 'elevation_m', 'winter']),
            'last_frost' => '04-20', 'first_frost' => '10-25', 'sure' => 1];
        $this->actingAs($lead)->put("/gardens/{$this->garden->id}", [...$facts, 'crew_id' => $other])
            ->assertSessionHasErrors('crew_id');
        $this->put("/gardens/{$this->garden->id}", [...$facts, 'crew_id' => $this->crew->id])
            ->assertSessionHasNoErrors();
        $plan = ['on' => '2027-02-22', 'tasks' => ["{$this->wisteria->id}:winter-pass:2027"], 'outside_reason' => 'So'];
        $this->post("/gardens/{$this->garden->id}/visits", [...$plan, 'crew_id' => $other])
            ->assertSessionHasErrors('crew_id');
        self::assertSame(0, Visit::query()->count());
        $this->post("/gardens/{$this->garden->id}/visits", [...$plan, 'crew_id' => $this->crew->id])
            ->assertSessionHasNoErrors();
        self::assertSame($this->crew->id, Visit::query()->sole()->crew_id);
    }

    public function test_a_garden_given_away_takes_its_coming_visits_along_and_what_is_logged_stays(): void
    {
        $other = $this->otherCrew();
        $coming = $this->visit();
        $past = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-01-10']);
        $lent = $this->garden->visits()->create(['crew_id' => $other, 'on' => '2027-03-01']);
        $this->actingAs($this->planner());
        $this->put("/gardens/{$this->garden->id}", [
            ...$this->garden->only(['name', 'client', 'latitude', 'longitude', 'elevation_m', 'winter']),
            'last_frost' => '04-20', 'first_frost' => '10-25', 'sure' => 1, 'crew_id' => $other,
        ])->assertSessionHasNoErrors();
        self::assertSame($other, Garden::query()->findOrFail($this->garden->id)->crew_id);
        self::assertSame(
            [$other, $this->crew->id, $other],
            array_map(static fn (Visit $visit): ?int => $visit->fresh()?->crew_id, [$coming, $past, $lent]),
        );
    }

    public function test_a_visit_with_work_logged_on_it_stays_on_its_day(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20]);
        $this->actingAs($this->planner());
        $this->put("/visits/$task->visit_id", ['on' => '2027-02-25', 'outside_reason' => 'Wished'])
            ->assertSessionHasErrors(['on' => 'Work is logged on this visit, so it stays on its day.']);
        $this->put("/plan/visits/$task->visit_id", ['on' => '2027-02-25', 'crew' => $this->crew->id, 'sure' => 1])
            ->assertSessionHasErrors('move');
        self::assertSame('2027-02-20', (string) Visit::query()->findOrFail($task->visit_id)->on);
    }

    private function otherCrew(): int
    {
        return (int) User::query()->findOrFail($this->lead(false)->id)->crew_id;
    }
}
