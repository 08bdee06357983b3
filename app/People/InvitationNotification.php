<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use SensitiveParameter;

/** The letter that invites somebody into the firm. */
final class InvitationNotification extends Notification
{
    public function __construct(
        #[SensitiveParameter] private readonly string $link,
        private readonly string $name,
        private readonly string $firm,
    ) {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject("Your way into $this->firm's Pruning Hook")->view('mail.invitation', [
            'name' => $this->name, 'firm' => $this->firm, 'link' => $this->link, 'days' => Staff::DAYS,
        ]);
    }
}
