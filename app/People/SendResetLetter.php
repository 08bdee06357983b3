<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Password;

/**
 * Sends the password reset letter if the address is known. It runs on the queue, so that the request takes equally long
 * for known and unknown addresses.
 */
final class SendResetLetter implements ShouldBeEncrypted, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 3;

    public function __construct(private readonly string $address)
    {
        $this->onConnection(config('queue.letters'));
    }

    public function handle(): void
    {
        // Whoever has left gets no letter.
        $whose = ['email' => $this->address, 'left_on' => null];
        if (Password::broker()->sendResetLink($whose) === Password::RESET_LINK_SENT) {
            SecurityLog::note(
                SecurityEventKind::ResetAsked, about: User::query()->where('email', $this->address)->first(),
            );
        }
    }
}
