<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Support\Controller;
use Illuminate\Http\JsonResponse;

/** Frost dates for a garden nobody has watched yet. */
final class FrostController extends Controller
{
    public function show(FrostRequest $request, CarriedFrost $carried): JsonResponse
    {
        return new JsonResponse($carried->to($request->site(), $request->besides()));
    }
}
