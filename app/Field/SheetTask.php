<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\Entry;
use App\Ground\Models\VisitTask;
use Illuminate\Support\HtmlString;
use PruningHook\Core\Structure\Judgement;

/** One task as its page of the sheet shows it. */
final readonly class SheetTask
{
    private const AT_BLOOM = 'follow-at-bloom';

    /**
     * @param  ?array{bowl: HtmlString, judged: Judgement}  $plan  stem by stem, where one was put on the sheet
     * @param  list<Entry>  $standing  what stands of what was said of it, as it was said
     * @param  ?int  $mayGo  per cent of live growth that may still go this season; null where nobody knows the cap
     * @param  string  $again  when else it could be done, in words
     * @param  array<string, mixed>  $says  what can be said of the plant with a tap
     * @param  list<string>  $asks  who may do it, where not everyone may alone
     * @param  ?float  $rainMm  since the cut it waters in after; null for all other tasks
     * @param  list<string>  $left  what was left for this year the last time
     */
    public function __construct(
        public VisitTask $task,
        public ?array $plan,
        public ?HtmlString $drawn,
        public array $standing,
        public ?int $mayGo,
        public string $again,
        public array $says,
        public array $asks,
        public array $left,
        public ?float $rainMm,
    ) {
    }

    /** True where somebody comes back to see how it flowers, which is noted with the plant. */
    public function looksAtBloom(): bool
    {
        return $this->task->task === self::AT_BLOOM;
    }

    /** False where somebody only comes back and looks. */
    public function isCut(): bool
    {
        return $this->task->isCut();
    }

    /** @return list<string> names of what stands, for whoever corrects it */
    public function names(): array
    {
        return array_map(static fn (Entry $entry): string => $entry->uuid, $this->standing);
    }

    /** @return list<string> names of all that was ever said of it */
    public function known(): array
    {
        return array_values($this->task->entries->map(static fn (Entry $entry): string => $entry->uuid)->all());
    }

    /** @return array<string, string> stems of the plan that somebody may leave for next year, by ref */
    public function stems(): array
    {
        $stems = [];
        foreach ($this->task->cut_plan['state']['stems'] ?? [] as $stem) {
            $stems[(string) $stem['ref']] = 'stem '.$stem['ref'];
        }

        return $stems;
    }
}
