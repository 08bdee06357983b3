<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\StateFacts;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Crew;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\OwnKind;
use App\Ground\Models\OwnKindsChanged;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/** Watches every change that what is kept rests on, and says what goes stale by it. */
final readonly class Watch
{
    /** What of a garden its year rests on, and its neighbours' words of its signs. */
    private const SITE = [
        'latitude', 'longitude', 'elevation_m', 'last_frost', 'first_frost', 'winter', 'normals', 'region',
        'name',
    ];

    public static function start(): void
    {
        self::plants();
        self::work();
        self::knowledge();
        self::gardens();
        self::signs();
    }

    private static function plants(): void
    {
        Plant::saving(static function (Plant $plant): void {
            $plant->own_practice = $plant->practice !== [];
            self::date($plant);
        });
        self::on(
            Plant::class,
            static fn (Plant $plant) => self::inGardens($plant->garden_id, $plant->getOriginal('garden_id')),
        );
        self::on(BloomNote::class, static fn (BloomNote $note) => self::ofPlant($note->plant_id));
    }

    private static function work(): void
    {
        WorkLog::saving(static function (WorkLog $log): void {
            // The rain that was read came after another day.
            if ($log->isDirty('on')) {
                $log->rain_mm = null;
            }
        });
        self::on(WorkLog::class, static function (WorkLog $log): void {
            Visit::recount(DB::table('visit_tasks')->where('id', $log->visit_task_id)->value('visit_id'));
            VisitTask::stand($log->visit_task_id);
            self::ofPlant($log->plant_id);
        });
        foreach ([Visit::class, Crew::class, CrewDayOff::class] as $planned) {
            self::on($planned, static fn () => Revisions::plan());
        }
    }

    private static function knowledge(): void
    {
        self::on(OwnKind::class, static fn (OwnKind $own) => self::all(
            static fn () => Revisions::kind($own->kind),
        ));
        Event::listen(OwnKindsChanged::class, static fn (OwnKindsChanged $changed) => self::all(
            static fn () => Revisions::kind($changed->kind),
        ));
        Firm::saved(self::firm(...));
    }

    private static function gardens(): void
    {
        Garden::saving(static function (Garden $garden): void {
            $garden->own_practice = $garden->practice !== [];
        });
        Garden::created(
            static fn (Garden $garden) => self::all(static fn () => app(SignsToWeigh::class)->moved($garden, null)),
        );
        Garden::updated(static fn (Garden $garden) => self::garden($garden));
    }

    private static function signs(): void
    {
        Observation::saving(static function (Observation $sign): void {
            if ($sign->isDirty(['garden_id', 'event', 'on', 'season'])) {
                // Known once it has been weighed.
                $sign->late_days = null;
            }
        });
        self::on(
            Observation::class,
            static fn (Observation $sign) => self::all(
                static fn () => app(SignsToWeigh::class)->noted($sign->garden, $sign->season),
            ),
        );
    }

    private static function firm(Firm $firm): void
    {
        $before = $firm->wasRecentlyCreated ? [] : json_decode((string) $firm->getRawOriginal('practice', '{}'), true);
        $before = is_array($before) ? $before : [];
        $turned = array_keys(array_filter(
            $before + $firm->practice,
            static fn (string $question): bool => ($before[$question] ?? '') !== ($firm->practice[$question] ?? ''),
            ARRAY_FILTER_USE_KEY,
        ));
        if ($turned !== []) {
            self::all(static fn () => Revisions::practice($turned));
            app(SeenRevision::class)->again();
        }
    }

    private static function garden(Garden $garden): void
    {
        if ($garden->wasChanged(self::SITE)) {
            self::all(
                static fn () => app(SignsToWeigh::class)->moved($garden, [
                    (float) $garden->getOriginal('latitude'),
                    (float) $garden->getOriginal('longitude'),
                ]),
            );
        }
        if ($garden->wasChanged([...self::SITE, 'practice', 'archived_on'])) {
            self::inGardens($garden->id);
        }
    }

    /** A measure is dated by the day it is given, so that the record since can be taken into account. */
    public static function date(Plant $plant): void
    {
        foreach (['stems_on' => ['stems_old', 'stems_young'], 'height_on' => ['height_mm']] as $day => $measures) {
            if ($plant->isDirty($measures) && ! $plant->isDirty($day)) {
                $given = array_filter($plant->only($measures), static fn (mixed $measure): bool => $measure !== null);
                $plant->setAttribute($day, $given === [] ? null : Today::day());
            }
        }
        $passing = array_intersect_key($plant->state, array_flip(StateFacts::PASSING));
        $before = (array) json_decode((string) ($plant->getRawOriginal('state') ?? '{}'), true);
        if (
            $passing !== array_intersect_key($before, array_flip(StateFacts::PASSING))
            && ! $plant->isDirty('state_on')
        ) {
            $plant->setAttribute('state_on', $passing === [] ? null : Today::day());
        }
    }

    private static function ofPlant(int $plant): void
    {
        self::inGardens(DB::table('plants')->where('id', $plant)->value('garden_id'));
    }

    private static function inGardens(mixed ...$ids): void
    {
        self::all(static fn () => Revisions::gardens(...array_map(intval(...), array_filter($ids, is_numeric(...)))));
    }

    /** Within the request that changed something, nothing remembered of before holds any more. */
    private static function all(callable $say): void
    {
        $say();
        app(CorePlants::class)->forget();
    }

    /**
     * @param  class-string<Model>  $model
     * @param  callable  $changed  given the row
     */
    private static function on(string $model, callable $changed): void
    {
        $model::saved($changed);
        $model::deleted($changed);
    }
}
