<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use Illuminate\Support\Facades\Gate;

/** What a lead sees beside the bench: how far each of the crew is, and whom to sign off. */
final readonly class CrewScreen
{
    /** A crew is a handful; of a firm's people no more are shown at once. */
    private const MOST = 40;

    public function __construct(private Exercises $exercises, private ExercisesScreen $bench)
    {
    }

    public function show(User $user): CrewPage
    {
        $methods = $this->exercises->methods();
        $query = User::query();
        if ($user->isPlanner()) {
            $query->whereNotNull('crew_id');
        } else {
            $query->where($user->leads($user->crew_id) ? 'crew_id' : 'id', $user->leads($user->crew_id)
                ? $user->crew_id
                : $user->id);
        }
        $query->orderBy('crew_id')->orderBy('name')->limit(self::MOST);
        $people = $query->get();
        $ids = array_values($people->map(static fn (User $person): int => $person->id)->all());
        $given = SignOff::query()->with('by');
        $given->whereIn('user_id', $ids);
        $signed = [];
        foreach ($given->get() as $signOff) {
            $signed[$signOff->user_id][$signOff->method] = $signOff;
        }
        $progresses = $this->bench->progresses($ids, $methods);
        $crew = [];
        foreach ($people as $person) {
            $crew[] = [
                'person' => $person, 'progress' => $progresses[$person->id],
                'signed' => $signed[$person->id] ?? [], 'may' => Gate::forUser($user)->allows('signOff', $person),
            ];
        }

        return new CrewPage($crew);
    }
}
