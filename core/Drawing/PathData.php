<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/**
 * Shapes of a picture as SVG's path data, y down, in grains of so many mm: with no more points, and no finer figures,
 * than the eye makes out, so that a phone with a weak signal need not fetch them. Points are told from the one before;
 * whoever draws it scales it by `grainMm`.
 */
final readonly class PathData
{
    /** What a line may be off, and the grain of the figures, as parts of a hundredth of the picture's longer side. */
    private const OFF = 0.12;

    private const GRAIN = 0.08;

    public float $grainMm;

    private float $offMm;

    /** @param  float  $unitMm  a hundredth of the picture's longer side */
    public function __construct(float $unitMm)
    {
        $this->offMm = self::OFF * $unitMm;
        $this->grainMm = round(self::GRAIN * $unitMm, 3);
    }

    /** @param  list<non-empty-list<Spot>>  $outlines  each there and back again, as a limb is drawn */
    public function closed(array $outlines): string
    {
        return implode('', array_map(function (array $outline): string {
            $half = max(1, intdiv(count($outline), 2));

            return $this->line([
                ...$this->thinned(array_slice($outline, 0, $half)), ...$this->thinned(array_slice($outline, $half)),
            ]).'Z';
        }, $outlines));
    }

    /** @param  non-empty-list<Spot>  $line */
    public function open(array $line): string
    {
        return $this->line($this->thinned($line));
    }

    /**
     * @param  list<Spot>  $at
     * @param  float  $radiusMm  of each
     */
    public function dots(array $at, float $radiusMm): string
    {
        $r = max(1, (int) round($radiusMm / $this->grainMm));
        $around = sprintf('a%1$d %1$d 0 1 0 %2$d 0a%1$d %1$d 0 1 0-%2$d 0', $r, 2 * $r);

        return implode('', array_map(function (Spot $spot) use ($r, $around): string {
            [$x, $y] = $this->place($spot);

            return 'M'.($x - $r).self::next($y).$around;
        }, $at));
    }

    /**
     * Flowers, each a star of four points.
     *
     * @param  list<Spot>  $at
     * @param  float  $radiusMm  of each
     */
    public function stars(array $at, float $radiusMm): string
    {
        $short = max(1, (int) round(0.3 * $radiusMm / $this->grainMm));
        $long = max(1, (int) round(0.7 * $radiusMm / $this->grainMm));
        $around = sprintf(
            'l%1$d %2$d %2$d %1$d-%2$d %1$d-%1$d %2$d-%1$d-%2$d-%2$d-%1$d %2$d-%1$dZ', $short, $long,
        );

        return implode('', array_map(function (Spot $spot) use ($short, $long, $around): string {
            [$x, $y] = $this->place($spot);

            return "M$x".self::next($y - $short - $long).$around;
        }, $at));
    }

    /**
     * @param  list<Tick>  $ticks
     * @param  float  $halfMm  of each on either side
     */
    public function ticks(array $ticks, float $halfMm): string
    {
        return implode('', array_map(function (Tick $tick) use ($halfMm): string {
            $x = $halfMm * cos(deg2rad($tick->angle));
            $y = $halfMm * sin(deg2rad($tick->angle));

            return $this->line([
                new Spot($tick->at->x - $x, $tick->at->y + $y), new Spot($tick->at->x + $x, $tick->at->y - $y),
            ]);
        }, $ticks));
    }

    /** @param  list<Spot>  $points */
    private function line(array $points): string
    {
        $path = '';
        $x = $y = 0;
        foreach ($points as $nth => $point) {
            [$toX, $toY] = $this->place($point);
            if ($nth === 0) {
                $path = "M$toX".self::next($toY);
            } elseif ($toX !== $x || $toY !== $y) {
                $path .= (str_contains($path, 'l') ? self::next($toX - $x) : 'l'.($toX - $x)).self::next($toY - $y);
            }
            [$x, $y] = [$toX, $toY];
        }

        return $path;
    }

    /** @return array{int, int} in grains, y down */
    private function place(Spot $spot): array
    {
        return [(int) round($spot->x / $this->grainMm), (int) round(-$spot->y / $this->grainMm)];
    }

    /** A minus sign parts two figures by itself. */
    private static function next(int $figure): string
    {
        return $figure < 0 ? (string) $figure : " $figure";
    }

    /**
     * Without the points that lie on the line between others (Ramer, Douglas and Peucker, 1972 and 1973).
     *
     * @param  list<Spot>  $points
     * @return list<Spot>
     */
    private function thinned(array $points): array
    {
        $last = count($points) - 1;
        if ($last < 2) {
            return $points;
        }
        [$from, $to] = [$points[0], $points[$last]];
        $length = hypot($to->x - $from->x, $to->y - $from->y);
        [$most, $at] = [0.0, 0];
        for ($nth = 1; $nth < $last; $nth++) {
            [$x, $y] = [$points[$nth]->x - $from->x, $points[$nth]->y - $from->y];
            $off = $length > 0.0
                ? abs(($to->x - $from->x) * $y - ($to->y - $from->y) * $x) / $length
                : hypot($x, $y);
            [$most, $at] = $off > $most ? [$off, $nth] : [$most, $at];
        }

        return $most <= $this->offMm ? [$from, $to] : [
            ...array_slice($this->thinned(array_slice($points, 0, $at + 1)), 0, -1),
            ...$this->thinned(array_slice($points, $at)),
        ];
    }
}
