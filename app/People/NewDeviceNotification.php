<?php

declare(strict_types=1);

namespace App\People;

use App\Support\OutsideLink;
use App\Support\PostedLater;
use Illuminate\Notifications\Messages\MailMessage;

/** Tells somebody that they signed in where they never had before: if it was not they, they hear of it. */
final class NewDeviceNotification extends PostedLater
{
    /**
     * @param  string  $device  as `Device::kindOf` has it
     * @param  string  $when  day and hour, as the office tells them
     */
    public function __construct(
        private readonly string $name,
        private readonly string $address,
        private readonly string $device,
        private readonly string $when,
    ) {
        parent::__construct();
    }

    protected function to(): string
    {
        return $this->address;
    }

    protected function subject(): string
    {
        return 'You signed in to Pruning Hook on a new device';
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject($this->subject())->view('mail.new-device', [
            'name' => $this->name, 'device' => $this->device, 'when' => $this->when,
            'link' => OutsideLink::to(route('account', absolute: false)),
        ]);
    }
}
