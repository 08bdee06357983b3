<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\PinBrowser;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use SensitiveParameter;

/**
 * A short number with which leads and hands change places on a shared phone. It works only where its person has entered
 * their password within a month, and a few wrong ones end that.
 */
final readonly class Pin
{
    /** Request attribute: this sign-in is by PIN, and does not count as one by password. */
    public const BY_PIN = 'by-pin';

    public const TRIES = 5;

    /** Whether somebody may have one: a planner's password, and a second step, are not to be got round. */
    public static function isFor(User $person): bool
    {
        return ! $person->isPlanner() && $person->code_since === null && $person->left_on === null;
    }

    /** What is wrong with a new one; null where nothing is. */
    public static function wrong(#[SensitiveParameter] string $pin): ?string
    {
        if (preg_match('/^\d{4,8}$/', $pin) !== 1) {
            return 'Use 4 to 8 digits.';
        }
        $isEasy = str_contains('01234567890 09876543210', $pin)
            || preg_match('/^(\d{1,2})\1+$|^(19|20)\d\d$/', $pin) === 1;

        return $isEasy ? 'That PIN is too easy to guess: no runs, no repeats, no years.' : null;
    }

    public static function set(User $person, #[SensitiveParameter] string $pin, ?string $browser): void
    {
        DB::transaction(static function () use ($person, $pin, $browser): void {
            self::remove($person);
            $person->forceFill(['pin' => Hash::make(self::peppered($pin))])->save();
            self::trust($person, $browser);
            SecurityLog::note(SecurityEventKind::PinSet);
        });
    }

    public static function remove(User $person): void
    {
        DB::transaction(static function () use ($person): void {
            PinBrowser::query()->where('user_id', $person->id)->delete();
            $person->forceFill(['pin' => null])->save();
        });
    }

    /** The password has been entered here: from now on the PIN will do. */
    public static function trust(User $person, ?string $browser): void
    {
        if ($person->pin !== null && $browser !== null && self::isFor($person)) {
            PinBrowser::query()->updateOrCreate(
                ['user_id' => $person->id, 'browser' => $browser], ['tries' => 0, 'since' => Carbon::now()],
            );
        }
    }

    /** @return Collection<int, PinBrowser> of those whose PIN works in this browser, by name */
    public static function here(Request $request): Collection
    {
        $names = KnownBrowsers::names($request);
        if ($names === []) {
            return new Collection;
        }
        $rows = PinBrowser::query()->with('user');
        $rows->whereIn('browser', array_values($names))->where('since', '>=', PinBrowser::oldest());

        return $rows->get()->filter(static fn (PinBrowser $row): bool => $row->user->pin !== null
            && self::isFor($row->user)
            && KnownBrowsers::name($request, $row->user->email) === $row->browser)
            ->sortBy(static fn (PinBrowser $row): string => $row->user->name)->values();
    }

    /** @return int|true wrong tries left, or that it was right */
    public static function takes(PinBrowser $row, #[SensitiveParameter] string $pin): int|true
    {
        // Counted before it is checked, so that parallel requests are limited too.
        $counted = PinBrowser::query()->whereKey($row->id)->where('tries', '<', self::TRIES)->increment('tries');
        if ($counted === 1 && Hash::check(self::peppered($pin), (string) $row->user->pin)) {
            $row->forceFill(['tries' => 0])->save();

            return true;
        }
        SecurityLog::note(SecurityEventKind::PinFailed, about: $row->user);
        $left = max(0, self::TRIES - (int) PinBrowser::query()->whereKey($row->id)->value('tries'));
        $left > 0 || $row->delete();

        return $left;
    }

    /** Four digits are soon tried through by whoever has the table; they do not have this key. */
    private static function peppered(#[SensitiveParameter] string $pin): string
    {
        return hash_hmac('sha256', "pin $pin", Config::string('app.key'));
    }
}
