<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Ground\Models\Change;
use App\Ground\Models\Crew;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Support\Today;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;

/**
 * An invented firm in an invented valley: two crews, six gardens, some sixty plants and groups. Everything is dated
 * from today, so that the demo is alive on any day of the year.
 */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'secateurs';

    public const PEOPLE = [
        ['Maren Holt', 'planner@hollowbrook.test', Role::Planner, null],
        ['Tobin Ashe', 'lead@hollowbrook.test', Role::Lead, 'Wren crew'],
        ['Isla Fenn', 'hand@hollowbrook.test', Role::Hand, 'Wren crew'],
        ['Oskar Dell', 'lead2@hollowbrook.test', Role::Lead, 'Rook crew'],
        ['Petra Lind', 'hand2@hollowbrook.test', Role::Hand, 'Rook crew'],
    ];

    public function run(DemoWork $work, DemoStems $stems, DemoBench $bench, PlantBook $book): void
    {
        $place = DemoPlace::of($book);
        DB::transaction(function () use ($work, $stems, $bench, $place): void {
            Firm::query()->create([
                'name' => 'Hollowbrook Garden Care',
                'practice' => ['climbing-rose-laterals' => 'two-to-three'],
                ...$place->depot(),
            ]);
            $crews = [];
            foreach (['Wren crew' => 2, 'Rook crew' => 3] as $name => $count) {
                $crews[$name] = Crew::query()->create([
                    'name' => $name, 'people' => $count, 'overtime' => $name === 'Rook crew',
                ]);
            }
            $people = [];
            foreach (self::PEOPLE as [$name, $email, $role, $crew]) {
                $person = new User([
                    'name' => $name, 'email' => $email, 'password' => self::PASSWORD, 'role' => $role,
                    'crew_id' => $crew === null ? null : $crews[$crew]->id,
                ]);
                $person->forceFill(['joined_at' => now()])->save();
                $people[] = $person;
            }
            $today = Today::day();
            foreach (DemoGardens::all() as $index => $data) {
                $garden = Garden::query()->create([
                    ...$place->garden($data['garden']),
                    'crew_id' => $crews[$index % 2 === 0 ? 'Wren crew' : 'Rook crew']->id,
                    'client_email' => 'client'.($index + 1).'@valley.test',
                    'photos_ok' => $index % 3 === 0 ? null : true,
                ]);
                foreach ($data['plants'] as $plant) {
                    $garden
                        ->plants()
                        ->create(self::plant($plant, $today, $place))
                        ->forceFill(self::measured($plant, $today))
                        ->save();
                }
                $work->signs($garden, $today, $index);
                $work->past($garden, $today, $people[$index % 2 === 0 ? 1 : 3]);
                $work->coming($garden, $today, $people[0], $index);
            }
            $stems->survey();
            $bench->seed($people[2], $people[1]);
            // The firm begins as it is: nobody changed anything yet.
            Change::query()->delete();
        });
    }

    /**
     * Measured when the record begins, or when it was planted since: what they are today follows from that.
     *
     * @param  array<string, mixed>  $plant
     * @return array<string, string>
     */
    private static function measured(array $plant, Day $today): array
    {
        $on = (string) (($plant['years'] ?? 8) > 2 ? DemoWork::begin($today) : $today);

        return [
            ...isset($plant['height_mm']) ? ['height_on' => $on] : [],
            ...isset($plant['stems_old']) ? ['stems_on' => $on] : [],
        ];
    }

    /**
     * @param  array<string, mixed>  $plant
     * @return array<string, mixed>
     */
    private static function plant(array $plant, Day $today, DemoPlace $place): array
    {
        $years = $plant['years'] ?? 8;
        unset($plant['years']);

        return [...$plant, 'planted_on' => is_numeric($years)
            // Planted in the spring of its year; a plant of this year a few months ago.
            ? (string) ($years > 0 ? $place->planting($today->year() - (int) $years) : $today->minus(120))
            : null];
    }
}
