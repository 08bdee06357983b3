<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ground\Models\BenchAnswer;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Change;
use App\Ground\Models\ClientWord;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Entry;
use App\Ground\Models\Feed;
use App\Ground\Models\Import;
use App\Ground\Models\Observation;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Photo;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\Webhook;
use App\Office\Reports\MakeReport;
use App\Office\Reports\ReportCalculator;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;

/** Every route for every role: who may see it, who may do it, and that guests are sent to sign in. */
final class RolesTest extends FeatureTestCase
{
    /** What each role gets from each route. Reads are open to all of the firm; writes are not. */
    private const ROUTES = [
        // name, method, planner, lead of the crew, lead of another, hand of the crew, hand of another
        ['season', 'get', 200, 200, 200, 200, 200],
        ['season.group', 'get', 200, 200, 200, 200, 200],
        ['search', 'get', 200, 200, 200, 200, 200],
        ['search.gardens', 'get', 200, 200, 200, 200, 200],
        ['round', 'get', 200, 200, 200, 200, 200],
        ['gardens.index', 'get', 200, 200, 200, 200, 200],
        ['gardens.show', 'get', 200, 200, 200, 200, 200],
        ['plants.show', 'get', 200, 200, 200, 200, 200],
        ['plants.record', 'get', 200, 200, 200, 200, 200],
        ['record', 'get', 200, 200, 200, 200, 200],
        ['record.compare', 'get', 200, 200, 200, 200, 200],
        ['visits.show', 'get', 200, 200, 200, 200, 200],
        ['frost', 'get', 200, 200, 200, 403, 403],
        ['site-year', 'get', 200, 200, 200, 403, 403],
        ['kinds.find', 'get', 200, 200, 200, 200, 200],
        ['gardens.labels', 'get', 200, 200, 200, 200, 200],
        ['gardens.archive', 'post', 302, 403, 403, 403, 403],
        ['gardens.erase-client', 'post', 302, 403, 403, 403, 403],
        ['gardens.back', 'post', 302, 403, 403, 403, 403],
        ['gardens.create', 'get', 200, 403, 403, 403, 403],
        ['gardens.store', 'post', 302, 403, 403, 403, 403],
        ['gardens.edit', 'get', 200, 200, 403, 403, 403],
        ['gardens.update', 'put', 302, 302, 403, 403, 403],
        ['plants.list', 'get', 200, 200, 403, 403, 403],
        ['plants.preview', 'post', 200, 200, 403, 403, 403],
        ['plants.plant', 'post', 302, 302, 403, 403, 403],
        ['gardens.plants.create', 'get', 200, 200, 403, 403, 403],
        ['gardens.plants.store', 'post', 302, 302, 403, 403, 403],
        ['plants.edit', 'get', 200, 200, 403, 403, 403],
        ['plants.update', 'put', 302, 302, 403, 403, 403],
        ['bloom.store', 'put', 302, 302, 403, 302, 403],
        ['plants.seen', 'put', 302, 302, 403, 302, 403],
        ['bloom.destroy', 'delete', 302, 302, 403, 302, 403],
        ['plants.drawing', 'get', 200, 200, 200, 200, 200],
        ['plants.courses', 'get', 200, 200, 200, 200, 200],
        ['plants.measure', 'put', 302, 302, 403, 403, 403],
        ['stems.show', 'get', 200, 200, 200, 200, 200],
        ['stems.update', 'put', 302, 302, 403, 302, 403],
        ['stems.undo', 'post', 302, 302, 403, 302, 403],
        ['stems.plan', 'post', 302, 302, 403, 302, 403],
        ['plants.destroy', 'delete', 302, 302, 403, 403, 403],
        ['plants.restore', 'post', 302, 302, 403, 403, 403],
        ['visits.create', 'get', 200, 200, 403, 403, 403],
        ['visits.preview', 'get', 200, 200, 403, 403, 403],
        ['visits.store', 'post', 302, 302, 403, 403, 403],
        ['visits.update', 'put', 302, 302, 403, 403, 403],
        ['visits.destroy', 'delete', 302, 302, 403, 403, 403],
        ['logs.store', 'put', 302, 302, 403, 302, 403],
        ['logs.destroy', 'delete', 302, 302, 403, 302, 403],
        ['entries.who', 'get', 200, 200, 200, 200, 200],
        // Whose visit it is, is asked of each entry and each photo by itself: EntriesTest.
        ['entries.store', 'post', 302, 302, 302, 302, 302],
        ['photos.store', 'post', 302, 302, 302, 302, 302],
        ['photos.show', 'get', 404, 404, 404, 404, 404],
        ['photos.destroy', 'delete', 200, 403, 403, 403, 403],
        ['observations.index', 'get', 200, 200, 200, 200, 200],
        ['observations.store', 'post', 302, 302, 403, 302, 403],
        ['observations.destroy', 'delete', 302, 302, 403, 302, 403],
        ['plant-book.index', 'get', 200, 200, 200, 200, 200],
        ['plant-book.show', 'get', 200, 200, 200, 200, 200],
        ['plant-book.anchors', 'get', 200, 200, 200, 200, 200],
        ['own-kinds.create', 'get', 200, 403, 403, 403, 403],
        ['own-kinds.store', 'post', 302, 403, 403, 403, 403],
        ['own-kinds.edit', 'get', 200, 403, 403, 403, 403],
        ['own-kinds.update', 'put', 302, 403, 403, 403, 403],
        ['own-kinds.destroy', 'delete', 302, 403, 403, 403, 403],
        ['own-kinds.restore', 'post', 302, 403, 403, 403, 403],
        ['own-kinds.undo', 'delete', 302, 403, 403, 403, 403],
        ['plan', 'get', 200, 200, 200, 200, 200],
        ['plan.cost', 'get', 200, 200, 403, 403, 403],
        ['plan.move', 'put', 302, 302, 403, 403, 403],
        ['plan.stand', 'put', 302, 302, 403, 403, 403],
        ['drafts.show', 'get', 200, 200, 200, 200, 200],
        ['drafts.store', 'post', 302, 403, 403, 403, 403],
        ['drafts.destroy', 'delete', 302, 403, 403, 403, 403],
        ['drafts.accept', 'put', 302, 403, 403, 403, 403],
        ['drafts.undo', 'post', 302, 403, 403, 403, 403],
        ['crews.index', 'get', 200, 200, 200, 200, 200],
        ['crews.create', 'get', 200, 403, 403, 403, 403],
        ['crews.store', 'post', 302, 403, 403, 403, 403],
        ['crews.edit', 'get', 200, 403, 403, 403, 403],
        ['crews.update', 'put', 302, 403, 403, 403, 403],
        ['crews.off', 'post', 302, 403, 403, 403, 403],
        ['crews.on', 'delete', 302, 403, 403, 403, 403],
        ['depot.update', 'put', 302, 403, 403, 403, 403],
        ['practice.edit', 'get', 200, 200, 200, 200, 200],
        ['practice.update', 'put', 302, 403, 403, 403, 403],
        ['bench', 'get', 200, 200, 200, 200, 200],
        ['bench.show', 'get', 200, 200, 200, 200, 200],
        ['bench.store', 'post', 302, 302, 302, 302, 302],
        ['bench.answer', 'get', 200, 200, 403, 403, 403],
        ['sign-offs.store', 'post', 302, 302, 403, 403, 403],
        ['sign-offs.destroy', 'delete', 302, 302, 403, 403, 403],
        ['changes', 'get', 200, 403, 403, 403, 403],
        ['security', 'get', 200, 403, 403, 403, 403],
        ['retention', 'get', 200, 403, 403, 403, 403],
        ['retention.update', 'put', 302, 403, 403, 403, 403],
        // Whose change it is decides: HistoryTest.
        ['changes.undo', 'post', 302, 403, 403, 403, 403],
        ['people.index', 'get', 200, 200, 200, 200, 200],
        ['people.create', 'get', 200, 403, 403, 403, 403],
        ['people.store', 'post', 302, 403, 403, 403, 403],
        ['people.edit', 'get', 200, 403, 403, 403, 403],
        ['people.update', 'put', 302, 403, 403, 403, 403],
        // Whoever has not come in yet, may leave or is to be brought back: PeopleTest.
        ['people.again', 'post', 403, 403, 403, 403, 403],
        ['people.leave', 'post', 302, 403, 403, 403, 403],
        ['people.back', 'post', 403, 403, 403, 403, 403],
        ['people.erase', 'post', 403, 403, 403, 403, 403],
        ['post', 'get', 200, 403, 403, 403, 403],
        ['reports', 'get', 200, 403, 403, 403, 403],
        ['reports.store', 'post', 302, 403, 403, 403, 403],
        ['reports.table', 'get', 200, 403, 403, 403, 403],
        ['letters.show', 'get', 200, 200, 403, 403, 403],
        ['letters.send', 'post', 302, 302, 403, 403, 403],
        ['letters.shut', 'delete', 302, 302, 403, 403, 403],
        ['reports.show', 'get', 200, 200, 403, 403, 403],
        ['unplaced', 'get', 200, 403, 403, 403, 403],
        ['unplaced.update', 'put', 302, 403, 403, 403, 403],
        ['unplaced.destroy', 'delete', 302, 403, 403, 403, 403],
        ['words.heard', 'put', 302, 302, 403, 403, 403],
        ['files', 'get', 200, 403, 403, 403, 403],
        ['files.store', 'post', 302, 403, 403, 403, 403],
        ['files.show', 'get', 200, 403, 403, 403, 403],
        ['files.accept', 'put', 302, 403, 403, 403, 403],
        ['files.back', 'post', 302, 403, 403, 403, 403],
        ['files.destroy', 'delete', 302, 403, 403, 403, 403],
        ['feeds.store', 'post', 302, 403, 403, 403, 403],
        ['feeds.destroy', 'delete', 302, 403, 403, 403, 403],
        ['export', 'get', 200, 403, 403, 403, 403],
        ['export.firm', 'get', 200, 403, 403, 403, 403],
        ['export.logs', 'get', 200, 403, 403, 403, 403],
        ['export.calendar', 'get', 200, 403, 403, 403, 403],
        ['export.places', 'get', 200, 403, 403, 403, 403],
        ['account', 'get', 200, 200, 200, 200, 200],
        ['account.update', 'put', 302, 302, 302, 302, 302],
        ['account.password', 'put', 302, 302, 302, 302, 302],
        ['account.keys', 'put', 302, 302, 302, 302, 302],
        ['account.end', 'delete', 404, 404, 404, 404, 404],
        ['account.everywhere', 'post', 302, 302, 302, 302, 302],
        ['account.data', 'get', 200, 200, 200, 200, 200],
        // Planners have none: PinTest.
        ['account.pin', 'put', 403, 302, 302, 302, 302],
        ['account.pin.remove', 'delete', 302, 302, 302, 302, 302],
        ['account.code', 'post', 302, 302, 302, 302, 302],
        // Nothing is set up: SecondStepTest.
        ['account.code.confirm', 'put', 403, 403, 403, 403, 403],
        ['account.code.remove', 'delete', 302, 302, 302, 302, 302],
        ['people.code', 'put', 302, 403, 403, 403, 403],
        ['people.code.lift', 'delete', 302, 403, 403, 403, 403],
        ['integrations', 'get', 200, 403, 403, 403, 403],
        ['tokens.store', 'post', 302, 403, 403, 403, 403],
        ['tokens.destroy', 'delete', 302, 403, 403, 403, 403],
        ['webhooks.store', 'post', 302, 403, 403, 403, 403],
        ['webhooks.update', 'put', 302, 403, 403, 403, 403],
        ['webhooks.test', 'post', 302, 403, 403, 403, 403],
        ['webhooks.destroy', 'delete', 302, 403, 403, 403, 403],
        ['logout', 'post', 302, 302, 302, 302, 302],
    ];

