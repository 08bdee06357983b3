<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** A place where nobody gardens, at a pole or out at sea: questioned once, with what was probably meant. */
final readonly class PlaceDoubt
{
    /** Nearer to a pole nothing is grown out of doors. */
    private const POLAR = 72.0;

    /** What is meant lies so near to a station. */
    private const NEAR_KM = 400;

    /** @return ?string null where nothing is odd */
    public static function of(float $latitude, float $longitude, Stations $stations): ?string
    {
        $here = self::place($latitude, $longitude);
        $nearest = $stations->nearest($here);
        $km = (int) round($nearest->site->kilometresTo($here));
        if ($km <= Stations::FAR_KM && abs($latitude) < self::POLAR) {
            return null;
        }
        $meant = self::meant($latitude, $longitude, $stations);

        return sprintf(
            '%s: the nearest place whose year is known is %s, %s km away.%s',
            abs($latitude) >= self::POLAR ? 'That is near a pole' : 'That is out at sea, or far from any garden',
            $nearest->name, number_format($km), $meant ?? ' Is a figure slipped?',
        );
    }

    /** With a sign turned, or the two the other way round. */
    private static function meant(float $latitude, float $longitude, Stations $stations): ?string
    {
        $best = null;
        $least = self::NEAR_KM;
        foreach ([
            [$latitude, -$longitude], [-$latitude, $longitude], [-$latitude, -$longitude], [$longitude, $latitude],
        ] as [$north, $east]) {
            if (abs($north) > self::POLAR || abs($east) > 180) {
                continue;
            }
            $there = self::place($north, $east);
            $station = $stations->nearest($there);
            $km = (int) round($station->site->kilometresTo($there));
            if ($km < $least) {
                $least = $km;
                $best = sprintf(' Did you mean %s, %s, %d km from %s?', $north, $east, $km, $station->name);
            }
        }

        return $best;
    }

    private static function place(float $latitude, float $longitude): Site
    {
        return new Site($latitude, $longitude, 0, null, null, WinterClass::Warm);
    }
}
