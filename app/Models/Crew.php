<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * @property int $id
 * @property string $name
 */
final class Crew extends Model
{
    protected $fillable = ['name'];

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
