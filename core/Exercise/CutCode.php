<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Regrowth\TaskCuts;

/**
 * Cuts in their order as a short text that fits a link: `t5` takes axis 5 out, `h5-3` heads it above its fourth node,
 * `s5-2` shortens its laterals to two buds, `a2` those of all the plant, `d450` cuts all down to 450 mm, `r900` clears
 * its stems to 900 mm, `c30` clips the last growth to 30 mm, `x` takes out all that is dead; a dot between them.
 */
final readonly class CutCode
{
    /** More cuts than that nobody makes on one plant. */
    public const MOST = 120;

    /**
     * @param  list<Cut>  $cuts
     *
     * @throws Fault for a cut that the bench does not know
     */
    public static function of(array $cuts): string
    {
        // What is tied down is not cut.
        $cuts = array_filter($cuts, static fn (Cut $cut): bool => $cut->does !== 'lay');

        return implode('.', array_map(static fn (Cut $cut): string => match ($cut->does) {
            'thin' => "t$cut->axis",
            'head' => "h$cut->axis-$cut->node",
            'shorten' => $cut->axis === null ? "a$cut->buds" : "s$cut->axis-$cut->buds",
            'raise' => "r$cut->heightMm",
            'down' => "d$cut->heightMm",
            default => throw new Fault("a cut that is called $cut->does cannot be made on the bench"),
        }, $cuts));
    }

    /**
     * What is written, made on a plant cut by cut: what cannot be made is told and left out, the rest stands.
     *
     * @throws Fault for more cuts than anybody makes
     */
    public static function read(string $code, LivingPlant $plant): WrittenCuts
    {
        $parts = $code === '' ? [] : explode('.', $code);
        if (count($parts) > self::MOST) {
            throw new Fault(sprintf('a plant is cut in %d cuts at the most', self::MOST));
        }
        $steps = $faults = [];
        $left = $plant;
        foreach ($parts as $part) {
            try {
                $cuts = self::cuts($part, $left);
                $left = Cutting::of($left, $cuts)->plant;
                $steps[] = [$part, $cuts];
            } catch (Fault $fault) {
                $faults[] = ucfirst($fault->getMessage()).'.';
            }
        }

        return new WrittenCuts($steps, $left, $faults);
    }

    /**
     * @return list<Cut>
     *
     * @throws Fault for what is no cut
     */
    private static function cuts(string $part, LivingPlant $left): array
    {
        if (preg_match('/^([thsardcx])(\d{0,6})(?:-(\d{1,4}))?$/', $part, $of) !== 1
            || (isset($of[3]) !== in_array($of[1], ['h', 's'], true)) || (($of[1] === 'x') !== ($of[2] === ''))) {
            throw new Fault("\"$part\" is no cut");
        }
        [$number, $second] = [(int) $of[2], (int) ($of[3] ?? 0)];

        return match ($of[1]) {
            't' => [Cut::thin($number)],
            'h' => [Cut::head($number, $second)],
            's' => [Cut::shorten($number, $second)],
            'a' => [Cut::shorten(null, $number)],
            'r' => [Cut::raise($number)],
            'd' => [Cut::down($number)],
            'c' => TaskCuts::clipped($left, $number),
            default => TaskCuts::dead($left),
        };
    }
}
