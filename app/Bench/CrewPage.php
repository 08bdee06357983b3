<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\SignOff;
use App\Models\User;
use App\Support\Page;
use PruningHook\Core\Bench\Progress;

/** How far each of some people is, and for what they are signed off. */
final readonly class CrewPage extends Page
{
    /**
     * @param  list<array{person: User, progress: Progress, signed: array<string, SignOff>, may: bool}>  $crew
     */
    public function __construct(public array $crew)
    {
    }
}
