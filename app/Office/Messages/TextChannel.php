<?php

declare(strict_types=1);

namespace App\Office\Messages;

use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Notifications\Notification;

/** The notification channel for text messages: a notification that goes by it has a `toText`. */
final readonly class TextChannel
{
    public function __construct(private TextMessages $texts)
    {
    }

    public function send(object $notifiable, Notification $notification): void
    {
        $number = $notifiable instanceof AnonymousNotifiable
            ? $notifiable->routeNotificationFor(self::class)
            : null;
        if (is_string($number) && $number !== '' && $notification instanceof GoesByText) {
            $this->texts->send($number, $notification->toText());
        }
    }
}
