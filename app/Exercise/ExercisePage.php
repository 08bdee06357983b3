<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Support\Page;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Exercise\WrittenCuts;

/** A plant on the bench with the cuts marked so far. */
final readonly class ExercisePage extends Page
{
    /**
     * @param  bool  $stepped  back, to see what is left
     * @param  ?int  $nextAxis  to take in hand; null where none stands
     * @param  ?int  $previousAxis
     * @param  list<string>  $steps  each cut in words
     * @param  list<string>  $told  what could not be done
     * @param  int  $taken  per cent of its live buds
     */
    public function __construct(
        public Practised $practised,
        public WrittenCuts $written,
        public View $view,
        public bool $stepped,
        public Portrait $portrait,
        public ?Hand $hand,
        public ?int $nextAxis,
        public ?int $previousAxis,
        public array $steps,
        public array $told,
        public int $taken,
    ) {
    }

    /**
     * The link's parts as they stand, with others in their place; what is null is left out.
     *
     * @param  array<string, string|int|null>  $with
     * @return array<string, string|int>
     */
    public function link(array $with = []): array
    {
        return array_filter([
            'case' => $this->practised->key, 'seed' => $this->practised->seed, 'cuts' => $this->written->code(),
            'view' => $this->view->value, 'pick' => $this->hand?->axis, ...$with,
        ], static fn (string|int|null $part): bool => $part !== null && $part !== '');
    }
}
