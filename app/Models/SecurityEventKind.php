<?php

declare(strict_types=1);

namespace App\Models;

/** What is kept in the log of security events. */
enum SecurityEventKind: string
{
    case SignedIn = 'signed-in';
    case SignInFailed = 'sign-in-failed';
    case LockedOut = 'locked-out';
    case SignedOut = 'signed-out';
    case DeviceEnded = 'device-ended';
    case SignedOutEverywhere = 'signed-out-everywhere';
    case ResetAsked = 'reset-asked';
    case PasswordChanged = 'password-changed';
    case CodeSet = 'code-set';
    case CodeFailed = 'code-failed';
    case SpareUsed = 'spare-used';
    case CodeRemoved = 'code-removed';
    case Invited = 'invited';
    case Joined = 'joined';
    case RoleChanged = 'role-changed';
    case LeftFirm = 'left-firm';
    case CameBack = 'came-back';
    case Exported = 'exported';
    case Imported = 'imported';
    case ImportTakenBack = 'import-taken-back';
    case Restored = 'restored';
    case LinkMade = 'link-made';
    case LinkOpened = 'link-opened';
    case LinkShut = 'link-shut';

    private const WORDS = [
        'signed-in' => 'signed in',
        'sign-in-failed' => 'wrong password',
        'locked-out' => 'too many tries, locked out for a while',
        'signed-out' => 'signed out',
        'device-ended' => 'signed out one device',
        'signed-out-everywhere' => 'signed out everywhere',
        'reset-asked' => 'asked for a new password',
        'password-changed' => 'new password set',
        'code-set' => 'code besides the password set up',
        'code-failed' => 'wrong code',
        'spare-used' => 'code from paper used',
        'code-removed' => 'code given up',
        'invited' => 'invited',
        'joined' => 'came in by the invitation',
        'role-changed' => 'role changed',
        'left-firm' => 'left the firm',
        'came-back' => 'brought back',
        'exported' => 'took data out',
        'imported' => 'took a file in',
        'import-taken-back' => 'took a file back out',
        'restored' => 'database restored from a backup',
        'link-made' => 'link made',
        'link-opened' => 'link opened',
        'link-shut' => 'link shut',
    ];

    public function inWords(): string
    {
        return self::WORDS[$this->value];
    }
}
