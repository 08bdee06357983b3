<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\ClientWord;
use App\Ground\Models\Firm;
use App\Ground\Models\Letter;
use App\Ground\Models\Photo;
use App\Ground\Models\User;
use App\Ground\Upkeep\Retained;
use App\Ground\Upkeep\Retention;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\Feature\FeatureTestCase;

/** What names people is kept for as long as the firm says, and no longer. */
final class RetentionTest extends FeatureTestCase
{
    /** Rows made on 10 January 2024 and on 10 January 2027, by kind. */
    private const TABLES = ['letters' => 'letters', 'questions' => 'client_words', 'photos' => 'photos',
        'versions' => 'changes', 'security' => 'security_events'];

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        Firm::query()->create(['name' => 'Ashgrove', 'practice' => []]);
        DB::table('changes')->delete();
    }

    public function test_what_is_older_than_the_firm_says_is_counted_then_erased(): void
    {
        foreach (['2024-01-10', '2027-01-10'] as $day) {
            $this->made($day);
        }
        $months = array_fill_keys(array_column(Retained::cases(), 'value'), 24);
        // One of each is three years old; nothing goes by being counted.
        self::assertSame(array_fill_keys(array_keys($months), 1), Retention::dryRun($months));
        $planner = $this->planner();
        $this->actingAs($planner)->get('/retention?'.http_build_query(['months' => $months]))->assertOk()
            ->assertSee('Not saved yet');
        self::assertSame(['letters' => 2, 'photos' => 2], [
            'letters' => Letter::query()->count(), 'photos' => Photo::query()->count(),
        ]);
        DB::table('changes')->where('of', 'person')->where('row_id', $planner->id)->delete();
        $this->put('/retention', ['months' => $months])->assertSessionHasNoErrors()
            ->assertSessionHas('said', 'Saved. Tonight 7 rows are erased for good; until then this can be undone.');
        DB::table('changes')->where('of', 'firm')->delete();
        $plants = DB::table('plants')->count();
        $this->artisan('retention', ['--dry-run' => true])->expectsOutput('letters: 1 would be erased')
            ->assertSuccessful();
        $this->artisan('retention')->expectsOutput('letters: 1 erased')->assertSuccessful();
        foreach (self::TABLES as $kind => $table) {
            $column = ['letters' => 'created_at', 'questions' => 'heard_at', 'photos' => 'taken_at'][$kind] ?? 'at';
            self::assertSame(0, DB::table($table)->where($column, '<', '2025-02-20')->count(), $kind);
            self::assertGreaterThan(0, DB::table($table)->where($column, 'like', '2027-01-10%')->count(), $kind);
        }
        self::assertSame(1, Storage::disk('local')->exists('photos') ? count(Storage::disk('local')->files('photos'))
            : 0);
        self::assertSame(
            ['Client of 2027-01-10', 'Former client'],
            DB::table('gardens')->whereNotNull('archived_on')->orderBy('client')->pluck('client')->all(),
        );
        self::assertSame(1, User::query()->where('email', 'like', 'former-%@invalid')->count());
        self::assertSame($plants, DB::table('plants')->count(), 'the record of the plants stays');
        // What is erased is not erased again.
        self::assertSame(0, array_sum(Retention::carryOut()));
    }

    public function test_until_somebody_says_otherwise_all_is_kept_but_the_security_log(): void
    {
        $this->made('2020-01-10');
        self::assertSame(['security' => 1], Retention::carryOut());
        $this->actingAs($this->planner())->put('/retention', ['months' => ['security' => '']])
            ->assertSessionHasNoErrors();
        self::assertSame([], array_filter(Retention::inForce()));
    }

    public function test_what_is_not_offered_is_refused_and_nothing_is_saved(): void
    {
        $this->actingAs($this->planner());
        foreach (['1', '-6', '7', 'x', '6.5'] as $odd) {
            $this->put('/retention', ['months' => ['letters' => $odd]])->assertSessionHasErrors('months.letters');
        }
        $this->put('/retention', ['months' => ['letters' => ['6']]])->assertSessionHasErrors('months.letters');
        $this->put('/retention')->assertSessionHasErrors('months');
        self::assertNull(Retention::inForce()['letters']);
        $this->get('/retention?months[letters]=7')->assertOk();
        $this->get('/retention?months=x')->assertOk();
    }

    /** One of each kind. */
    private function made(string $day): void
    {
        $at = Carbon::parse("$day 12:00:00");
        Letter::query()->forceCreate([
            'channel' => 'mail', 'to' => 'a@vane.test', 'subject' => 'Your garden', 'body' => 'Text',
            'created_at' => $at,
        ]);
        ClientWord::query()->forceCreate([
            'garden_id' => $this->garden->id, 'kind' => 'ask', 'says' => 'When?', 'heard_at' => $at,
            'created_at' => $at,
        ]);
        $photo = Photo::query()->create([
            'uuid' => (string) Str::uuid(), 'visit_task_id' => DB::table('visit_tasks')->value('id')
                ?? $this->visitTask()->id,
            'moment' => 'before', 'taken_at' => $at, 'width' => 2, 'height' => 1, 'bytes' => 5,
        ]);
        Storage::disk('local')->put($photo->path(), 'image');
        DB::table('changes')->insert(['of' => 'plant', 'row_id' => 1, 'did' => 'changed', 'label' => 'A plant',
            'before' => '{}', 'after' => '{}', 'at' => $at]);
        DB::table('security_events')->insert(['at' => $at, 'kind' => 'signed-in']);
        DB::table('gardens')->where('id', $this->garden->id)->update(['archived_on' => null]);
        $archived = $this->garden->replicate()->forceFill(['name' => "Gone $day", 'client' => "Client of $day"]);
        $archived->saveQuietly();
        DB::table('gardens')->where('id', $archived->id)->update(['archived_on' => $day]);
        $left = $this->hand();
        DB::table('users')->where('id', $left->id)->update(['left_on' => $day]);
        DB::table('changes')->where('of', '!=', 'plant')->delete();
    }
}
