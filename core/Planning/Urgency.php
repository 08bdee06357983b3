<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

/** Where a task stands on a day, the most pressing first. */
enum Urgency: string
{
    /** Open now, and closes within two weeks. */
    case Closing = 'closing';
    /** Open now. */
    case Open = 'open';
    /** Opens within the next six weeks. */
    case Coming = 'coming';
    /** Its window passed lately without the work being logged. */
    case Missed = 'missed';
    /** Logged as done. */
    case Done = 'done';
    /** Further off than anyone plans for today. */
    case Later = 'later';
}
