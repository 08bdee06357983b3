<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Place;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Units\Length;

/**
 * A living plant from the south, to scale, in mm: x to the east of its foot, y up. Every axis is a tapering limb, toned
 * by the age of its wood; what a cut takes is told apart; flowers stand where they will.
 */
final readonly class Portrait
{
    /** A limb is drawn through so many points at the most: an arch needs a few. */
    private const POINTS = 6;

    /** More flowers than that are drawn as every second one, or every third. */
    private const FLOWERS = 160;

    /** Thinner than that nothing is drawn, so that twigs can be seen. */
    private const THINNEST = 3.0;

    /**
     * @param  list<Limb>  $limbs  the farthest first
     * @param  list<Spot>  $flowers
     * @param  non-empty-list<Mark>  $measure  heights above the ground
     */
    private function __construct(
        public int $width,
        public int $height,
        public array $limbs,
        public array $flowers,
        public ?int $flowersMm,
        public array $measure,
        public string $says,
    ) {
    }

    /**
     * @param  int  $widthMm  of the picture
     * @param  int  $heightMm  of the picture: the same for all that stand side by side
     */
    public static function of(Stage $stage, int $widthMm, int $heightMm): self
    {
        $plant = $stage->plant;
        $flowersMm = $stage->bloom !== null && $stage->bloom->flowers > 0.0 ? $stage->bloom->heightMm : null;

        return new self(
            $widthMm, $heightMm, self::limbs($plant, $stage->left), self::flowers($stage), $flowersMm,
            Elevation::measure($heightMm), self::inWords($stage, $flowersMm),
        );
    }

    /** How far a plant reaches to either side of its foot, in mm. */
    public static function reach(LivingPlant $plant): int
    {
        $reach = 0.0;
        foreach ($plant->places() as $id => $place) {
            $nodes = $plant->axes[$id]->nodes();
            $reach = max(
                $reach, abs($plant->pointOf($place, $nodes - 1)[0]), abs($plant->pointOf($place, intdiv($nodes, 2))[0]),
            );
        }

        return (int) ceil($reach);
    }

    /** @return list<Limb> */
    private static function limbs(LivingPlant $plant, ?LivingPlant $left): array
    {
        $pipes = $plant->pipes();
        $limbs = [];
        if ($plant->kind->habit->trunkMm > 0) {
            $thick = LivingPlant::thickness(array_sum(array_intersect_key($pipes, $plant->stems())));
            $limbs[] = [0.0, new Limb(self::taper(
                [[0.0, 0.0], [0.0, (float) $plant->kind->habit->trunkMm]], $thick, 0.9 * $thick,
            ), 'old', false)];
        }
        foreach ($plant->places() as $id => $place) {
            $axis = $plant->axes[$id];
            $stays = $left === null ? $axis->nodes() : (($left->axes[$id] ?? null)?->nodes() ?? 0);
            foreach (self::pieces($plant, $axis, $stays) as [$from, $to, $wood, $goes]) {
                $limbs[] = [$place->y, self::limb($axis, $place, $pipes[$id], $from, $to, $wood, $goes)];
            }
        }
        // What stands farther to the north is drawn first.
        usort($limbs, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($limbs, 1);
    }

    /**
     * An axis in pieces of one age that all stay or all go.
     *
     * @return list<array{int, int, 'new'|'last'|'old'|'dead', bool}> first node, the one after the last, wood, and
     *     whether it goes
     */
    private static function pieces(LivingPlant $plant, Axis $axis, int $stays): array
    {
        $pieces = [];
        $from = 0;
        foreach ($axis->grown as $season => $nodes) {
            $wood = match (true) {
                ($axis->buds[$from] ?? '') === Axis::DEAD => 'dead',
                $season === $plant->season => 'new',
                $season === $plant->season - 1 => 'last',
                default => 'old',
            };
            $to = $from + $nodes;
            $last = array_key_last($pieces);
            $cut = max($from, min($to, $stays));
            foreach ([[$from, $cut, false], [$cut, $to, true]] as [$begin, $end, $goes]) {
                if ($end <= $begin) {
                    continue;
                }
                if ($last !== null && $pieces[$last][2] === $wood && $pieces[$last][3] === $goes) {
                    $pieces[$last][1] = $end;
                } else {
                    $pieces[] = [$begin, $end, $wood, $goes];
                    $last = array_key_last($pieces);
                }
            }
            $from = $to;
        }

        return $pieces;
    }

    /** @param  'new'|'last'|'old'|'dead'  $wood */
    private static function limb(
        Axis $axis,
        Place $place,
        int $pipes,
        int $from,
        int $to,
        string $wood,
        bool $goes,
    ): Limb {
        $foot = $place->node($from - 1);
        $line = [[$foot[0], $foot[2]]];
        $steps = min(self::POINTS, $to - $from);
        for ($step = 1; $step <= $steps; $step++) {
            $at = $place->node($from + ($to - $from) * $step / $steps - 1);
            $line[] = [$at[0], $at[2]];
        }
        // From its foot to its tip it thins as its pipes leave it.
        $thick = static fn (int $node): float => LivingPlant::thickness(
            (int) max(1, round($pipes * (1 - $node / max(1, $axis->nodes())))),
        );

        return new Limb(self::taper($line, $thick($from), $thick($to)), $wood, $goes);
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @return non-empty-list<Spot>
     */
    private static function taper(array $line, float $foot, float $tip): array
    {
        $there = $back = [];
        $last = count($line) - 1;
        foreach ($line as $index => [$x, $y]) {
            [$beforeX, $beforeY] = $line[max(0, $index - 1)];
            [$afterX, $afterY] = $line[min($last, $index + 1)];
            $length = max(0.001, hypot($afterX - $beforeX, $afterY - $beforeY));
            $half = max(self::THINNEST, $foot + ($tip - $foot) * $index / max(1, $last)) / 2;
            [$outX, $outY] = [-($afterY - $beforeY) / $length * $half, ($afterX - $beforeX) / $length * $half];
            $there[] = new Spot($x + $outX, $y + $outY);
            $back[] = new Spot($x - $outX, $y - $outY);
        }

        return [...$there, ...array_reverse($back)];
    }

    /** @return list<Spot> */
    private static function flowers(Stage $stage): array
    {
        $at = $stage->bloom->at ?? [];
        $every = max(1, (int) ceil(count($at) / self::FLOWERS));
        $places = $stage->plant->places();
        $flowers = [];
        foreach ($at as $index => [$axis, $node]) {
            // Flowers of the other half of its year are not there now.
            if ($index % $every === 0 && isset($places[$axis]) && $node < $stage->plant->axes[$axis]->nodes()) {
                [$x, , $y] = $stage->plant->pointOf($places[$axis], $node);
                $flowers[] = new Spot($x, $y);
            }
        }

        return $flowers;
    }

    private static function inWords(Stage $stage, ?int $flowersMm): string
    {
        $says = sprintf(
            '%d stems, %s tall', count($stage->plant->stems()), Length::ofMm($stage->plant->heightMm())->metric(),
        );
        if ($stage->left !== null) {
            $gone = count($stage->plant->stems()) - count($stage->left->stems());
            $says .= sprintf('; %s go, and it is left %s tall', $gone === 0 ? 'no whole stems' : (
                $gone === 1 ? 'one stem' : "$gone stems"
            ), Length::ofMm($stage->left->heightMm())->metric());
        }

        return $flowersMm === null
            ? $says
            : sprintf('%s; its flowers stand about %s', $says, Length::ofMm($flowersMm)->metric());
    }
}
