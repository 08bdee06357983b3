<?php

declare(strict_types=1);

namespace App\Office\Messages;

use App\Ground\Models\Letter;
use App\Ground\Support\ResetPasswordNotification;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Email;

/** Mail that goes no farther than the post office's own book; `MAIL_MAILER=smtp` sends it out instead. */
final class SimulatedMail extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $email = $message->getOriginalMessage();
        if (! $email instanceof Email) {
            throw new TransportException('the post office takes letters that name whom they go to');
        }
        foreach ($email->getTo() as $to) {
            Letter::take([
                'channel' => 'mail', 'to' => $to->getAddress(), 'subject' => (string) $email->getSubject(),
                'body' => self::text((string) ($email->getTextBody() ?? $email->getHtmlBody())),
                'is_private' => $email->getHeaders()->has(ResetPasswordNotification::PRIVATE),
            ]);
        }
    }

    public function __toString(): string
    {
        return 'post://simulated';
    }

    /** The text of a letter, without its tags. */
    public static function text(string $html): string
    {
        $text = preg_replace(['/\s+/', '~</(p|li|h\d)>\s*~i', '~<br\s*/?>~i'], [' ', "\n\n", "\n"], $html);

        return trim(html_entity_decode(strip_tags((string) $text), ENT_QUOTES | ENT_HTML5, 'UTF-8'));
    }
}
