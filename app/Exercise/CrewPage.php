<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Support\Page;
use PruningHook\Core\Exercise\Progress;

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
