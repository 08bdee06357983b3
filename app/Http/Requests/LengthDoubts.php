<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\Request;
use Illuminate\Validation\Validator;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Units\Doubt;

/** Heights a kind can hardly have are questioned once, with what was probably meant; whoever is sure says so. */
final readonly class LengthDoubts
{
    public static function tell(Validator $validator, Request $request, ?Kind $kind): void
    {
        if ($kind === null || $request->boolean('sure') || $validator->errors()->isNotEmpty()) {
            return;
        }
        foreach (['height_cm', 'flowering_height_cm'] as $field) {
            $doubt = $request->filled($field) ? Doubt::of($request->float($field), 'cm', $kind->typicalHeightMm) : null;
            if ($doubt !== null) {
                $validator->errors()->add($field, "$doubt?".($request->isMethod('get') ? '' : ' If it is right as it stands, tick that you are sure.'));
                $validator->errors()->add('sure', 'A measure is questioned.');
            }
        }
    }
}
