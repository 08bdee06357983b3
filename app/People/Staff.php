<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Firm;
use App\Ground\Models\Role;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\OutsideLink;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;
use PruningHook\Core\Calendar\Day;

/** People come into the firm, change what they may do, and leave it. */
final readonly class Staff
{
    /** Days for which an invitation can be accepted. */
    public const DAYS = 14;

    /** @param  array{name: string, email: string, role: Role, crew_id: ?int}  $facts */
    public function invite(array $facts): User
    {
        return DB::transaction(function () use ($facts): User {
            $person = $this->add($facts);
            $this->write($person);
            SecurityLog::note(SecurityEventKind::Invited, about: $person);

            return $person;
        });
    }

    /** @param  array{name: string, email: string, role: Role, crew_id: ?int}  $facts */
    public function add(array $facts): User
    {
        // Until they choose their own, nobody knows it.
        $person = new User([...$facts, 'password' => Str::random(40)]);
        $person->save();

        return $person;
    }

    /** Writes the letter. A new one ends the link of the one before. */
    public function write(User $person): void
    {
        $person->notify(new InvitationNotification(
            $this->welcome($person), $person->name, Firm::ours()->name, $person->email,
        ));
    }

    /** A new link that lets somebody choose a password; an earlier one opens nothing from here on. */
    public function welcome(User $person): string
    {
        $person->endSessions();

        return OutsideLink::to(URL::temporarySignedRoute(
            'welcome', now()->addDays(self::DAYS),
            ['person' => $person->id, 'version' => self::version($person)], false,
        ));
    }

    /** What tells the letter that was written last from those before. */
    public static function version(User $person): string
    {
        return substr(hash('sha256', $person->session_version), 0, 16);
    }

    /**
     * What somebody may do changes at once: their other sessions are opened anew.
     *
     * @param  array{name: string, email: string, role: Role, crew_id: ?int}  $facts
     */
    public function change(User $person, array $facts): void
    {
        $before = $person->role;
        DB::transaction(static function () use ($person, $facts, $before): void {
            $person->fill($facts)->save();
            if ($person->role !== $before) {
                SecurityLog::note(
                    SecurityEventKind::RoleChanged, about: $person,
                    says: "{$before->value} to {$person->role->value}",
                );
            }
        });
    }

    public function leave(User $person, Day $on): void
    {
        DB::transaction(static function () use ($person, $on): void {
            $person->forceFill(['left_on' => (string) $on, 'crew_id' => null]);
            $person->endSessions();
            SecurityLog::note(SecurityEventKind::LeftFirm, about: $person);
        });
    }

    public function back(User $person): void
    {
        DB::transaction(static function () use ($person): void {
            $person->forceFill(['left_on' => null])->save();
            SecurityLog::note(SecurityEventKind::CameBack, about: $person);
        });
    }
}
