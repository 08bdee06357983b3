<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Role;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\TokenScope;
use App\Ground\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\FeatureTestCase;

/** What programs read with a token, held to the document that describes it. */
final class ApiTest extends FeatureTestCase
{
    private const MISSING = ['NotFound' => 404, 'Forbidden' => 403];

    /** Lists, and a row of each that has one. */
    private const LISTS = ['gardens', 'plants', 'due', 'visits', 'logs', 'hours'];

    private const ROWS = ['gardens/{garden}', 'plants/{plant}', 'visits/{visit}'];

    public function test_every_route_is_described_and_every_description_has_its_route(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                self::assertSame(['GET', 'HEAD'], $route->methods(), $route->uri());
                $routes[] = substr($route->uri(), strlen('api/v1'));
            }
        }
        self::assertSame(array_map(static fn (string $list): string => "/$list", [...self::LISTS, ...self::ROWS]),
            array_values(array_unique([...array_filter($routes, self::isOfMany(...)),
                ...array_filter($routes, static fn (string $uri): bool => ! self::isOfMany($uri))])));
        self::assertEqualsCanonicalizing($routes, array_keys(self::document()['paths']));
    }

    #[DataProvider('lists')]
    public function test_a_list_is_as_it_is_described(string $list): void
    {
        $this->record();
        $token = $this->token();
        $answer = $this->asked($token, "/$list".($list === 'due' ? '?to=2027-12-31' : ''))->assertOk();
        self::assertNotEmpty($answer->json('data'), $list);
        $this->assertDescribed("/$list", 200, $answer);
    }

    public function test_a_row_is_as_it_is_described(): void
    {
        $visit = $this->record();
        foreach (['garden' => $this->garden->id, 'plant' => $this->wisteria->id, 'visit' => $visit] as $what => $id) {
            $answer = $this->asked($this->token(), "/{$what}s/$id")->assertOk();
            self::assertSame($id, $answer->json('data.id'));
            $this->assertDescribed("/{$what}s/{{$what}}", 200, $answer);
            $this->assertDescribed(
                "/{$what}s/{{$what}}", 404, $this->asked($this->token(), "/{$what}s/999999")->assertNotFound(),
            );
        }
    }

    /** A misspelt filter would return everything, and nobody would notice. */
    #[DataProvider('lists')]
    public function test_the_parameters_are_those_described_and_no_others(string $list): void
    {
        $token = $this->token();
        $answer = $this->asked($token, "/$list?gardn=1")->assertUnprocessable();
        $this->assertDescribed("/$list", 422, $answer);
        $described = array_column(self::parameters("/$list"), 'name');
        sort($described);
        $known = explode(', ', str_replace(
            ['Unknown parameter. Known here: ', '.'], '', (string) $answer->json('errors.gardn.0'),
        ));
        sort($known);
        self::assertSame($described, $known);
        foreach (array_diff($described, ['kind']) as $name) {
            $this->asked($token, "/$list?$name=no")->assertUnprocessable()->assertJsonValidationErrors($name);
            $this->asked($token, "/$list?{$name}[]=1")->assertUnprocessable();
        }
        // What a list could not have made itself.
        foreach ([['id' => 1], ['_pointsToNextItems' => true], ['id' => [1], '_pointsToNextItems' => true], 7,
            ['_pointsToNextItems' => 'x']] as $odd) {
            $cursor = rtrim(strtr(base64_encode((string) json_encode($odd)), '+/', '-_'), '=');
            $this->asked($token, "/$list?cursor=$cursor")->assertUnprocessable()->assertJsonValidationErrors('cursor');
        }
    }

    /** @return iterable<string, array{string}> */
    public static function lists(): iterable
    {
        foreach (self::LISTS as $list) {
            yield $list => [$list];
        }
    }

    public function test_a_token_reads_only_what_it_was_given(): void
    {
        foreach (TokenScope::cases() as $scope) {
            $token = $this->token([$scope]);
            foreach (self::LISTS as $list) {
                $answer = $this->asked($token, "/$list");
                $answer->assertStatus("$list:read" === $scope->value ? 200 : self::MISSING['Forbidden']);
                $answer->isOk() || $this->assertDescribed("/$list", 403, $answer);
            }
        }
        foreach (self::LISTS as $list) {
            self::assertSame([['token' => ["$list:read"]]], self::document()['paths']["/$list"]['get']['security']);
        }
    }

    public function test_nobody_reads_without_a_token_that_holds(): void
    {
        $planner = $this->planner();
        $held = $this->token(by: $planner);
        $answer = $this->getJson('/api/v1/gardens')->assertUnauthorized()
            ->assertHeader('WWW-Authenticate', 'Bearer realm="Pruning Hook"');
        $this->assertDescribed('/gardens', 401, $answer);
        foreach (['', 'no', '1|no', $held.'x', "999|$held", "1|\0", '9999999999999999999999|x'] as $wrong) {
            $this->asked($wrong, '/gardens')->assertUnauthorized();
        }
        // A session in a browser is none: what a page could be made to ask for it would read.
        $this->actingAs($planner, 'web')->getJson('/api/v1/gardens')->assertUnauthorized();
        $this->app->make('auth')->forgetGuards();
        $this->asked($held, '/gardens')->assertOk();
        Carbon::setTestNow('2027-05-22 10:00:00');
        $this->asked($held, '/gardens')->assertUnauthorized();
    }

    public function test_a_token_ends_with_its_planner(): void
    {
        $another = $this->planner();
        foreach ([
            static fn (User $who) => $who->forceFill(['role' => Role::Lead])->save(),
            static fn (User $who) => $who->forceFill(['left_on' => '2027-02-19'])->save(),
            static fn (User $who) => $who->endSessions(),
        ] as $ends) {
            $planner = $this->planner();
            $token = $this->token(by: $planner);
            $this->asked($token, '/gardens')->assertOk();
            $ends($planner);
            $this->asked($token, '/gardens')->assertUnauthorized();
        }
        $token = $this->token(by: $another);
        $this->actingAs($another)->put('/account/password', [
            'current' => 'secateurs', 'password' => 'a long walk by the mill',
            'password_confirmation' => 'a long walk by the mill',
        ])->assertSessionHasNoErrors();
        $this->asked($token, '/gardens')->assertUnauthorized();
    }

    public function test_pages_lead_to_each_other_and_each_row_comes_once(): void
    {
        Garden::factory()->count(6)->create(['name' => 'One of a name', 'crew_id' => $this->crew->id]);
        $token = $this->token();
        [$next, $ids, $pages] = ['/gardens?limit=3&crew='.$this->crew->id, [], 0];
        while ($next !== null) {
            $answer = $this->asked($token, $next)->assertOk();
            $ids = [...$ids, ...array_column($answer->json('data'), 'id')];
            $pages++;
            $address = $answer->json('next');
            self::assertSame(
                $address === null ? null : "<$address>; rel=\"next\"", $answer->headers->get('Link'),
            );
            $next = $address === null ? null : substr((string) $address, strpos((string) $address, '/v1/') + 3);
        }
        self::assertSame([3, 7], [$pages, count(array_unique($ids))]);
        self::assertCount(7, $ids);
        // The cursor of another list lacks what this one is sorted by.
        Plant::factory()->count(2)->create(['garden_id' => $this->garden->id]);
        $next = (string) $this->asked($token, '/plants?limit=1')->json('next');
        parse_str((string) parse_url($next, PHP_URL_QUERY), $of);
        $this->asked($token, '/gardens?cursor='.$of['cursor'])->assertJsonValidationErrors('cursor');
    }

    public function test_what_has_not_changed_is_not_sent_again(): void
    {
        $token = $this->token();
        $mark = (string) $this->asked($token, '/gardens')->headers->get('ETag');
        self::assertNotSame('', $mark);
        $again = $this->asked($token, '/gardens', ['If-None-Match' => $mark]);
        $again->assertStatus(304);
        self::assertSame('', $again->getContent());
        $this->garden->update(['name' => 'Millrace Lodge']);
        $this->asked($token, '/gardens', ['If-None-Match' => $mark])->assertOk();
    }

    public function test_a_token_may_ask_so_often_and_no_more(): void
    {
        $one = $this->token();
        $another = $this->token();
        for ($asked = 0; $asked < 240; $asked++) {
            $this->asked($one, '/gardens/999999')->assertNotFound();
        }
        $answer = $this->asked($one, '/gardens/999999')->assertTooManyRequests();
        $answer->assertHeader('Retry-After');
        $this->assertDescribed('/gardens/{garden}', 429, $answer);
        $this->asked($another, '/gardens')->assertOk();
    }

    public function test_filters_narrow(): void
    {
        $this->record();
        $other = Garden::factory()->create(['name' => 'Elsewhere']);
        $plant = Plant::factory()->create(['garden_id' => $other->id, 'kind' => 'lilac']);
        $archived = Garden::factory()->create(['name' => 'Gone', 'archived_on' => '2027-01-01']);
        $token = $this->token();
        $ids = fn (string $path, string $of = 'id'): array => array_values(array_unique(
            array_column($this->asked($token, $path)->assertOk()->json('data'), $of),
        ));
        self::assertSame([$other->id, $this->garden->id], $ids('/gardens'));
        self::assertSame([$archived->id], $ids('/gardens?archived=true'));
        self::assertSame([$this->garden->id], $ids("/gardens?crew={$this->crew->id}"));
        self::assertSame([$plant->id], $ids("/plants?garden=$other->id"));
        self::assertSame([$plant->id], $ids('/plants?kind=lilac'));
        self::assertSame([$plant->id], $ids("/due?garden=$other->id&to=2027-12-31", 'plant_id'));
        self::assertNotContains($plant->id, $ids("/due?crew={$this->crew->id}&to=2027-12-31", 'plant_id'));
        self::assertCount(1, $ids('/visits?from=2027-02-20&to=2027-02-20'));
        self::assertSame([], $ids('/visits?from=2027-02-21&to=2027-02-22'));
        self::assertSame([], $ids("/logs?plant=$plant->id"));
        self::assertSame([], $ids('/hours?from=2027-02-01&to=2027-02-02', 'on'));
        $this->asked($token, '/hours?from=2027-01-01&to=2027-12-31')->assertJsonValidationErrors('to');
        $this->asked($token, '/due?from=2027-03-01&to=2027-02-01')->assertJsonValidationErrors('to');
    }

    public function test_hours_are_forecast_and_logged(): void
    {
        $this->record();
        $forecast = (int) DB::table('visit_tasks')->sum('minutes');
        $this->asked($this->token(), '/hours?from=2027-02-20')->assertJson(['data' => [[
            'on' => '2027-02-20', 'crew_id' => $this->crew->id, 'forecast_minutes' => $forecast,
            'logged_minutes' => 35, 'task_count' => 1,
        ]]]);
    }

    public function test_use_is_noted_once_an_hour_and_in_the_security_log_once_a_day(): void
    {
        $token = $this->token();
        $used = static fn (): int => DB::table('security_events')
            ->where('kind', SecurityEventKind::TokenUsed->value)->count();
        $this->asked($token, '/gardens');
        $this->asked($token, '/gardens');
        self::assertSame(1, $used());
        self::assertSame('2027-02-20 10:00:00', DB::table('personal_access_tokens')->value('last_used_at'));
        Carbon::setTestNow('2027-02-20 11:30:00');
        $this->asked($token, '/gardens');
        self::assertSame('2027-02-20 11:30:00', DB::table('personal_access_tokens')->value('last_used_at'));
        self::assertSame(1, $used());
        Carbon::setTestNow('2027-02-21 12:00:00');
        $this->asked($token, '/gardens');
        self::assertSame(2, $used());
    }

    public function test_a_planner_makes_a_token_once_and_revokes_it(): void
    {
        $planner = $this->planner();
        $form = ['name' => 'Wall display', 'days' => 90, 'scopes' => ['gardens:read', 'due:read'],
            'current' => 'secateurs', '_once' => (string) Str::uuid()];
        $this->actingAs($planner)->post('/integrations/tokens', ['current' => 'no'] + $form)
            ->assertSessionHasErrors('current');
        foreach ([
            'name' => '', 'days' => 1000, 'scopes' => [], 'scopes.0' => ['everything'],
        ] as $field => $wrong) {
            $this->post('/integrations/tokens', [explode('.', $field)[0] => $wrong] + $form)
                ->assertSessionHasErrors($field);
        }
        $this->post('/integrations/tokens', $form)->assertSessionHasNoErrors();
        $token = session('token');
        self::assertIsString($token);
        $this->post('/integrations/tokens', $form)->assertSessionHasNoErrors();
        self::assertSame(1, DB::table('personal_access_tokens')->count());
        self::assertStringNotContainsString(
            explode('|', $token)[1], (string) json_encode(DB::table('personal_access_tokens')->get()),
        );
        $this->get('/integrations')->assertOk()->assertSee('Wall display')->assertSee('gardens:read, due:read')
            ->assertSee('expires in 90 days')->assertSee('never used');
        $this->app->make('auth')->forgetGuards();
        $this->asked($token, '/gardens')->assertOk();
        $this->asked($token, '/logs')->assertForbidden();
        $id = DB::table('personal_access_tokens')->value('id');
        $this->actingAs($this->planner())->delete("/integrations/tokens/$id")->assertRedirect();
        $this->app->make('auth')->forgetGuards();
        $this->asked($token, '/gardens')->assertUnauthorized();
        self::assertSame(['token-made', 'token-used', 'token-ended'], DB::table('security_events')
            ->where('kind', 'like', 'token%')->orderBy('id')->pluck('kind')->all());
    }

    /** Work on the wisteria, logged with 35 minutes. */
    private function record(): int
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())->put("/tasks/$task->id/log", [
            'outcome' => 'done', 'minutes' => 35, 'note' => 'Größe "gut"', 'findings' => ['dead-wood'],
        ])->assertSessionHasNoErrors();
        $this->app->make('auth')->forgetGuards();

        return $task->visit_id;
    }

    /** @param  list<TokenScope>  $scopes */
    private function token(array $scopes = [], ?User $by = null): string
    {
        return ($by ?? $this->planner())->createToken('Test', array_map(
            static fn (TokenScope $scope): string => $scope->value, $scopes === [] ? TokenScope::cases() : $scopes,
        ), Carbon::now()->addDays(90))->plainTextToken;
    }

    /**
     * @param  array<string, string>  $headers
     * @return TestResponse<Response>
     */
    private function asked(string $token, string $path, array $headers = []): TestResponse
    {
        $this->app->make('auth')->forgetGuards();

        return $this->get("/api/v1$path", ['Authorization' => "Bearer $token", ...$headers]);
    }

    private static function isOfMany(string $uri): bool
    {
        return ! str_contains($uri, '{');
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        return (array) json_decode((string) file_get_contents(public_path('openapi.json')), true);
    }

    /** @return list<array<string, mixed>> */
    private static function parameters(string $path): array
    {
        $document = self::document();

        return array_map(static fn (array $each): array => isset($each['$ref'])
            ? $document['components']['parameters'][basename($each['$ref'])] : $each,
            $document['paths'][$path]['get']['parameters']);
    }

    /** @param  TestResponse<Response>  $answer */
    private function assertDescribed(string $path, int $status, TestResponse $answer): void
    {
        $answer->assertHeader('Content-Type', 'application/json');
        $document = json_decode((string) file_get_contents(public_path('openapi.json')));
        $at = ['paths', $path, 'get', 'responses', (string) $status];
        $described = self::at($document, $at);
        if (isset($described->{'$ref'})) {
            $at = array_slice(explode('/', $described->{'$ref'}), 1);
        }
        $pointer = implode('/', array_map(
            static fn (string $part): string => rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $part)),
            [...$at, 'content', 'application/json', 'schema'],
        ));
        $validator = new Validator();
        $validator->resolver()?->registerRaw((string) json_encode($document), 'https://hook.test/openapi.json');
        $result = $validator->validate(
            json_decode((string) $answer->getContent()), "https://hook.test/openapi.json#/$pointer",
        );
        $error = $result->error();
        self::assertNull($error, $error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error)));
    }

    /** @param  list<string>  $path */
    private static function at(mixed $document, array $path): object
    {
        foreach ($path as $part) {
            self::assertIsObject($document);
            $document = $document->{$part} ?? self::fail("$part is not described");
        }
        self::assertIsObject($document);

        return $document;
    }
}
