<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\User;
use Illuminate\Support\Facades\DB;

/** What a firm that has just begun does first, until a visit is planned: its crew, a garden, a plant, a visit. */
final readonly class FirstSteps
{
    /**
     * @return list<array{says: string, link: string, done: bool}> none for who does not plan, or once all is done
     */
    public static function of(User $user): array
    {
        if (! $user->isPlanner()) {
            return [];
        }
        $first = DB::selectOne('select (select min(id) from visits) as visit, (select min(id) from crews) as crew, '
            .'(select min(id) from gardens) as garden, (select min(id) from plants) as plant');
        if ($first->visit !== null) {
            return [];
        }
        $garden = $first->garden;
        $plants = $first->plant !== null;
        $into = $garden === null ? route('gardens.create') : route('gardens.show', $garden);

        return [
            ['says' => 'Add a crew, with its week', 'link' => route('crews.create'),
                'done' => $first->crew !== null],
            ['says' => 'Add the first garden: its frost dates are carried over from the nearest station',
                'link' => route('gardens.create'), 'done' => $garden !== null],
            ['says' => 'Add its plants, one by one or as a list', 'link' => $garden === null
                ? $into
                : route('gardens.plants.create', $garden), 'done' => $plants],
            ['says' => 'Plan the first visit', 'link' => $plants && $garden !== null
                ? route('visits.create', $garden)
                : $into, 'done' => false],
        ];
    }
}
