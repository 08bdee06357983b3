<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\Fault;

/** The methods the plant book may name. */
final readonly class Methods
{
    public static function find(string $key): ?Method
    {
        foreach (self::all() as $method) {
            if ($method->key() === $key) {
                return $method;
            }
        }

        return null;
    }

    /** @throws Fault when there is no such method */
    public static function get(string $key): Method
    {
        return self::find($key) ?? throw new Fault(sprintf('"%s" is not a method', $key));
    }

    /** @return list<Method> */
    public static function all(): array
    {
        return [
            new Clean,
            new Desucker,
            new Thin,
            new RenewByThirds,
            new OpenBowl,
            new LightArc,
            new CutToFloweringHeight,
            new SpurBack,
            new CaneRenewal,
            new CordonLaterals,
            new VineSpur,
            new VineCane,
            new Shear,
            new LightTidy,
            new DeadHead,
            new HeadingBack,
            new TrainAndTie,
            new CutDown,
            new PruneAndTrain,
        ];
    }
}
