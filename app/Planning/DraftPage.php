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
     * @param  array<string, int>  $counts  changes by kind
     * @param  list<array{task: string, because: string, cure: string}>  $left
     * @param  array<int, string>  $crews
     * @param  array<int, string>  $gardens
     * @param  array<string, string>  $tasks  in words, by ref
     */
    public function __construct(
        public PlanDraft $draft,
        public Pages $pages,
        public array $changes,
        public array $counts,
        public array $left,
        public array $crews,
        public array $gardens,
        public array $tasks,
    ) {
    }
}
