<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\LivingPlant;

/** The outline of what stands clothed all year: a hedge or a dome is seen as a mass before its wood is. */
final readonly class Mass
{
    /** @return list<Spot> round it; empty where nothing lives */
    public static function of(LivingPlant $plant, View $view): array
    {
        $points = [];
        foreach ($plant->places() as $id => $place) {
            $axis = $plant->axes[$id];
            if ($axis->isDead()) {
                continue;
            }
            $nodes = $axis->nodes();
            for ($node = 0; $node < $nodes; $node += 2) {
                $points[] = $view->project($place->node($node));
            }
            $points[] = $view->project($place->node($nodes - 1));
        }
        if (count($points) < 3) {
            return [];
        }
        sort($points);

        return [...self::half($points), ...self::half(array_reverse($points))];
    }

    /**
     * One side of the convex hull (Andrew's monotone chain, from memory), without its last point.
     *
     * @param  list<array{float, float, float}>  $points  along it
     * @return list<Spot>
     */
    private static function half(array $points): array
    {
        $hull = [];
        foreach ($points as [$x, $y]) {
            while (($count = count($hull)) > 1) {
                [$a, $b] = [$hull[$count - 2], $hull[$count - 1]];
                if (($b->x - $a->x) * ($y - $a->y) - ($b->y - $a->y) * ($x - $a->x) > 0) {
                    break;
                }
                array_pop($hull);
            }
            $hull[] = new Spot($x, $y);
        }

        return array_slice($hull, 0, -1);
    }
}
