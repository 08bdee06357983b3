<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

use RuntimeException;

/** A program elsewhere did not take a message; says why, in words for the planner. */
final class NotDelivered extends RuntimeException
{
}