    /** What each role gets from each of these with a token of its own. */
    private const FOR_PROGRAMS = [
        // name, planner, lead, hand
        ['api.gardens', 200, 401, 401],
        ['api.garden', 200, 401, 401],
        ['api.plants', 200, 401, 401],
        ['api.plant', 200, 401, 401],
        ['api.due', 200, 401, 401],
        ['api.visits', 200, 401, 401],
        ['api.visit', 200, 401, 401],
        ['api.logs', 200, 401, 401],
        ['api.hours', 200, 401, 401],
    ];

    private const FOR_GUESTS = [
        'change-person', 'change-person.in', 'client', 'policy-report', 'client.say', 'client.report', 'client.photo',
        'offline', 'login', 'login.code',
        'login.answer', 'welcome', 'feed',
        'password.request', 'password.email', 'password.reset', 'password.update',
    ];

    /** @param  array{string, string, int, int, int, int, int}  $row */
    #[DataProvider('routes')]
    public function test_each_role_gets_what_it_may(array $row): void
    {
        [$name, $method] = $row;
        foreach (
            [$this->planner(), $this->lead(), $this->lead(false), $this->hand(), $this->hand(false)] as $index => $user
        ) {
            Visit::query()->delete();
            Plant::withTrashed()->find($this->wisteria->id)?->restore();
            $status = $this->actingAs($user)->call(strtoupper($method), $this->address($name))->getStatusCode();
            self::assertSame($row[2 + $index], $status, "$name for {$user->role->value} number $index");
        }
    }

