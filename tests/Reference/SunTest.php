<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Sun;

/** Sunrise and sunset against npm's suncalc and a published table. */
final class SunTest extends TestCase
{
    private const DAYS = [
        '2027-01-05', '2027-03-20', '2027-05-01', '2027-06-21', '2027-08-14', '2027-09-23', '2027-11-11',
        '2027-12-21', '2028-02-29',
    ];

    private const PLACES = [
        [52.2, -2.4], [0.0, 0.0], [25.0, -80.2], [60.0, 25.0], [-34.0, 151.0], [-46.0, 170.5], [38.6, -90.2],
        [45.0, 141.0],
    ];

    public function test_it_agrees_with_suncalc_within_two_minutes(): void
    {
        $script =
            'import("suncalc").then(m => { const get = m.getTimes ?? m.default.getTimes; const out = []; for (const '
                .'[day, lat, lng] of JSON.parse(process.argv[1])) { const t = get(new Date(day + "T12:00:00Z"), '
                    .'lat, lng); const min = d => (d - new Date(day + "T00:00:00Z")) / 60000; '
                        .'out.push([min(t.sunrise), min(t.sunset)]); } console.log(JSON.stringify(out)); })';
        $asked = [];
        foreach (self::DAYS as $day) {
            foreach (self::PLACES as [$latitude, $longitude]) {
                $asked[] = [$day, $latitude, $longitude];
            }
        }
        exec(
            sprintf(
                'cd %s && node -e %s %s', escapeshellarg(dirname(__DIR__, 2)), escapeshellarg($script),
                escapeshellarg(json_encode($asked, JSON_THROW_ON_ERROR)),
            ),
            $lines,
            $code,
        );
        self::assertSame(0, $code);
        /** @var list<array{float, float}> $theirs */
        $theirs = json_decode($lines[0], true, flags: JSON_THROW_ON_ERROR);
        self::assertCount(count($asked), $theirs);
        foreach ($asked as $index => [$day, $latitude, $longitude]) {
            $ours = Sun::on(Day::parse($day), $latitude, $longitude);
            // suncalc picks the noon nearest to the moment asked for, which east of 90 degrees may be a day off ours.
            self::assertEqualsWithDelta(
                0, self::apart($theirs[$index][0], $ours->rise), 2, "$day at $latitude, $longitude: rise",
            );
            self::assertEqualsWithDelta(
                0, self::apart($theirs[$index][1], $ours->set), 2, "$day at $latitude, $longitude: set",
            );
        }
    }

    public function test_greenwich_at_midsummer(): void
    {
        // HM Nautical Almanac Office, London, 21 June: rise 04:43, set 21:21 British Summer Time (from memory).
        $sun = Sun::on(Day::parse('2027-06-21'), 51.5, -0.1);
        self::assertEqualsWithDelta(3 * 60 + 43, $sun->rise, 2);
        self::assertEqualsWithDelta(20 * 60 + 21, $sun->set, 2);
    }

    public function test_beyond_the_polar_circle_the_sun_stays_up_or_down(): void
    {
        self::assertSame(1440, Sun::on(Day::parse('2027-06-21'), 70, 25)->daylight);
        self::assertSame(0, Sun::on(Day::parse('2027-12-21'), 70, 25)->daylight);
    }

    /** Minutes between two times of day, whichever day they fall on. */
    private static function apart(float $theirs, int $ours): float
    {
        $apart = fmod(abs($theirs - $ours), 1440);

        return min($apart, 1440 - $apart);
    }
}
