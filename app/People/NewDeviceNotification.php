<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Support\OutsideLink;
use App\Ground\Support\PostedLater;
use Illuminate\Notifications\Messages\MailMessage;

/** Tells somebody that their account was used to sign in on a new device. */
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
        return 'New sign-in to Pruning Hook';
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