    /** @param  array{string, string, int, int, int, int, int}  $row */
    #[DataProvider('routes')]
    public function test_guests_are_sent_to_sign_in(array $row): void
    {
        $this->call(strtoupper($row[1]), $this->address($row[0]))->assertRedirect('/sign-in');
    }

    /** @return iterable<string, array{array{string, string, int, int, int, int, int}}> */
    public static function routes(): iterable
    {
        foreach (self::ROUTES as $row) {
            yield $row[0] => [$row];
        }
    }

    public function test_programs_read_with_a_planners_token_alone(): void
    {
        $tokens = array_map(
            static fn (User $who): string => $who->createToken('Test', ['*'], Carbon::now()->addDay())->plainTextToken,
            [$this->planner(), $this->lead(), $this->hand()],
        );
        foreach (self::FOR_PROGRAMS as $row) {
            [$name] = $row;
            Visit::query()->delete();
            $address = $this->address($name);
            $this->getJson($address)->assertUnauthorized();
            foreach ($tokens as $index => $token) {
                $this->app->make('auth')->forgetGuards();
                $status = $this->getJson($address, ['Authorization' => "Bearer $token"])->getStatusCode();
                self::assertSame($row[1 + $index], $status, "$name, token $index");
            }
        }
    }

    public function test_no_route_is_forgotten_here(): void
    {
        $named = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if ($route->getName() !== null) {
                $named[] = $route->getName();
            }
        }
        $known = [
            ...array_column(self::ROUTES, 0), ...array_column(self::FOR_PROGRAMS, 0), ...self::FOR_GUESTS,
        ];
        sort($named);
        sort($known);
        self::assertSame($known, array_values(array_unique($named)));
    }

    public function test_signed_in_people_are_not_asked_to_sign_in(): void
    {
        $this->actingAs($this->hand())->get('/sign-in')->assertRedirect('/round');
        $this->actingAs($this->planner())->get('/forgotten')->assertRedirect('/');
    }

    private function change(): int
    {
        $this->garden->update(['notes' => 'Changed at '.uniqid()]);

        $last = (int) Change::query()->max('id');
        Change::query()->whereKey($last)->update(['user_id' => null]);

        return $last;
    }

    private function address(string $name): string
    {
        $needs = Route::getRoutes()->getByName($name)?->parameterNames() ?? [];
        $visit = in_array('visit', $needs, true) ? $this->visit() : null;
        $task = in_array('task', $needs, true) ? $this->visitTask() : null;

        $seen = in_array('observation', $needs, true)
            ? Observation::query()->updateOrCreate(
                ['garden_id' => $this->garden->id, 'event' => 'forsythia-bloom', 'season' => 2027],
                ['on' => '2027-03-10'],
            )
            : null;

        $note = in_array('note', $needs, true)
            ? BloomNote::query()->updateOrCreate(
                ['plant_id' => $this->wisteria->id, 'season' => 2027],
                ['flowering_height_mm' => 2000],
            )
            : null;
        $draft = in_array('draft', $needs, true)
            ? PlanDraft::query()->create([
                'status' => 'ready', 'from' => '2027-02-21', 'to' => '2027-03-20', 'revision' => 1, 'seconds' => 1,
                'stay' => 0,
            ])
            : null;
        $off = in_array('off', $needs, true)
            ? CrewDayOff::query()->firstOrCreate(['crew_id' => $this->crew->id, 'on' => '2027-02-24', 'why' => 'ill'])
            : null;
        $version = in_array('version', $needs, true)
            ? OwnKind::query()->create(['kind' => 'lilac', 'entry' => ['vigour' => 'weak'], 'note' => 'Shade.'])
            : null;

        $photo = in_array('photo', $needs, true)
            ? Photo::query()->create([
                'uuid' => Str::uuid()->toString(), 'visit_task_id' => $this->visitTask()->id, 'moment' => 'before',
                'taken_at' => Carbon::now(), 'width' => 2, 'height' => 1, 'bytes' => 80,
            ])
            : null;

        if ($name === 'reports.table') {
            (new MakeReport(2027))->handle($this->app->make(ReportCalculator::class));
        }
        $person = in_array('person', $needs, true) || in_array('answer', $needs, true)
            || in_array('sign_off', $needs, true) ? $this->hand() : null;
        $signOff = in_array('sign_off', $needs, true) && $person !== null
            ? SignOff::query()->create(['user_id' => $person->id, 'method' => 'spur-back', 'on' => '2027-02-01'])
            : null;
        $answer = in_array('answer', $needs, true) && $person !== null
            ? BenchAnswer::query()->create([
                'user_id' => $person->id, 'case_key' => 'first-forsythia', 'seed' => 1, 'kind' => 'forsythia',
                'task' => 'after-flowering', 'method' => 'renew-by-thirds', 'level' => 1, 'cuts' => 'x',
                'day' => '2027-05-01', 'score' => 0,
                'mark' => ['found' => 0, 'kept' => 100, 'taken' => 0, 'remarks' => []],
            ])
            : null;

        return route(
            $name,
            array_intersect_key(
                [
                    'garden' => $this->garden->id,
                    // None of theirs, whoever asks.
                    'device' => 999_999,
                    'plant' => $this->wisteria->id,
                    'photo' => $photo?->uuid,
                    'visit' => $visit?->id,
                    'task' => $task?->id,
                    'observation' => $seen?->id,
                    'kind' => 'lilac',
                    'group' => (string) $this->garden->id,
                    'version' => $version?->id,
                    'note' => $note?->id,
                    'draft' => $draft?->id,
                    'crew' => $this->crew->id,
                    'off' => $off?->id,
                    'case' => 'first-forsythia',
                    'person' => $person?->id,
                    'sign_off' => $signOff?->id,
                    'answer' => $answer?->id,
                    'of' => $name === 'reports.table' ? 'windows' : 'plants',
                    'season' => 2027,
                    'entry' => in_array('entry', $needs, true)
                        ? Entry::query()->create([
                            'uuid' => Str::uuid()->toString(), 'kind' => 'log', 'body' => ['outcome' => 'done'],
                            'said_at' => Carbon::now(), 'unplaced' => ['visit' => 1, 'task' => 1, 'because' => ''],
                        ])->id
                        : null,
                    'word' => in_array('word', $needs, true)
                        ? ClientWord::query()->create(['garden_id' => $this->garden->id, 'kind' => 'ask'])->id
                        : null,
                    'import' => in_array('import', $needs, true)
                        ? Import::query()->create(['of' => 'plants', 'name' => 'a.csv', 'status' => Import::READ])->id
                        : null,
                    'access_token' => in_array('access_token', $needs, true)
                        ? $this->planner()->createToken('Test')->accessToken->id
                        : null,
                    'webhook' => in_array('webhook', $needs, true)
                        ? Webhook::query()->create(['url' => 'https://x.example', 'secret' => 'a', 'events' => []])->id
                        : null,
                    'feed' => in_array('feed', $needs, true)
                        ? Feed::query()->create(['digest' => uniqid()])->id
                        : null,
                    // Made by nobody of these.
                    'change' => in_array('change', $needs, true) ? $this->change() : null,
                ],
                array_flip($needs),
            ) + match ($name) {
                'frost' => ['latitude' => 52, 'longitude' => -2, 'elevation_m' => 90],
                'plants.preview' => ['list' => 'lilac'],
                'reports.store' => ['season' => 2027],
                'site-year' => ['latitude' => 52, 'longitude' => -2, 'elevation_m' => 90, 'last_frost' => '04-22',
                    'first_frost' => '10-28'],
                'plan.cost' => ['on' => '2027-02-25', 'crew' => $this->crew->id],
                default => [],
            },
        );
    }
}
