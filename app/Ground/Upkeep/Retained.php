<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

/** What names people, or shows where they live, and need not be kept for ever. */
enum Retained: string
{
    case Letters = 'letters';
    case Questions = 'questions';
    case Photos = 'photos';
    case Versions = 'versions';
    case Clients = 'clients';
    case People = 'people';
    case Security = 'security';

    /** Months for which it may be kept, as they are offered. */
    public const MONTHS = [6, 12, 24, 36, 72, 120];

    /** Months where the firm says nothing; null for ever. */
    public function usual(): ?int
    {
        return $this === self::Security ? 12 : null;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Letters => 'Letters and messages that were sent',
            self::Questions => 'Clients\' questions and requests that were answered',
            self::Photos => 'Photos',
            self::Versions => 'Earlier versions: who changed what',
            self::Clients => 'Clients of archived gardens: name, e-mail address, telephone, wishes',
            self::People => 'People who left the firm: name, e-mail address, sign-ins',
            self::Security => 'Security log',
        };
    }

    /** Counted from when. */
    public function since(): string
    {
        return match ($this) {
            self::Letters => 'after they were sent',
            self::Questions => 'after they were answered',
            self::Photos => 'after they were taken',
            self::Versions => 'after the change',
            self::Clients => 'after the garden was archived',
            self::People => 'after they left',
            self::Security => 'after the event',
        };
    }
}
