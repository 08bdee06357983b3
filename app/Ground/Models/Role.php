<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What a person of the firm may do. */
enum Role: string
{
    /** Plans everything, for all crews. */
    case Planner = 'planner';
    /** Runs a crew's round: plans, edits and logs in the gardens of that crew. */
    case Lead = 'lead';
    /** Works on the crew's visits and logs them. */
    case Hand = 'hand';
}
