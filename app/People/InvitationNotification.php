<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Support\PostedLater;
use Illuminate\Notifications\Messages\MailMessage;
use SensitiveParameter;

/** The letter that invites somebody into the firm. */
final class InvitationNotification extends PostedLater
{
    public function __construct(
        #[SensitiveParameter] private readonly string $link,
        private readonly string $name,
        private readonly string $firm,
        private readonly string $address,
    ) {
        parent::__construct();
    }

    protected function to(): string
    {
        return $this->address;
    }

    protected function subject(): string
    {
        return "Your way into $this->firm's Pruning Hook";
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject($this->subject())->view('mail.invitation', [
            'name' => $this->name, 'firm' => $this->firm, 'link' => $this->link, 'days' => Staff::DAYS,
        ]);
    }
}
