<?php

declare(strict_types=1);

namespace App\Models;

/** Several of the firm's own kinds changed at one stroke, without each saying so for itself. */
final readonly class OwnKindsChanged
{
}
