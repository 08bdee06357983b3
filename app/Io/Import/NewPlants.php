<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Ground\Models\Did;
use App\Ground\Models\Import;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Season\Due\Revisions;
use App\Season\Due\Watch;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** New plants by the hundred: one by one they would keep everybody else from writing for too long. */
final readonly class NewPlants
{
    /** Every line of one insert names the same columns. */
    private const EMPTY = [
        'bed' => null, 'planted_on' => null, 'height_mm' => null, 'spread_mm' => null, 'run_mm' => null,
        'flowering_height_mm' => null, 'stems_old' => null, 'stems_young' => null, 'form' => null, 'aim' => null,
        'grafted' => null, 'notes' => null, 'height_on' => null, 'stems_on' => null,
    ];

    /** @param  list<AcceptedRow>  $rows */
    public static function plant(array $rows, ?User $by): void
    {
        $now = Carbon::now();
        // Nor is the number of one that is gone given again: its versions are still there.
        $next = max(
            (int) DB::table('plants')->max('id'), (int) DB::table('changes')->where('of', 'plant')->max('row_id'),
        );
        $plants = $versions = $gardens = [];
        foreach ($rows as $row) {
            $plant = (new Plant)->forceFill(['id' => ++$next, ...$row->facts]);
            Watch::date($plant);
            $plant->own_practice = false;
            $attributes = [...self::EMPTY, ...$plant->getAttributes()];
            $plants[] = [...$attributes, 'created_at' => $now, 'updated_at' => $now];
            $gardens[$plant->garden_id] = $plant->garden_id;
            $versions[] = [
                'of' => 'plant', 'row_id' => $next, 'did' => Did::Made->value,
                'label' => $plant->versionLabel(), 'before' => '[]',
                'after' => json_encode(Arr::except($attributes, 'own_practice'), JSON_THROW_ON_ERROR),
                'user_id' => $by?->id, 'at' => $now, 'import_id' => Import::bringing(),
            ];
        }
        DB::table('plants')->insert($plants);
        DB::table('changes')->insert($versions);
        Revisions::gardens(...array_values($gardens));
    }
}
