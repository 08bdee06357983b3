<?php

declare(strict_types=1);

namespace App\Io\Calendar;

use App\Ground\Support\Today;
use Generator;
use PruningHook\Core\Fault;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;

/** The events of a calendar (iCalendar, RFC 5545), each a line: its name, its day by the firm's clock, what of it. */
final readonly class CalendarFile
{
    public const COLUMNS = ['uid', 'day', 'status', 'repeats', 'summary'];

    /** Read whole: the visits of three years of a large firm are less. */
    private const LARGEST = 4_000_000;

    private function __construct(private VCalendar $calendar)
    {
    }

    /** @throws Fault for what is no calendar */
    public static function open(string $path): self
    {
        if (filesize($path) > self::LARGEST) {
            throw new Fault('the calendar is larger than 4 MB: export only the visits that moved');
        }
        try {
            $calendar = Reader::read((string) file_get_contents($path), Reader::OPTION_FORGIVING);
        } catch (ParseException $thrown) {
            throw new Fault('this is no calendar: '.lcfirst(rtrim($thrown->getMessage(), '.')));
        }

        return $calendar instanceof VCalendar
            ? new self($calendar)
            : throw new Fault('this is no calendar: save it from the calendar program as iCalendar');
    }

    /** @return Generator<int, array<string, string>> cells by column, by the number of the event, from 1 */
    public function rows(): Generator
    {
        foreach (array_values($this->calendar->select('VEVENT')) as $index => $event) {
            if ($event instanceof VEvent) {
                yield $index + 1 => array_combine(self::COLUMNS, [
                    self::text($event, 'UID'), self::day($event), strtoupper(self::text($event, 'STATUS')),
                    $event->select('RRULE') === [] && $event->select('RDATE') === [] ? '' : 'yes',
                    self::text($event, 'SUMMARY'),
                ]);
            }
        }
    }

    private static function text(VEvent $event, string $property): string
    {
        $found = $event->select($property);

        return trim(mb_scrub((string) reset($found)));
    }

    /** Empty where it has none that can be read. */
    private static function day(VEvent $event): string
    {
        $found = $event->select('DTSTART');
        $begins = reset($found);
        try {
            return $begins instanceof DateTime
                ? $begins->getDateTime(Today::zone())->setTimezone(Today::zone())->format('Y-m-d')
                : '';
        } catch (InvalidDataException) {
            return '';
        }
    }
}
