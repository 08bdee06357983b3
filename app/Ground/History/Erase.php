<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Garden;
use App\Ground\Models\Letter;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Erases who somebody was, at their wish: name, address and whatever else tells them from others, in the tables, their
 * versions and the letters. The record of the plants stays. It cannot be undone; older backups still hold it.
 */
final readonly class Erase
{
    public const CLIENT_NAME = 'Former client';

    private const CLIENT = ['client', 'client_email', 'client_phone', 'postcode', 'wishes'];

    /** Somebody who has left the firm. */
    public static function person(User $person): void
    {
        DB::transaction(static function () use ($person): void {
            [$name, $email] = [$person->name, $person->email];
            $person->forceFill([
                'name' => "Former {$person->role->value} $person->id", 'email' => self::address($person->id),
                'password' => Str::random(40), 'units' => 'metric', 'keys' => true,
                'code_secret' => null, 'code_since' => null, 'code_step' => 0, 'code_spares' => null,
                'pin' => null,
            ])->saveQuietly();
            $person->devices()->delete();
            DB::table('changes')->where('of', 'person')->where('row_id', $person->id)->delete();
            self::relabel('sign-off', $name, $person->name);
            foreach (['user_id', 'about_id'] as $column) {
                DB::table('security_events')->where($column, $person->id)->update([$column => null]);
            }
            self::letters($email);
            DB::table('password_reset_tokens')->where('email', $email)->delete();
            SecurityLog::note(SecurityEventKind::Erased, says: $person->name);
        });
    }

    /** A garden's client. */
    public static function client(Garden $garden): void
    {
        DB::transaction(static function () use ($garden): void {
            self::letters(...array_filter([$garden->client_email, $garden->client_phone]));
            $garden->forceFill([
                'client' => self::CLIENT_NAME, 'client_email' => null, 'client_phone' => null, 'postcode' => null,
                'wishes' => null,
            ])->saveQuietly();
            DB::table('client_links')->where('garden_id', $garden->id)->delete();
            DB::table('client_words')->where('garden_id', $garden->id)->delete();
            $versions = DB::table('changes')->where('of', 'garden')->where('row_id', $garden->id);
            foreach ($versions->lazyById() as $version) {
                DB::table('changes')->where('id', $version->id)->update([
                    'before' => self::without((string) $version->before),
                    'after' => self::without((string) $version->after),
                ]);
            }
            SecurityLog::note(SecurityEventKind::Erased, says: "client of $garden->name");
        });
    }

    /** The address put in place of one that was erased; with % for any. */
    public static function address(int|string $person): string
    {
        return "former-$person@invalid";
    }

    private static function without(string $json): string
    {
        return (string) json_encode(
            array_diff_key((array) json_decode($json, true), array_flip(self::CLIENT)), JSON_FORCE_OBJECT,
        );
    }

    private static function relabel(string $of, string $from, string $to): void
    {
        foreach (DB::table('changes')->where('of', $of)->whereLike('label', "%$from%")->lazyById() as $version) {
            DB::table('changes')->where('id', $version->id)
                ->update(['label' => str_replace($from, $to, (string) $version->label)]);
        }
    }

    private static function letters(string ...$to): void
    {
        $letters = Letter::query();
        $letters->whereIn('to', $to);
        foreach ($letters->lazyById() as $letter) {
            $letter->erase();
        }
    }
}
