<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;

/**
 * The firm itself: one row, since one firm is one database.
 *
 * @property int $id
 * @property string $name
 * @property int $revision raised by every change that all gardens rest on
 * @property int $kinds_revision raised by every change of the firm's own kinds
 * @property ?string $signs_weighed_by the book and kinds by which the signs were last weighed
 * @property ?float $depot_latitude
 * @property ?float $depot_longitude
 * @property int $usual_travel minutes of a way whose one end nobody has placed
 * @property int $plan_revision raised by every change of visits, crews and their days
 * @property array<string, string> $practice house practice, question to option
 * @property bool $planners_code whether planners must use two-step sign-in
 * @property array<string, ?int> $retention months for which things are kept, by kind; null for ever
 * @property int $log_days after a visit, in which its hands may change what they said of it
 */
final class Firm extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    protected $fillable = [
        'name', 'practice', 'depot_latitude', 'depot_longitude', 'usual_travel', 'log_days', 'retention',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practice' => 'array', 'depot_latitude' => 'float', 'depot_longitude' => 'float',
            'planners_code' => 'boolean', 'retention' => 'array'];
    }

    protected $attributes = ['practice' => '{}', 'revision' => 1, 'kinds_revision' => 1, 'plan_revision' => 1,
        'usual_travel' => 20, 'log_days' => 14, 'planners_code' => false,
        'retention' => '{}'];

    public static function ours(): self
    {
        return self::query()->first() ?? new self(['name' => 'Your firm']);
    }
}
