<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;

/**
 * A lead's word that somebody does a method without being watched.
 *
 * @property int $id
 * @property int $user_id
 * @property string $method the recipe
 * @property ?int $by_id
 * @property Day $on
 * @property-read User $user
 * @property-read ?User $by
 */
final class SignOff extends Model
{
    use KeepsVersions;
    use WritesInTransaction;

    protected $fillable = ['user_id', 'method', 'by_id', 'on'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on' => AsDay::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }

    public function versionLabel(): string
    {
        return "{$this->user->name}, $this->method";
    }
}
