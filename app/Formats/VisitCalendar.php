<?php

declare(strict_types=1);

namespace App\Formats;

use App\Models\Crew;
use App\Models\Firm;
use App\Models\Garden;
use App\Models\Visit;
use App\Models\VisitTask;
use App\Support\OutsideLink;
use App\Support\Today;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Carbon;
use PruningHook\Core\Calendar\Day;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** Visits as a calendar that any other reads (iCalendar, RFC 5545): each a day, since crews come when they come. */
final readonly class VisitCalendar
{
    /** Visits that are long over are in the record, not in calendars. */
    private const DAYS_BACK = 60;

    private const MOST = 2000;

    /** Names what wrote it. */
    private const BY = '-//Pruning Hook//Visits//EN';

    public function of(?Crew $crew, ?Garden $garden): string
    {
        $visits = Visit::query()->with(['garden', 'crew', 'tasks.plant']);
        $visits->where('on', '>=', (string) Today::day()->minus(self::DAYS_BACK))->orderBy('on')->limit(self::MOST);
        if ($crew !== null) {
            $visits->where('crew_id', $crew->id);
        }
        if ($garden !== null) {
            $visits->where('garden_id', $garden->id);
        }
        $calendar = new VCalendar(['PRODID' => self::BY, 'METHOD' => 'PUBLISH']);
        $calendar->add('X-WR-CALNAME', implode(', ', array_filter([
            Firm::ours()->name, $crew?->name, $garden?->name,
        ], is_string(...))));
        foreach ($visits->get() as $visit) {
            $this->add($calendar, $visit);
        }

        return $calendar->serialize();
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

    private function add(VCalendar $calendar, Visit $visit): void
    {
        $changed = self::utc($visit->updated_at);
        $event = $calendar->createComponent('VEVENT', [
            'UID' => sprintf('visit-%d@%s', $visit->id, self::host()),
            'DTSTAMP' => $changed, 'LAST-MODIFIED' => $changed,
            'SUMMARY' => sprintf('Pruning: %s', $visit->garden->name),
            'DESCRIPTION' => implode("\n", $visit->tasks->map(static fn (VisitTask $task): string => sprintf(
                '%s: %s, about %d min', $task->plant->label, $task->prescribed->name, $task->minutes,
            ))->all()),
            'LOCATION' => $visit->garden->address ?? $visit->garden->name,
            'GEO' => [$visit->garden->latitude, $visit->garden->longitude],
            'STATUS' => $visit->confirmed ? 'CONFIRMED' : 'TENTATIVE',
            'TRANSP' => 'TRANSPARENT',
            'URL' => OutsideLink::to(route('visits.show', $visit, false)),
        ]);
        assert($event instanceof VEvent);
        $event->add('DTSTART', self::day($visit->on), ['VALUE' => 'DATE']);
        $event->add('DTEND', self::day($visit->on->plus(1)), ['VALUE' => 'DATE']);
        if ($visit->crew !== null) {
            $event->add('CATEGORIES', [$visit->crew->name]);
        }
        $calendar->add($event);
    }

    private static function day(Day $day): DateTimeImmutable
    {
        return new DateTimeImmutable((string) $day, new DateTimeZone('UTC'));
    }

    private static function utc(?Carbon $moment): DateTimeImmutable
    {
        return ($moment ?? Carbon::now())->toDateTimeImmutable()->setTimezone(new DateTimeZone('UTC'));
    }
}
