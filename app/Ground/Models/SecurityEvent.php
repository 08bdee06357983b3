<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One line of the security log. No secrets are kept: no password, no link, and no address that was merely typed.
 *
 * @property int $id
 * @property Carbon $at
 * @property SecurityEventKind $kind
 * @property ?int $user_id who did it; null where nobody was signed in
 * @property ?int $about_id to whom
 * @property ?string $network the first part of an IP address
 * @property ?string $device as `Device::kindOf` has it
 * @property ?string $says more of it, in words
 * @property-read ?User $user
 * @property-read ?User $about
 */
final class SecurityEvent extends Model
{
    public $timestamps = false;

    protected $fillable = ['at', 'kind', 'user_id', 'about_id', 'network', 'device', 'says'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'kind' => SecurityEventKind::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function about(): BelongsTo
    {
        return $this->belongsTo(User::class, 'about_id');
    }
}
