<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Contracts\Auth\CanResetPassword;
use Illuminate\Notifications\Messages\MailMessage;
use SensitiveParameter;
use Symfony\Component\Mime\Email;

/** The letter with the link to a new password. Plain views: the server renders no Markdown (packages/README.md). */
final class ResetPasswordNotification extends PostedLater
{
    /** A letter with this header opens somebody's account. */
    public const PRIVATE = 'X-Hook-Private';

    public function __construct(
        #[SensitiveParameter] private readonly string $token,
        private readonly string $name,
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
        return 'A new password for Pruning Hook';
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(CanResetPassword $user): MailMessage
    {
        return (new MailMessage)->subject($this->subject())->withSymfonyMessage(
            // It opens somebody's account: the post office's book does not show it.
            static fn (Email $letter) => $letter->getHeaders()->addTextHeader(self::PRIVATE, 'yes'),
        )->view('mail.reset-password', [
            'name' => $this->name,
            'link' => OutsideLink::to(route('password.reset', [
                'token' => $this->token, 'email' => $user->getEmailForPasswordReset(),
            ], false)),
        ]);
    }
}
