<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\PlanDraft;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;

/**
 * A draft as it is looked at.
 *
 * @phpstan-import-type Step from PlanDraft
 */
final readonly class DraftPage extends Page
{
    /**
     * @param  array<int, Step>  $changes  those of this page, by their place
     * @param  list<array{name: string, present: string, planned: string}>  $costs
     * @param  string  $summary  how many visits are added, moved, changed and cancelled
     * @param  list<array{task: string, because: string, cure: string}>  $left
     * @param  array<int, string>  $crews
     * @param  array<int, string>  $gardens
     * @param  array<string, string>  $tasks  in words, by ref
     */
    public function __construct(
        public PlanDraft $draft,
        public Pages $pages,
        public array $changes,
        public array $costs,
        public string $summary,
        public array $left,
        public array $crews,
        public array $gardens,
        public array $tasks,
    ) {
    }
}
