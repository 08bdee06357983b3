<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use ArrayObject;
use PruningHook\Core\Fault;

/** The stations that ship, and what they lend to places between them. */
final readonly class Stations
{
    /** Farther from any station there is sea, ice or desert, or a sign has slipped. */
    public const FAR_KM = 1500;

    /** @var ArrayObject<string, Station> the nearest, by place: a page asks for the same few again */
    private ArrayObject $known;

    /** @param  array<string, Station>  $all  by name */
    private function __construct(public array $all)
    {
        /** @var ArrayObject<string, Station> $known */
        $known = new ArrayObject;
        $this->known = $known;
    }

    /**
     * @param  list<Station>  $stations
     *
     * @throws Fault when there is none
     */
    public static function of(array $stations): self
    {
        return $stations === []
            ? throw new Fault('no station is given')
            : new self(array_column(
                array_map(static fn (Station $station): array => [$station->name, $station], $stations), 1, 0,
            ));
    }

    /** @throws Fault when there is no such station */
    public function named(string $name): Station
    {
        return $this->all[$name] ?? throw new Fault(sprintf('there is no station "%s"', $name));
    }

    public function nearest(Site $to): Station
    {
        return $this->known["$to->latitude $to->longitude"] ??= $this->find($to);
    }

    private function find(Site $to): Station
    {
        $best = null;
        $least = INF;
        foreach ($this->all as $station) {
            $km = $station->site->kilometresTo($to);
            if ($km < $least) {
                [$best, $least] = [$station, $km];
            }
        }

        return $best ?? throw new Fault('no station is given');
    }

    /**
     * A place with a year of its own: measured where somebody has, otherwise carried from the nearest station.
     *
     * @throws Fault as `Site` does
     */
    public function site(GivenSite $given): Site
    {
        if ($given->measured === null) {
            // As far as its distance from the stations goes.
            $place = new Site(
                $given->latitude, $given->longitude, $given->elevationM, null, null, WinterClass::Warm,
            );
            $climate = Climate::carried($this->nearest($place), $place, $given->lastFrost);
        } else {
            $climate = Climate::measured($given->measured);
        }

        return new Site(
            $given->latitude, $given->longitude, $given->elevationM, $given->lastFrost, $given->firstFrost,
            $given->winter, $given->region, $climate,
        );
    }

    /**
     * An event as an author gives it: `05-20 at Oxford`, or an edge that hangs on an anchor.
     *
     * @throws Fault when it is neither
     */
    public function event(string $text): Edge|ThermalDate
    {
        return preg_match('/^(\d\d-\d\d) at (.+)$/', trim($text), $part) === 1
            ? ThermalDate::at($this->named($part[2]), MonthDay::parse($part[1]))
            : Edge::parse($text);
    }
}
