<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Recount;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Units\Doubt;

/**
 * Measures that a kind can hardly have, or that cannot follow from the plant's record, are questioned once, with what
 * was probably meant; whoever is sure says so.
 */
final readonly class LengthDoubts
{
    /** @param  ?Plant  $plant  where a new measure must follow from its record, and the day it is measured on */
    public static function tell(
        Validator $validator,
        Request $request,
        ?Kind $kind,
        Day $today,
        ?Plant $plant = null,
    ): void {
        if ($kind === null || $request->boolean('sure') || $validator->errors()->isNotEmpty()) {
            return;
        }
        foreach (['height_cm', 'flowering_height_cm'] as $field) {
            $doubt = $request->filled($field) ? Doubt::of($request->float($field), 'cm', $kind->typicalHeightMm) : null;
            if ($doubt !== null) {
                self::question($validator, $request, $field, $doubt);
            }
        }
        // What is only looked at need not follow from anything.
        if ($plant !== null && ! $request->isMethod('get') && $validator->errors()->isEmpty()) {
            self::recount($validator, $request, $kind, $plant, $today);
        }
    }

    private static function recount(
        Validator $validator,
        Request $request,
        Kind $kind,
        Plant $plant,
        Day $today,
    ): void {
        if ($plant->kind !== $kind->id) {
            return;
        }
        $by = app(CorePlants::class)->plant($plant, $today);
        $new = static fn (string $field, ?int $now, int $unit = 1): ?int => $request->filled($field)
        && $request->integer($field) * $unit !== $now
            ? $request->integer($field) * $unit
            : null;
        $asked = Recount::questions(
            $by,
            app(PlantBook::class)->figures->growing($kind),
            app(PlantBook::class)->keeping,
            // What nobody has dated was never measured: there is nothing to hold a new measure against.
            $plant->stems_on === null ? null : $new('stems_old', $plant->stems_old),
            $plant->stems_on === null ? null : $new('stems_young', $plant->stems_young),
            $plant->height_on === null ? null : $new('height_cm', $plant->height_mm, 10),
        );
        foreach ($asked as $measure => $doubt) {
            self::question($validator, $request, str_replace('_mm', '_cm', $measure), $doubt);
        }
    }

    private static function question(Validator $validator, Request $request, string $field, string $doubt): void
    {
        $validator
            ->errors()
            ->add(
                $field,
                "$doubt?".($request->isMethod('get') ? '' : ' If it is right as it stands, tick that you are sure.'),
            );
        $validator->errors()->add('sure', 'A measure is questioned.');
    }
}
