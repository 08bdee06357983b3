<?php

declare(strict_types=1);

namespace App\Due;

use App\Models\Firm;
use Illuminate\Support\Facades\DB;

/**
 * Raises the revision of whatever a change touches, in the same transaction as the change, and asks the queue to work
 * it out anew. From then on what is kept of it counts as stale.
 */
final readonly class Revisions
{
    public static function gardens(int ...$ids): void
    {
        if ($ids !== []) {
            DB::table('gardens')->whereIn('id', array_unique($ids))->increment('revision');
            RenewDue::dispatch();
        }
    }

    /** A change that all gardens rest on: the house practice. */
    public static function firm(): void
    {
        self::raise(['revision' => 1]);
    }

    /** A change of the firm's own kinds, on which the weighing of the signs rests as well. */
    public static function kinds(): void
    {
        self::raise(['revision' => 1, 'kinds_revision' => 1]);
    }

    /** A change of visits, crews or their days: whatever plan was made before it is no longer of this firm. */
    public static function plan(): void
    {
        DB::table('firms')->increment('plan_revision');
    }

    /** @param  array<string, int>  $by  column to amount */
    private static function raise(array $by): void
    {
        // A firm that has not yet said anything of itself has no row that could be raised.
        $firm = Firm::ours();
        $firm->exists || $firm->saveQuietly();
        DB::table('firms')->incrementEach($by);
        RenewDue::dispatch();
    }
}
