<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** A visit was planned, moved or cancelled by a query, which fires no event of the model. */
final readonly class VisitChanged
{
    public function __construct(public WebhookEvent $what, public Visit $visit)
    {
    }
}
