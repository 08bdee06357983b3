<?php

declare(strict_types=1);

namespace App\Ground\Models;

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
    case PinSet = 'pin-set';
    case PinFailed = 'pin-failed';
    case Invited = 'invited';
    case Joined = 'joined';
    case RoleChanged = 'role-changed';
    case LeftFirm = 'left-firm';
    case CameBack = 'came-back';
    case Exported = 'exported';
    case Imported = 'imported';
    case ImportTakenBack = 'import-taken-back';
    case Erased = 'erased';
    case Restored = 'restored';
    case TokenMade = 'token-made';
    case TokenUsed = 'token-used';
    case TokenEnded = 'token-ended';
    case WebhookMade = 'webhook-made';
    case WebhookOff = 'webhook-off';
    case LinkMade = 'link-made';
    case LinkOpened = 'link-opened';
    case LinkShut = 'link-shut';

    private const WORDS = [
        'signed-in' => 'signed in',
        'sign-in-failed' => 'failed sign-in',
        'locked-out' => 'too many attempts, locked out',
        'signed-out' => 'signed out',
        'device-ended' => 'device signed out',
        'signed-out-everywhere' => 'signed out everywhere',
        'reset-asked' => 'password reset requested',
        'password-changed' => 'password changed',
        'code-set' => 'two-step sign-in turned on',
        'code-failed' => 'wrong code',
        'spare-used' => 'recovery code used',
        'code-removed' => 'two-step sign-in turned off',
        'pin-set' => 'PIN set',
        'pin-failed' => 'wrong PIN',
        'invited' => 'invited',
        'joined' => 'invitation accepted',
        'role-changed' => 'role changed',
        'left-firm' => 'left the firm',
        'came-back' => 'returned to the firm',
        'exported' => 'data exported',
        'imported' => 'file imported',
        'import-taken-back' => 'import undone',
        'erased' => 'personal data erased',
        'restored' => 'database restored',
        'token-made' => 'API token created',
        'token-used' => 'API token used',
        'token-ended' => 'API token revoked',
        'webhook-made' => 'webhook added',
        'webhook-off' => 'webhook turned off',
        'link-made' => 'link created',
        'link-opened' => 'link opened',
        'link-shut' => 'link closed',
    ];

    public function inWords(): string
    {
        return self::WORDS[$this->value];
    }
}
