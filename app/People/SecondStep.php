<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use SensitiveParameter;

/** Two-step sign-in: time-based codes of a phone, and recovery codes. */
final readonly class SecondStep
{
    /** Recovery codes. */
    private const SPARES = 8;

    /** Makes a secret; it counts once a code of it has been entered. */
    public static function begin(User $person): void
    {
        $person->forceFill(['code_secret' => TimeCode::secret(), 'code_since' => null, 'code_step' => 0])->save();
    }

    /** @return ?list<string> the recovery codes, shown only now; null where the code is wrong */
    public static function confirm(User $person, #[SensitiveParameter] string $code): ?array
    {
        $step = TimeCode::step((string) $person->code_secret, self::bare($code), Carbon::now()->getTimestamp(), 0);
        if ($person->code_secret === null || $step === null) {
            return null;
        }
        $spares = array_map(
            // Base32 has no characters that look alike.
            static fn (): string => implode('-', str_split(strtolower(substr(TimeCode::secret(), 0, 12)), 4)),
            range(1, self::SPARES),
        );
        DB::transaction(static function () use ($person, $step, $spares): void {
            $person->forceFill([
                'code_since' => Carbon::now(), 'code_step' => $step,
                'code_spares' => array_map(self::digest(...), $spares),
            ])->save();
            SecurityLog::note(SecurityEventKind::CodeSet, $person);
        });

        return $spares;
    }

    /** Whether it is a current code or a recovery code; each works once. */
    public static function takes(User $person, #[SensitiveParameter] string $code): bool
    {
        $code = self::bare($code);
        if (strlen($code) === TimeCode::DIGITS) {
            $step = TimeCode::step(
                (string) $person->code_secret, $code, Carbon::now()->getTimestamp(), $person->code_step,
            );

            // Of two requests with the same code, one succeeds.
            return $step !== null && DB::table('users')->where('id', $person->id)->where('code_step', '<', $step)
                ->update(['code_step' => $step]) === 1;
        }

        return DB::transaction(static function () use ($person, $code): bool {
            DB::table('users')->where('id', $person->id)->update(['code_step' => DB::raw('code_step')]);
            $person->refresh();
            $left = array_values(array_diff($person->code_spares ?? [], [self::digest($code)]));
            if (count($left) === count($person->code_spares ?? [])) {
                return false;
            }
            $person->forceFill(['code_spares' => $left])->save();
            SecurityLog::note(SecurityEventKind::SpareUsed, $person, says: count($left).' left');

            return true;
        });
    }

    public static function remove(User $person): void
    {
        DB::transaction(static function () use ($person): void {
            $person->forceFill([
                'code_secret' => null, 'code_since' => null, 'code_step' => 0, 'code_spares' => null,
            ])->save();
            SecurityLog::note(SecurityEventKind::CodeRemoved, about: $person);
        });
    }

    /** Without the blanks and dashes it was typed with. */
    private static function bare(#[SensitiveParameter] string $code): string
    {
        return strtolower((string) preg_replace('/[\s-]+/', '', $code));
    }

    private static function digest(#[SensitiveParameter] string $spare): string
    {
        return hash('sha256', self::bare($spare));
    }
}
