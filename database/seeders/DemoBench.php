<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Exercise\Exercises;
use App\Exercise\HandIn;
use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Support\Today;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\Judge;

/** What the demo's hands have practised, well and less well, and what one of them is signed off for. */
final readonly class DemoBench
{
    /** Cases, and of the judge's cuts how many were made. */
    private const DONE = [
        'first-forsythia' => 99, 'first-grass' => 99, 'crowded-lilac' => 99, 'crowded-weigela' => 4,
        'rose-of-the-bed' => 3,
    ];

    public function __construct(private Exercises $exercises, private HandIn $handIn)
    {
    }

    public function seed(User $hand, User $lead): void
    {
        foreach (self::DONE as $case => $made) {
            $practised = $this->exercises->of($case, 1, Today::day());
            $right = (new Judge($practised->exercise, $this->exercises->cases()->marking))->answer();
            $this->handIn->marked(
                $hand, $practised, CutCode::of(array_slice($right->cuts, 0, $made)),
                $right->day ?? $practised->exercise->days[0],
            )->save();
        }
        SignOff::query()->create([
            'user_id' => $hand->id, 'method' => 'renew-by-thirds', 'by_id' => $lead->id,
            'on' => (string) Today::day()->minus(20),
        ]);
    }
}
