<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * Who works together, what they can do, and when.
 *
 * @property int $id
 * @property string $name
 * @property int $people
 * @property list<string> $skills
 * @property bool $overtime whether a day may be up to an hour longer
 * @property array<int, array{int, int}> $week by weekday, 1 for Monday: from and to, in minutes after midnight
 * @property-read Collection<int, CrewDayOff> $daysOff
 * @property-read Collection<int, User> $members
 */
final class Crew extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    /** What hands must be able to handle, as the plant book's tasks ask for it. */
    public const SKILLS = ['ladder', 'saw', 'shears'];

    protected $fillable = ['name', 'people', 'skills', 'overtime', 'week'];

    protected $attributes = [
        'people' => 2, 'skills' => '["ladder","saw","shears"]', 'overtime' => false,
        'week' => '{"1":[480,960],"2":[480,960],"3":[480,960],"4":[480,960],"5":[480,960]}',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['skills' => 'array', 'overtime' => 'boolean', 'week' => 'array', 'people' => 'integer'];
    }

    /** @return HasMany<CrewDayOff, $this> by day */
    public function daysOff(): HasMany
    {
        return $this->hasMany(CrewDayOff::class)->orderBy('on');
    }

    /** @return HasMany<User, $this> */
    public function members(): HasMany
    {
        return $this->hasMany(User::class)->orderBy('name');
    }

    /**
     * All crews, as lists to choose from show them.
     *
     * @return array<int, string> name by id, by name
     */
    public static function names(): array
    {
        $names = [];
        foreach (DB::table('crews')->orderBy('name')->orderBy('id')->get(['id', 'name']) as $crew) {
            $names[(int) $crew->id] = (string) $crew->name;
        }

        return $names;
    }
}
