<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Device;
use App\Support\Today;
use DateTimeZone;
use Illuminate\Console\Scheduling\CallbackEvent;
use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;

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
            ['backup', 'old pictures', 'old devices', 'heartbeat', 'what is due'], array_keys($this->events()),
        );
        self::assertArrayHasKey('backup', Artisan::all());
        foreach (array_diff_key($this->events(), ['heartbeat' => 1, 'what is due' => 1]) as $event) {
            self::assertSame(Today::zone()->getName(), self::zone($event));
        }
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
