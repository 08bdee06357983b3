<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\Device;
use App\Ground\Models\Import;
use App\Ground\Models\Photo;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\SetBackClock;
use App\Ground\Support\Today;
use DateTimeZone;
use Illuminate\Console\Scheduling\CallbackEvent;
use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Feature\FeatureTestCase;

/** What the scheduler does at night, by the firm's clock. */
final class NightlyWorkTest extends FeatureTestCase
{
    /** @return array<string, Event> by name */
    private function events(): array
    {
        // The schedule is read when a console starts; more than one may have started within a test.
        Artisan::all();
        $events = [];
        foreach ($this->app->make(Schedule::class)->events() as $event) {
            $command = preg_match("/artisan' (\\S+)/", (string) $event->command, $found) === 1 ? $found[1] : null;
            $events[$command ?? (string) $event->description] = $event;
        }

        return $events;
    }

    private static function zone(Event $event): string
    {
        return $event->timezone instanceof DateTimeZone ? $event->timezone->getName() : (string) $event->timezone;
    }

    public function test_each_night_a_backup_is_made_and_old_pictures_and_devices_go(): void
    {
        self::assertEqualsCanonicalizing(
            ['backup', 'old pictures', 'old devices', 'heartbeat', 'what is due', 'stray pictures', 'stray files',
                'retention', 'old client links', 'links in letters', 'sanctum:prune-expired', 'webhooks',
                'old webhook deliveries', 'old PINs'],
            array_keys($this->events()),
        );
        self::assertArrayHasKey('backup', Artisan::all());
        foreach (array_diff_key($this->events(), array_flip(['heartbeat', 'what is due', 'webhooks'])) as $event) {
            self::assertSame(Today::zone()->getName(), self::zone($event));
        }
    }

    /** Where clocks are put forward an hour of the night is missing: by the IANA time zone database, for ten years. */
    public function test_every_night_in_every_zone_has_the_hour_of_the_backup(): void
    {
        $at = 4 * 3600 + 40 * 60;
        self::assertSame('40 4 * * *', $this->events()['backup']->expression);
        $gaps = 0;
        foreach (timezone_identifiers_list() as $name) {
            $before = null;
            foreach ((new DateTimeZone($name))->getTransitions(1_767_225_600, 2_082_758_400) as $change) {
                if ($before !== null && $change['offset'] > $before) {
                    $gaps++;
                    $from = ($change['ts'] + $before) % 86_400;
                    self::assertFalse($from <= $at && $at < $from + $change['offset'] - $before, $name);
                }
                $before = $change['offset'];
            }
        }
        self::assertGreaterThan(500, $gaps);
    }

    public function test_a_clock_that_was_ahead_and_is_put_right_leaves_nothing_waiting_for_a_year(): void
    {
        $ahead = time() + 300 * 86_400;
        DB::table('jobs')->insert([
            'queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => $ahead, 'created_at' => $ahead,
        ]);
        $now = DB::table('jobs')->insertGetId([
            'queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => time() + 3600,
            'created_at' => time(), 'reserved_at' => $ahead,
        ]);
        Heartbeat::beat(Heartbeat::SCHEDULER);
        SetBackClock::mend();
        self::assertSame(2, DB::table('jobs')->where('available_at', '>', time())->count(), 'the clock was right');
        touch(Heartbeat::file(Heartbeat::SCHEDULER), $ahead);
        Cache::put('a limit', 1, 10);
        SetBackClock::mend();
        self::assertSame([$now], DB::table('jobs')->where('available_at', '>', time())->pluck('id')->all());
        self::assertNull(DB::table('jobs')->where('id', $now)->value('reserved_at'));
        self::assertNull(Cache::get('a limit'));
        self::assertNull(Heartbeat::since(Heartbeat::SCHEDULER));
    }

    public function test_pictures_without_a_line_go_after_a_day(): void
    {
        Storage::fake('local');
        $disk = Storage::disk('local');
        $task = $this->visitTask();
        $kept = Photo::query()->create([
            'uuid' => '11111111-1111-4111-8111-111111111111', 'visit_task_id' => $task->id, 'moment' => 'before',
            'taken_at' => Carbon::now(), 'width' => 4, 'height' => 3, 'bytes' => 9,
        ]);
        foreach (['1', '2', '3'] as $which) {
            $file = 'photos/'.str_replace('1', $which, $kept->uuid).'.jpg';
            $disk->put($file, 'a picture');
            $which === '3' || touch($disk->path($file), time() - 90_000);
        }
        Photo::forgetStray();
        self::assertSame([true, false, true], [
            $disk->exists($kept->path()), $disk->exists('photos/'.str_replace('1', '2', $kept->uuid).'.jpg'),
            $disk->exists('photos/'.str_replace('1', '3', $kept->uuid).'.jpg'),
        ]);
    }

    public function test_files_without_an_import_go_after_a_day(): void
    {
        $disk = Storage::fake('local');
        foreach (['old', 'new'] as $file) {
            $disk->put(Import::SENT."/$file.csv", 'garden,kind');
        }
        touch($disk->path(Import::SENT.'/old.csv'), time() - 90_000);
        Import::forgetStray();
        self::assertSame([Import::SENT.'/new.csv'], $disk->files(Import::SENT));
    }

    public function test_what_is_done_at_night_can_be_done(): void
    {
        $folder = storage_path('framework/pictures');
        is_dir($folder) || mkdir($folder, recursive: true);
        $old = "$folder/".bin2hex(random_bytes(8));
        touch($old, Carbon::now()->subDays(15)->getTimestamp());
        $young = "$folder/".bin2hex(random_bytes(8));
        touch($young, Carbon::now()->subDays(13)->getTimestamp());
        $person = $this->planner()->id;
        Device::query()->create(['user_id' => $person, 'kind' => 'phone', 'seen_at' => Carbon::now()->subYears(2)]);
        $kept = Device::query()->create(['user_id' => $person, 'kind' => 'phone', 'seen_at' => Carbon::now()]);
        foreach ($this->events() as $event) {
            if ($event instanceof CallbackEvent) {
                $event->run($this->app);
            }
        }
        self::assertFileDoesNotExist($old);
        self::assertFileExists($young);
        self::assertSame([$kept->id], Device::query()->pluck('id')->all());
        unlink($young);
    }
}
