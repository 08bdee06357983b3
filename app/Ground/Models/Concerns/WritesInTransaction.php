<?php

declare(strict_types=1);

namespace App\Ground\Models\Concerns;

use Illuminate\Database\Eloquent\Model;

/**
 * A row is written together with everything its events write: the revision that makes stale what rests on it is never
 * missing, not for a moment and not after a crash.
 *
 * @mixin Model
 */
trait WritesInTransaction
{
    /** @param  array<string, mixed>  $options */
    public function save(array $options = []): bool
    {
        return $this->getConnection()->transaction(fn (): bool => parent::save($options));
    }

    public function delete(): ?bool
    {
        return $this->getConnection()->transaction(fn (): ?bool => parent::delete());
    }
}
