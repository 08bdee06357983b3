<?php

declare(strict_types=1);

namespace App\Io\Calendar;

use App\Ground\Models\Crew;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Support\OutsideLink;
use App\Ground\Support\Today;
use App\Io\Download;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use stdClass;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Visits as a calendar that any other reads (iCalendar, RFC 5545): each a day, since crews come when they come. */
final readonly class VisitCalendar
{
    /** Visits that are long over are in the record, not in calendars. */
    private const DAYS_BACK = 60;

    private const END = "END:VCALENDAR\r\n";

    /** Visits that are read and written at once. */
    private const AT_ONCE = 200;

    /** Names what wrote it. */
    private const BY = '-//Pruning Hook//Visits//EN';

    public function sent(Request $request, ?Crew $crew, ?Garden $garden): StreamedResponse
    {
        return Download::of(
            $request, 'visits.ics', 'text/calendar; charset=utf-8', fn () => $this->write($crew, $garden),
        );
    }

    /** Writes it out visit by visit: one of a large firm is never held at once. */
    private function write(?Crew $crew, ?Garden $garden): void
    {
        $calendar = new VCalendar(['PRODID' => self::BY, 'METHOD' => 'PUBLISH']);
        $calendar->add('X-WR-CALNAME', implode(', ', array_filter([
            Firm::ours()->name, $crew?->name, $garden?->name,
        ], is_string(...))));
        [$head, $foot] = explode(self::END, $calendar->serialize(), 2) + ['', ''];
        echo $head;
        $after = ['', 0];
        do {
            $visits = self::visits($crew, $garden, ...$after);
            $tasks = self::tasks($visits);
            foreach ($visits as $visit) {
                echo self::event($calendar, $visit, $tasks[$visit->id] ?? [])->serialize();
                $after = [$visit->on, (int) $visit->id];
            }
        } while (count($visits) === self::AT_ONCE);
        echo self::END, $foot;
    }

    /** @return list<stdClass> the next of them, by day and number */
    private static function visits(?Crew $crew, ?Garden $garden, string $on, int $id): array
    {
        $visits = DB::table('visits')
            ->join('gardens', 'gardens.id', '=', 'visits.garden_id')
            ->leftJoin('crews', 'crews.id', '=', 'visits.crew_id')
            ->where('visits.on', '>=', (string) Today::day()->minus(self::DAYS_BACK))
            ->orderBy('visits.on')
            ->orderBy('visits.id')
            ->limit(self::AT_ONCE);
        if ($on !== '') {
            $visits->where('visits.on', '>=', $on)->where(static fn (Builder $next) => $next
                ->where('visits.on', '>', $on)->orWhere('visits.id', '>', $id));
        }
        if ($crew !== null) {
            $visits->where('visits.crew_id', $crew->id);
        }
        if ($garden !== null) {
            $visits->where('visits.garden_id', $garden->id);
        }

        return array_values($visits->get([
            'visits.id', 'visits.on', 'visits.confirmed', 'visits.updated_at', 'gardens.name as garden',
            'gardens.address', 'gardens.latitude', 'gardens.longitude', 'crews.name as crew',
        ])->all());
    }

    /**
     * @param  list<stdClass>  $visits
     * @return array<int, list<string>> what is to be done, by visit
     */
    private static function tasks(array $visits): array
    {
        $says = [];
        $tasks = DB::table('visit_tasks')
            ->join('plants', 'plants.id', '=', 'visit_tasks.plant_id')
            ->whereIn('visit_tasks.visit_id', array_column($visits, 'id'))
            ->orderBy('visit_tasks.visit_id')
            ->orderBy('visit_tasks.position')
            // Of what was prescribed the name is enough: all of it is some thousand letters.
            ->get([
                'visit_tasks.visit_id', 'plants.label', 'visit_tasks.minutes', 'visit_tasks.prescribed->name as name',
            ]);
        foreach ($tasks as $task) {
            $says[(int) $task->visit_id][] = sprintf('%s: %s, about %d min', $task->label, $task->name, $task->minutes);
        }

        return $says;
    }

    /** The visit that goes by a name in calendars; null where it is none of ours. */
    public function visitOf(string $name): ?int
    {
        return preg_match('/^visit-([1-9]\d{0,17})@(.+)$/', $name, $parts) === 1 && $parts[2] === self::host()
            ? (int) $parts[1]
            : null;
    }

    private static function host(): string
    {
        $host = parse_url((string) config('app.url'), PHP_URL_HOST);

        return is_string($host) ? $host : 'localhost';
    }

    /** @param  list<string>  $tasks */
    private static function event(VCalendar $calendar, stdClass $visit, array $tasks): VEvent
    {
        $changed = Carbon::parse($visit->updated_at ?? Carbon::now())->toDateTimeImmutable()
            ->setTimezone(new DateTimeZone('UTC'));
        $on = Day::parse(substr((string) $visit->on, 0, 10));
        $event = $calendar->createComponent('VEVENT', [
            'UID' => sprintf('visit-%d@%s', $visit->id, self::host()),
            'DTSTAMP' => $changed, 'LAST-MODIFIED' => $changed,
            'SUMMARY' => sprintf('Pruning: %s', $visit->garden),
            'DESCRIPTION' => implode("\n", $tasks),
            'LOCATION' => $visit->address ?? $visit->garden,
            'GEO' => [(float) $visit->latitude, (float) $visit->longitude],
            'STATUS' => (bool) $visit->confirmed ? 'CONFIRMED' : 'TENTATIVE',
            'TRANSP' => 'TRANSPARENT',
            'URL' => OutsideLink::to(route('visits.show', $visit->id, false)),
        ]);
        assert($event instanceof VEvent);
        $event->add('DTSTART', self::day($on), ['VALUE' => 'DATE']);
        $event->add('DTEND', self::day($on->plus(1)), ['VALUE' => 'DATE']);
        if ($visit->crew !== null) {
            $event->add('CATEGORIES', [$visit->crew]);
        }

        return $event;
    }

    private static function day(Day $day): DateTimeImmutable
    {
        return new DateTimeImmutable((string) $day, new DateTimeZone('UTC'));
    }
}
