<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Models\Garden;
use App\Ground\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class GardensController extends Controller
{
    public function index(Request $request): JsonResponse
    {
        $filters = Listing::filters($request, ['crew' => ['integer', 'min:1'], 'archived' => ['in:true,false']]);
        $gardens = Garden::query();
        ($filters['archived'] ?? 'false') === 'true'
            ? $gardens->whereNotNull('archived_on')
            : $gardens->whereNull('archived_on');
        if (isset($filters['crew'])) {
            $gardens->where('crew_id', (int) $filters['crew']);
        }

        return Listing::answer($request, $gardens->orderBy('name')->orderBy('id'), self::row(...));
    }

    public function show(Garden $garden): JsonResponse
    {
        return Listing::one(self::row($garden));
    }

    /** @return array<string, mixed> */
    private static function row(Garden $garden): array
    {
        return [
            'id' => $garden->id,
            'name' => $garden->name,
            'client' => $garden->client,
            'address' => $garden->address,
            'latitude' => $garden->latitude,
            'longitude' => $garden->longitude,
            'elevation_m' => $garden->elevation_m,
            'crew_id' => $garden->crew_id,
            'setup_minutes' => $garden->setup_minutes,
            'closed_weekdays' => $garden->closed_days,
            'preferred_weekdays' => $garden->wished_days,
            'notes' => $garden->notes,
            'archived_on' => $garden->archived_on,
        ];
    }
}
