<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\Fault;

/** The methods the plant book may name. */
final readonly class Methods
{
    public static function find(string $key): ?Method
    {
        return match ($key) {
            'clean' => new Clean,
            'desucker' => new Desucker,
            'thin' => new Thin,
            'renew-by-thirds' => new RenewByThirds,
            'open-bowl' => new OpenBowl,
            'light-arc' => new LightArc,
            'cut-to-flowering-height' => new CutToFloweringHeight,
            'spur-back' => new SpurBack,
            'cane-renewal' => new CaneRenewal,
            'cordon-laterals' => new CordonLaterals,
            'vine-spur' => new VineSpur,
            'vine-cane' => new VineCane,
            'shear' => new Shear,
            'light-tidy' => new LightTidy,
            'dead-head' => new DeadHead,
            'heading-back' => new HeadingBack,
            'train-and-tie' => new TrainAndTie,
            'cut-down' => new CutDown,
            'prune-and-train' => new PruneAndTrain,
            'renovate' => new Renovate,
            'stool' => new Stool,
            'balanced' => new Balanced,
            'clear-the-stem' => new ClearTheStem,
            'restore-lopped' => new RestoreLopped,
            'trace-out' => new TraceOut,
            default => null,
        };
    }

    /** @throws Fault when there is no such method */
    public static function get(string $key): Method
    {
        return self::find($key) ?? throw new Fault(sprintf('"%s" is not a method', $key));
    }
}
