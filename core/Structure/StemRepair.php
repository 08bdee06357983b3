<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** Smaller cuts on stems that stay: a fork to one leader, a lopped top to its best shoots. */
final readonly class StemRepair
{
    /** More shoots than this at a knuckle leave room for two. Common practice. */
    private const MANY = 3;

    public static function of(Stem $stem): ?string
    {
        return match (true) {
            $stem->has(StemFault::Lopped) => self::lopped($stem),
            $stem->has(StemFault::NarrowFork) => 'The fork is too narrow to hold: keep the better arm, take the '
                .'other out at the fork before it splits.',
            $stem->has(StemFault::Forked) => 'Forked where one leader is enough: keep the arm that carries on '
                .'outward, take the other out at the fork.',
            default => null,
        };
    }

    /** At a knuckle the best one or two shoots stay and the stub is shortened into them. */
    private static function lopped(Stem $stem): string
    {
        if ($stem->shoots === []) {
            return 'Lopped: at the knuckle keep the best one or two shoots, strong and outward, take the others '
                .'off, and shorten the stub into them.';
        }
        $best = array_slice(self::ranked($stem), 0, count($stem->shoots) > self::MANY ? 2 : 1);
        $gone = array_udiff($stem->shoots, $best, static fn (Shoot $a, Shoot $b): int => $a->ref <=> $b->ref);

        return $gone === []
            ? sprintf('Lopped: keep %s and shorten the stub into it.', self::names($best))
            : sprintf(
                'Lopped: at the knuckle keep %s, which go on the way the stem goes; take off %s, and shorten the '
                    .'stub into what stays.',
                self::names($best), self::names($gone),
            );
    }

    /** @param  array<int, Shoot>  $shoots */
    private static function names(array $shoots): string
    {
        return implode(' and ', array_map(static fn (Shoot $shoot): string => $shoot->ref, array_values($shoots)));
    }

    /** @return list<Shoot> those that carry on the stem's own way first, then the stronger */
    public static function ranked(Stem $stem): array
    {
        $shoots = $stem->shoots;
        usort(
            $shoots,
            static fn (Shoot $a, Shoot $b): int => [self::bend($stem, $a), -$a->baseMm, $a->ref] <=> [
                self::bend($stem, $b), -$b->baseMm, $b->ref,
            ],
        );

        return $shoots;
    }

    /** Whole steps of 30 degrees between the stem's way and the shoot's. */
    private static function bend(Stem $stem, Shoot $shoot): int
    {
        $cosine =
            cos(deg2rad($stem->leanDeg)) * cos(deg2rad($shoot->leanDeg)) +
            sin(deg2rad($stem->leanDeg)) *
                sin(deg2rad($shoot->leanDeg)) *
                cos(deg2rad($stem->azimuthDeg - $shoot->azimuthDeg));

        return (int) floor(rad2deg(acos(max(-1.0, min(1.0, $cosine)))) / 30 + 1e-6);
    }
}
