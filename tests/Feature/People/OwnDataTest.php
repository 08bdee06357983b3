<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\ClientWord;
use App\Ground\Models\Entry;
use App\Ground\Models\Letter;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\User;
use App\Ground\Models\WorkLog;
use App\People\OwnData;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Tests\Feature\FeatureTestCase;

/** What is kept about people: they take it away, and are forgotten by name. */
final class OwnDataTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        config(['mail.default' => 'post', 'app.url' => 'http://localhost']);
    }

    public function test_every_column_that_names_a_person_is_known(): void
    {
        $named = [];
        foreach (array_column(Schema::getTables(schema: Schema::getCurrentSchemaName()), 'name') as $table) {
            foreach (Schema::getForeignKeys($table) as $key) {
                if ($key['foreign_table'] === 'users') {
                    $named[$table][] = $key['columns'][0];
                }
            }
        }
        // Which forms were sent is kept for thirty days, and nothing of what stood in them.
        unset($named['sent_forms']);
        // Only people have tokens, though their table could hold others'.
        $named['personal_access_tokens'] = ['tokenable_id'];
        $sorted = static function (array $tables): array {
            ksort($tables);

            return array_map(static function (array $columns): array {
                sort($columns);

                return $columns;
            }, $tables);
        };
        self::assertSame($sorted($named), $sorted(OwnData::NAMED_IN));
    }

    public function test_everyone_downloads_what_is_kept_about_them_and_no_secret(): void
    {
        $hand = $this->hand();
        $this->post('/sign-in', ['email' => $hand->email, 'password' => 'secateurs']);
        $task = $this->visitTask();
        $task->visit->update(['crew_id' => $hand->crew_id]);
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20, 'note' => 'Grüße "&"'])
            ->assertSessionHasNoErrors();
        $this->get('/account')->assertSee('Download your data');
        $answer = $this->get('/account/data')->assertOk();
        self::assertStringContainsString('account.json', (string) $answer->headers->get('Content-Disposition'));
        $data = json_decode($answer->streamedContent(), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($data);
        self::assertSame($hand->email, $data['person']['email']);
        self::assertSame('Grüße "&"', $data['entries'][0]['body']['note']);
        self::assertSame([1, 1, 'computer'], [
            count($data['work_logs']), count($data['devices']), $data['devices'][0]['kind'],
        ]);
        foreach (['password', 'remember_token', 'session_version', 'code_secret'] as $secret) {
            self::assertArrayNotHasKey($secret, $data['person']);
        }
        self::assertSame('exported', SecurityEvent::query()->latest('id')->firstOrFail()->kind->value);
        auth()->forgetGuards();
        session()->flush();
        $other = $this->actingAs($this->lead())->get('/account/data')->streamedContent();
        self::assertStringNotContainsString('Gr', $other);
    }

    public function test_somebody_who_left_is_forgotten_by_name_and_the_record_stays(): void
    {
        $hand = $this->hand();
        $hand->update(['name' => 'Isolde Quarles']);
        [$name, $email] = [$hand->name, $hand->email];
        $task = $this->visitTask();
        $task->visit->update(['crew_id' => $hand->crew_id]);
        $this->post('/sign-in', ['email' => $email, 'password' => 'secateurs']);
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20])->assertSessionHasNoErrors();
        $planner = $this->planner();
        auth()->forgetGuards();
        session()->flush();
        $this->actingAs($planner)->post("/people/$hand->id/erase")->assertForbidden();
        $this->post("/people/$hand->id/sign-offs", ['recipe' => 'thin']);
        $this->post("/people/$hand->id/leave");
        $this->get('/people')->assertSee('Erase Isolde Quarles');
        self::assertTrue(Letter::query()->where('to', $email)->exists());
        $this->post("/people/$hand->id/erase")->assertRedirect('/people');
        $this->assertNowhere($name, $email);
        self::assertSame("Former hand $hand->id", $hand->refresh()->name);
        self::assertSame($hand->id, WorkLog::query()->sole()->logged_by);
        self::assertSame($hand->id, Entry::query()->sole()->said_by);
        $this->get('/people')->assertOk()->assertSee("Former hand $hand->id");
        $this->get('/changes')->assertOk();
        $this->get('/security')->assertOk()->assertSee('Personal data erased');
        auth()->logout();
        $this->post('/sign-in', ['email' => $email, 'password' => 'secateurs'])->assertSessionHasErrors('email');
    }

    public function test_a_client_who_asks_is_forgotten_and_the_garden_stays(): void
    {
        $this->actingAs($this->planner());
        $known = ['Orla Vanterpool', 'orla@vanterpool.test', '+44 7700 900123', 'Not before nine, please'];
        $this->garden->update([
            'client' => $known[0], 'client_email' => $known[1], 'client_phone' => $known[2], 'wishes' => $known[3],
        ]);
        $this->post("/gardens/{$this->garden->id}/letter")->assertSessionHasNoErrors();
        $letter = Letter::query()->where('channel', 'mail')->sole()->whole();
        $link = (string) preg_replace('~^.*(/client/\w{40}).*$~s', '$1', $letter);
        ClientWord::query()->create(['garden_id' => $this->garden->id, 'kind' => 'ask', 'says' => 'Robins in the box']);
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('Erase Orla Vanterpool');
        $this->post("/gardens/{$this->garden->id}/erase-client")->assertSessionHasNoErrors();
        $this->assertNowhere('Robins in the box', ...$known);
        self::assertSame([], Storage::disk('local')->allFiles('post'));
        $this->get("/gardens/{$this->garden->id}")->assertOk()->assertSee('Former client');
        $this->get('/changes')->assertOk();
        auth()->logout();
        $this->get($link)->assertNotFound();
    }

    /** In no table, and so in no backup that is made from now on. */
    private function assertNowhere(string ...$words): void
    {
        foreach (array_column(Schema::getTables(schema: Schema::getCurrentSchemaName()), 'name') as $table) {
            $rows = (string) json_encode(DB::table($table)->get(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            foreach ($words as $word) {
                self::assertStringNotContainsString($word, $rows, "$word in $table");
            }
        }
        self::assertGreaterThan(0, User::query()->count());
    }
}
