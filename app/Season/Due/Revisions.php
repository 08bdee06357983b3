<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Models\Firm;
use Illuminate\Database\Query\Builder;
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
            RenewDue::ask();
        }
    }

    /**
     * A change of the house practice: gardens with plants that turn on one of the questions. Those without kept rows
     * are worked out in any case.
     *
     * @param  list<string>  $questions
     */
    public static function practice(array $questions): void
    {
        self::raise(['revision' => 1], DB::table('kept_gardens')->select('garden_id')->where(
            static function (Builder $any) use ($questions): void {
                $any->whereRaw('1 = 0');
                foreach ($questions as $question) {
                    $any->orWhere('questions', 'like', "% $question %");
                }
            },
        ));
    }

    /** A change of what the firm says of a kind: gardens that have it, and the signs that were seen on it. */
    public static function kind(string $kind): void
    {
        $seen = DB::table('observations')->where('event', 'like', "$kind-%")->exists();
        self::raise(
            ['revision' => 1, ...$seen ? ['kinds_revision' => 1] : []],
            DB::table('plants')->select('garden_id')->where('kind', $kind)->whereNull('deleted_at'),
        );
    }

    /** A change of visits, crews or their days: whatever plan was made before it is no longer of this firm. */
    public static function plan(): void
    {
        DB::table('firms')->increment('plan_revision');
    }

    /**
     * @param  array<string, int>  $by  column of the firm to amount
     * @param  Builder  $gardens  selects the ids of those that go stale
     */
    private static function raise(array $by, Builder $gardens): void
    {
        // A firm that has not yet said anything of itself has no row that could be raised.
        $firm = Firm::ours();
        $firm->exists || $firm->saveQuietly();
        DB::table('firms')->incrementEach($by);
        DB::table('gardens')->whereIn('id', $gardens)->increment('revision');
        RenewDue::ask();
    }
}
