<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use App\Ground\History\Erase;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Letter;
use App\Ground\Models\Photo;
use App\Ground\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Erases what the firm no longer wants to keep, a few rows at a time so that nobody waits. The record of the plants
 * stays; backups made before keep what they hold.
 */
final readonly class Retention
{
    private const AT_ONCE = 200;

    /** @return array<string, ?int> months by kind; null for ever */
    public static function inForce(): array
    {
        $said = Firm::ours()->retention;
        $months = [];
        foreach (Retained::cases() as $kind) {
            $months[$kind->value] = array_key_exists($kind->value, $said) ? $said[$kind->value] : $kind->usual();
        }

        return $months;
    }

    /**
     * What would go now.
     *
     * @param  array<string, ?int>  $months
     * @return array<string, int> rows by kind, of those that are not kept for ever
     */
    public static function dryRun(array $months): array
    {
        $counts = [];
        foreach (array_filter($months) as $kind => $kept) {
            $counts[$kind] = self::over(Retained::from($kind), $kept)->count();
        }

        return $counts;
    }

    /** @return array<string, int> rows that went, by kind */
    public static function carryOut(): array
    {
        $gone = [];
        foreach (array_filter(self::inForce()) as $kind => $kept) {
            $gone[$kind] = self::erase(Retained::from($kind), $kept);
        }

        return $gone;
    }

    private static function erase(Retained $kind, int $months): int
    {
        $gone = $after = 0;
        do {
            /** @var list<int> $ids */
            $ids = self::over($kind, $months)->where('id', '>', $after)->orderBy('id')->limit(self::AT_ONCE)
                ->pluck('id')->all();
            match ($kind) {
                Retained::Letters => Letter::query()->whereKey($ids)->get()->each->erase(),
                Retained::Photos => Photo::query()->whereKey($ids)->get()->each(static function (Photo $photo): void {
                    $photo->delete();
                    $photo->deleteFiles();
                }),
                Retained::Clients => Garden::query()->whereKey($ids)->get()->each(Erase::client(...)),
                Retained::People => User::query()->whereKey($ids)->get()->each(Erase::person(...)),
                default => DB::table(self::table($kind))->whereIn('id', $ids)->delete(),
            };
            $gone += count($ids);
            $after = $ids === [] ? 0 : max($ids);
        } while (count($ids) === self::AT_ONCE);

        return $gone;
    }

    private static function table(Retained $kind): string
    {
        return match ($kind) {
            Retained::Letters => 'letters',
            Retained::Questions => 'client_words',
            Retained::Photos => 'photos',
            Retained::Versions => 'changes',
            Retained::Clients => 'gardens',
            Retained::People => 'users',
            Retained::Security => 'security_events',
        };
    }

    private static function over(Retained $kind, int $months): Builder
    {
        $until = Carbon::now()->subMonths($months);
        $rows = DB::table(self::table($kind));

        return match ($kind) {
            Retained::Letters => $rows->where('created_at', '<', $until),
            Retained::Questions => $rows->where('heard_at', '<', $until),
            Retained::Photos => $rows->where('taken_at', '<', $until),
            Retained::Versions, Retained::Security => $rows->where('at', '<', $until),
            Retained::Clients => $rows->where('archived_on', '<', $until->toDateString())
                ->where('client', '!=', Erase::CLIENT_NAME),
            Retained::People => $rows->where('left_on', '<', $until->toDateString())
                ->whereNotLike('email', Erase::address('%')),
        };
    }
}
