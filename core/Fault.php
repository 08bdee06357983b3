<?php

declare(strict_types=1);

namespace PruningHook\Core;

use InvalidArgumentException;

/** Something given to the core is wrong: the message says what, in words fit for the person who gave it. */
class Fault extends InvalidArgumentException
{
}
