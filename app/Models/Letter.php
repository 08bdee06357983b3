<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What the simulated post office took, as it would have gone out.
 *
 * @property int $id
 * @property string $channel `mail` or `text`
 * @property string $to an address, or a number
 * @property string $subject
 * @property string $body plain text
 * @property ?string $failed_because why it could not be delivered
 * @property bool $is_private where its link opens somebody's account
 * @property ?Carbon $created_at
 */
final class Letter extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['channel', 'to', 'subject', 'body', 'is_private', 'failed_because'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_private' => 'boolean'];
    }
}
