<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\Fault;

/** Grows a plant from its first season, as nobody has cut it. */
final readonly class Raising
{
    /** Roots of what was just planted, of a grown plant's. Common practice. */
    private const YOUNG_ROOTS = 0.25;

    /** More seasons say nothing more of how it stands. */
    private const MOST = 40;

    /** Of one axis. */
    private const MOST_NODES = 600;

    /**
     * @param  int  $seasons  it has stood, 1 for one that has grown for a season
     * @param  int  $last  the season it has grown last
     * @param  string  $seed  the same for the same plant
     *
     * @throws Fault for a plant that has not grown yet, or for longer than can be told
     */
    public static function of(GrowthKind $kind, int $seasons, int $last, string $seed): LivingPlant
    {
        if ($seasons < 1 || $seasons > self::MOST) {
            throw new Fault(sprintf('a plant is raised for 1 to %d seasons, not %d', self::MOST, $seasons));
        }
        $plant = self::seedling($kind, $last - $seasons, $seed);
        for ($season = 0; $season < $seasons; $season++) {
            $plant = Year::of($plant)->plant;
        }

        return $plant;
    }

    /**
     * A plant as its stems were surveyed, bare of laterals: those grow from it. One of no length is no stem.
     *
     * @param  list<array{azimuth_deg: float, lean_deg: float, length_mm: int, age_years: ?int,
     *     from_azimuth_deg?: ?float}>  $stems
     * @param  int  $season  the last that has grown
     *
     * @throws Fault where no stem stands, or one is longer than can be drawn
     */
    public static function fromStems(GrowthKind $kind, array $stems, int $season, string $seed): LivingPlant
    {
        if ($stems === []) {
            throw new Fault('no stem was surveyed, so there is nothing to grow on from');
        }
        $axes = [];
        foreach ($stems as $id => $stem) {
            $nodes = max(1, (int) round($stem['length_mm'] / $kind->habit->internodeMm));
            if ($nodes > self::MOST_NODES) {
                throw new Fault(sprintf('a stem of %d mm is longer than such a kind grows', $stem['length_mm']));
            }
            $age = max(1, min($stem['age_years'] ?? 1, $nodes));
            $grown = [];
            for ($year = 0; $year < $age; $year++) {
                // The nodes a season made: as many in each, what is left over in the first.
                $grown[$season - $age + 1 + $year] = intdiv($nodes, $age) + ($year === 0 ? $nodes % $age : 0);
            }
            $axes[$id] = new Axis(
                $id, null, $kind->habit->base($id), $stem['azimuth_deg'], $stem['lean_deg'], 0,
                $kind->habit->internodeMm, $grown,
                str_repeat(Axis::LIVE, $nodes), fromDeg: $stem['from_azimuth_deg'] ?? null,
            );
        }
        $laid = new LivingPlant(
            $kind, $season, $axes, count($axes), 1.0, 0, $seed, $stems[0]['azimuth_deg'],
        );

        return new LivingPlant(
            $kind, $season, $axes, $laid->next, 1.0, $laid->living(), $seed, $laid->facesDeg,
        );
    }

    /** A few stems of a hand's breadth: what a nursery sends. */
    private static function seedling(GrowthKind $kind, int $season, string $seed): LivingPlant
    {
        $habit = $kind->habit;
        $onWires = $habit->wireMm !== null;
        // What is trained is laid out as it is to be, in the plane of its wall.
        $isLaid = $onWires || $habit->hangs();
        $stems = $isLaid ? $habit->stems : min($habit->dense ? intdiv($habit->stems, 2) : 3, $habit->stems);
        $faces = $onWires ? 0 : crc32($seed) % 360;
        $nodes = max(2, intdiv($kind->shootNodes, 4));
        $axes = [];
        for ($id = 0; $id < $stems; $id++) {
            // A hanging head is even all round: one that sets out level beside one that rises first.
            $half = intdiv($id, 2);
            $rank = $habit->hangs() ? ($id % 2 === 0 ? $half : $stems - 1 - $half) : $id;
            $axes[$id] = new Axis(
                $id, null, $habit->base($id),
                fmod($faces + ($onWires ? ($id % 2 === 0 ? 90 : 270) : 360 * $id / $stems), 360),
                $isLaid || $habit->dense
                    ? $habit->lean[1] - ($habit->lean[1] - $habit->lean[0]) * $rank / max(1, $stems - 1)
                    : ($habit->lean[0] + $habit->lean[1]) / 2, 0, $habit->internodeMm, [$season => $nodes],
                str_repeat(Axis::LIVE, $nodes),
            );
        }

        return new LivingPlant(
            $kind, $season, $axes, $stems, self::YOUNG_ROOTS, 0, $seed, (float) $faces,
        );
    }
}
