<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\History\Undo;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** Every change is a version; undo brings the one before it back, and nobody saves over another unseen. */
final class HistoryTest extends FeatureTestCase
{
    public function test_where_nothing_was_done_there_is_no_way_back(): void
    {
        DB::table('changes')->where(['of' => 'garden', 'row_id' => $this->garden->id])->delete();
        self::assertNull(Undo::of($this->garden));
        $this->actingAs($this->planner());
        $this->garden->update(['name' => 'Changed']);
        $change = Change::query()->where(['of' => 'garden', 'row_id' => $this->garden->id])->sole();
        self::assertSame([route('changes.undo', $change->id), 'POST'], Undo::of($this->garden));
    }

    public function test_undo_of_a_changed_note_sign_or_log_brings_back_what_was_there(): void
    {
        $this->actingAs($this->hand());
        $plant = "/plants/{$this->wisteria->id}";
        $this->put("$plant/bloom", ['flowering_height_cm' => 180, 'score' => 4])->assertSessionHasNoErrors();
        $this->put("$plant/bloom", ['flowering_height_cm' => 150, 'regrowth' => 'rank']);
        $this->undo();
        $note = BloomNote::query()->sole();
        self::assertSame([1800, 4, null], [$note->flowering_height_mm, $note->score, $note->regrowth]);

        $sign = fn (string $on) => $this->post("/gardens/{$this->garden->id}/signs", [
            'event' => 'forsythia-bloom', 'on' => $on, 'sure' => 1,
        ])->assertSessionHasNoErrors();
        $sign('2027-02-10');
        $sign('2027-02-16');
        self::assertSame('2027-02-16', (string) Observation::query()->sole()->on);
        $this->undo();
        self::assertSame('2027-02-10', (string) Observation::query()->sole()->on);

        $task = $this->visitTask();
        $log = fn (int $minutes) => $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => $minutes]);
        $log(20);
        $log(45);
        $this->delete("/tasks/$task->id/log");
        self::assertSame(20, WorkLog::query()->sole()->minutes);
    }

    public function test_measures_come_back_to_the_millimetre_with_their_day(): void
    {
        $this->wisteria->forceFill(['height_mm' => 2347, 'height_on' => '2026-06-01'])->saveQuietly();
        $this->actingAs($this->lead())->put("/plants/{$this->wisteria->id}/measures", [
            'height_cm' => 260, 'sure' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame(2600, $this->wisteria->refresh()->height_mm);
        $this->undo();
        self::assertSame(
            [2347, '2026-06-01'],
            [$this->wisteria->refresh()->height_mm, (string) $this->wisteria->height_on],
        );
    }

    public function test_a_cancelled_visit_comes_back_with_its_tasks_and_a_moved_one_to_its_day(): void
    {
        $task = $this->visitTask();
        $task->update(['standing' => true]);
        $this->actingAs($this->lead())->put("/visits/$task->visit_id", [
            'on' => '2027-02-26', 'outside_reason' => 'So it was wished',
        ])->assertSessionHasNoErrors();
        $this->undo();
        $visit = Visit::query()->sole();
        self::assertSame(['2027-02-20', null], [(string) $visit->on, $visit->outside_reason]);
        $prescribed = $task->refresh()->getRawOriginal('prescribed');
        $this->delete("/visits/$visit->id");
        self::assertSame([0, 0], [Visit::query()->count(), VisitTask::query()->count()]);
        $this->undo();
        self::assertSame($visit->id, Visit::query()->sole()->id);
        $back = VisitTask::query()->sole();
        self::assertSame([$task->id, $prescribed, true], [
            $back->id, $back->getRawOriginal('prescribed'), $back->standing,
        ]);
    }

    public function test_what_has_changed_since_is_not_undone_and_nothing_is_undone_twice(): void
    {
        $this->actingAs($this->planner());
        $this->garden->update(['notes' => 'The gate sticks']);
        $first = Change::query()->latest('id')->firstOrFail();
        $this->garden->update(['notes' => 'The gate is mended']);
        $this->post("/changes/$first->id/undo")->assertSessionHasErrors([
            'undo' => 'Millrace House has changed since: notes is "The gate is mended" now.',
        ]);
        $last = Change::query()->latest('id')->firstOrFail();
        $this->post("/changes/$last->id/undo")->assertSessionHasNoErrors();
        self::assertSame('The gate sticks', $this->garden->refresh()->notes);
        $back = Change::query()->latest('id')->firstOrFail();
        self::assertSame([$back->id, Did::Changed], [$last->refresh()->undone_by, $back->did]);
        $this->post("/changes/$last->id/undo")->assertSessionHasErrors(['undo' => 'That was taken back before.']);
        // Whose change it was decides, and for how long.
        $mine = $this->lead();
        $this->actingAs($mine);
        $this->garden->update(['notes' => 'By the lead']);
        $theirs = Change::query()->latest('id')->firstOrFail();
        $this->actingAs($this->hand())->post("/changes/$theirs->id/undo")->assertForbidden();
        Carbon::setTestNow(Carbon::now()->addHours(25));
        $this->actingAs($mine)->post("/changes/$theirs->id/undo")->assertForbidden();
        Carbon::setTestNow();
    }

    public function test_what_others_stand_on_by_now_is_not_taken_out(): void
    {
        $this->actingAs($this->planner());
        $undo = fn (string $of) => $this->post('/changes/'.Change::query()->where('of', $of)
            ->where('did', Did::Made)->latest('id')->firstOrFail()->id.'/undo');
        $garden = Garden::factory()->create();
        Plant::factory()->create(['garden_id' => $garden->id])->delete();
        $undo('garden')->assertSessionHasErrors(['undo' => 'There are plants in it by now, or visits to it.']);
        $task = $this->visitTask();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20]);
        $undo('visit')->assertSessionHasErrors(['undo' => 'Work is logged on it by now.']);
        $undo('log')->assertSessionHasErrors(['undo' => 'That is taken back on its sheet.']);
        $undo('person')->assertSessionHasErrors(['undo' => 'That is taken back by the person.']);
        $undo('crew')->assertSessionHasErrors('undo');
        self::assertSame([2, 1, 1], [Garden::query()->count(), Visit::query()->count(), WorkLog::query()->count()]);
        $empty = Garden::factory()->create();
        $undo('garden')->assertSessionHasNoErrors();
        self::assertNull(Garden::query()->find($empty->id));
    }

    public function test_the_planner_sees_who_changed_what_and_finds_what_was_taken_out(): void
    {
        $lead = $this->lead();
        $this->actingAs($lead)->put("/plants/{$this->wisteria->id}/measures", ['height_cm' => 260, 'sure' => 1]);
        $rose = Plant::factory()->create(['garden_id' => $this->garden->id, 'label' => 'Rose 100% red']);
        $this->actingAs($planner = $this->planner())->delete("/plants/$rose->id");
        $see = fn (string $query) => $this->actingAs($planner)->get("/changes?$query")->assertOk();
        $see('')->assertSeeInOrder(['Rose 100% red', 'taken out', $lead->name, 'height:', '2.6 m']);
        $see('did=taken-out')->assertSee('Bring back')->assertDontSee('height:');
        $see('q=100%25+RED')->assertSee('Rose 100% red')->assertDontSee('height:');
        $see('q=100_')->assertDontSee('Rose 100% red');
        $see("who=$lead->id&of=plant")->assertSee('height:')->assertDontSee('taken out</td>', false);
        $see('did=changed&q=nothing')->assertSee('No change is like that.');
        $taken = Change::query()->where('did', Did::TakenOut)->latest('id')->firstOrFail();
        $this->post("/changes/$taken->id/undo")->assertSessionHas('said', 'Rose 100% red is back.');
        self::assertNotNull(Plant::query()->find($rose->id));
        // No secret is kept with a version.
        $planner->endSessions();
        $planner->update(['password' => 'three wet gloves', 'name' => 'Maren']);
        $kept = Change::query()->where('of', 'person')->latest('id')->firstOrFail();
        self::assertSame(['name' => 'Maren'], $kept->after);
        self::assertSame(0, Change::query()->where('after', 'like', '%password%')->count());
    }

    public function test_changes_are_read_in_pages_and_none_is_left_out_between_them(): void
    {
        Change::query()->delete();
        $this->actingAs($this->planner());
        Change::query()->delete();
        for ($time = 1; $time <= 41; $time++) {
            $this->garden->update(['notes' => "Note $time."]);
        }
        $page = $this->get('/changes')->assertOk()->assertSee('Note 41.')->assertDontSee('to &quot;Note 1.', false);
        self::assertSame(1, preg_match('/before=(\d+)/', (string) $page->getContent(), $before));
        $this->get("/changes?before=$before[1]")->assertOk()->assertSee('to &quot;Note 1.', false)
            ->assertDontSee('Note 2.')->assertDontSee('Earlier');
    }

    public function test_a_stale_form_shows_both_and_overwrites_nothing(): void
    {
        $form = "/gardens/{$this->garden->id}/edit";
        $this->actingAs($this->lead());
        $seen = $this->version($form);
        $facts = [
            ...$this->garden->only(['name', 'client', 'latitude', 'longitude', 'elevation_m', 'winter', 'crew_id']),
            'last_frost' => '04-20', 'first_frost' => '10-25', 'sure' => 1,
        ];
        $planner = $this->planner();
        $this->actingAs($planner)->put("/gardens/{$this->garden->id}", [
            ...$facts, 'notes' => 'Ring first', '_version' => $seen,
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->lead());
        $mine = [...$facts, 'notes' => 'The dog bites', '_version' => $seen];
        $this->from($form)->put("/gardens/{$this->garden->id}", $mine)->assertSessionHasErrors(['stale', 'notes']);
        $this->get($form)->assertSee('The dog bites')->assertSee($planner->name)
            ->assertSee('made this &quot;Ring first&quot;', false);
        self::assertSame('Ring first', Garden::query()->findOrFail($this->garden->id)->notes);
        // Whoever has seen both decides.
        $this->put("/gardens/{$this->garden->id}", [...$mine, '_version' => $this->version($form)])
            ->assertSessionHasNoErrors();
        self::assertSame('The dog bites', Garden::query()->findOrFail($this->garden->id)->notes);
        // Plants too, whose lengths are asked for in centimetres.
        $edit = "/plants/{$this->wisteria->id}/edit";
        $seen = $this->version($edit);
        $this->wisteria->update(['height_mm' => 2500]);
        $this->put("/plants/{$this->wisteria->id}", [
            'kind' => 'wisteria', 'label' => 'Wisteria', 'count' => 1, 'height_cm' => 240, '_version' => $seen,
            'sure' => 1,
        ])->assertSessionHasErrors(['stale', 'height_cm']);
        self::assertSame(2500, $this->wisteria->refresh()->height_mm);
    }

    public function test_measures_and_days_of_visits_are_not_saved_over_anothers_either(): void
    {
        $visit = $this->visitTask()->visit;
        $this->actingAs($this->lead());
        [$measured, $moved] = [
            $this->version("/plants/{$this->wisteria->id}"), $this->version("/visits/$visit->id"),
        ];
        $this->wisteria->update(['height_mm' => 2500]);
        $visit->update(['on' => '2027-02-23']);
        $this->put("/plants/{$this->wisteria->id}/measures", [
            'height_cm' => 240, 'sure' => 1, '_version' => $measured,
        ])->assertSessionHasErrors(['stale', 'height_cm']);
        $this->put("/visits/$visit->id", ['on' => '2027-02-24', 'outside_reason' => 'So', '_version' => $moved])
            ->assertSessionHasErrors(['stale', 'on']);
        self::assertSame([2500, '2027-02-23'], [
            $this->wisteria->refresh()->height_mm, (string) $visit->refresh()->on,
        ]);
    }

    public function test_hands_change_their_logs_for_a_set_number_of_days(): void
    {
        $task = $this->visitTask();
        $firm = Firm::ours();
        $firm->log_days = 5;
        $firm->save();
        $log = fn () => $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20]);
        config(['hook.today' => '2027-02-25']);
        $this->actingAs($this->hand());
        $log()->assertSessionHasNoErrors();
        config(['hook.today' => '2027-02-26']);
        $log()->assertForbidden();
        $this->delete("/tasks/$task->id/log")->assertForbidden();
        $this->actingAs($this->lead());
        $log()->assertSessionHasNoErrors();
        $this->actingAs($this->planner())->put('/depot', ['usual_travel' => 20, 'log_days' => 9000])
            ->assertSessionHasErrors('log_days');
        $this->put('/depot', ['usual_travel' => 20, 'log_days' => 30])->assertSessionHasNoErrors();
        self::assertSame(30, Firm::ours()->log_days);
    }

    private function version(string $form): string
    {
        $page = (string) $this->get($form)->getContent();
        self::assertSame(1, preg_match('/name="_version" value="(\d+)"/', $page, $is));

        return $is[1] ?? '';
    }

    private function undo(): void
    {
        $undo = session('undo');
        self::assertIsArray($undo);
        $this->call((string) $undo[1], (string) $undo[0])->assertSessionHasNoErrors();
    }
}
