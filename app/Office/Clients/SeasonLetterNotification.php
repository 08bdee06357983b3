<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\Garden;
use App\Ground\Support\PostedLater;
use App\Office\Messages\GoesByText;
use App\Office\Messages\TextChannel;
use Illuminate\Notifications\Messages\MailMessage;
use SensitiveParameter;

/** Tells a client that the season's letter is there, and the way to their own page. */
final class SeasonLetterNotification extends PostedLater implements GoesByText
{
    public function __construct(
        private readonly Garden $garden,
        private readonly string $firm,
        #[SensitiveParameter] private readonly string $link,
    ) {
        parent::__construct();
    }

    protected function to(): string
    {
        return implode(', ', array_filter([$this->garden->client_email, $this->garden->client_phone]));
    }

    protected function subject(): string
    {
        return "Your garden this season: {$this->garden->name}";
    }

    /** @return list<string> */
    public function via(): array
    {
        return array_values(array_filter([
            $this->garden->client_email === null ? null : 'mail',
            $this->garden->client_phone === null ? null : TextChannel::class,
        ], is_string(...)));
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)
            ->subject($this->subject())
            ->view('mail.season-letter', [
                'garden' => $this->garden, 'firm' => $this->firm, 'link' => $this->link,
            ]);
    }

    public function toText(): string
    {
        return "$this->firm: what we do in {$this->garden->name} this season, and when: $this->link";
    }
}
