<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Models\Garden;
use App\Ground\Support\Page;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;

/** The anchors of the year, and their days in the firm's first garden. */
final readonly class AnchorPage extends Page
{
    /**
     * @param  list<array{anchor: Anchor, day: ?Day}>  $anchors
     */
    public function __construct(
        public ?Garden $garden,
        public ?int $season,
        public array $anchors,
    ) {
    }
}
