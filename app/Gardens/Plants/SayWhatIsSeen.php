<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\StateFacts;
use App\Ground\Models\Plant;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Prescription\GivenFacts;

/**
 * What a crew says with one tap of a plant it stands before: neglected, thirsty, ill, died back. It takes effect at
 * once.
 *
 * @phpstan-import-type Facts from StateFacts
 */
final readonly class SayWhatIsSeen
{
    public function __construct(private PlantBook $book, private RenewSheets $sheets)
    {
    }

    /**
     * @param  ?string  $value  null where it is no longer so
     * @return ?string what was said of the fact before
     *
     * @throws ValidationException where it cannot be, on the field `seen`
     */
    public function say(Plant $plant, string $fact, ?string $value, Day $today): ?string
    {
        if (! in_array($fact, ['condition', 'stress', 'disease', 'dieback_percent'], true)) {
            throw ValidationException::withMessages(['seen' => 'Nothing of the sort is asked of a plant.']);
        }
        $before = $plant->state[$fact] ?? null;
        $state = $plant->state;
        unset($state[$fact]);
        if ($value !== null) {
            $state[$fact] = $this->value($fact, $value);
        }
        /** @var Facts $facts */
        $facts = $state;
        $told = $this->book->has($plant->kind)
            ? Contradictions::of(
                $this->book->kind($plant->kind), $this->book, new GivenFacts(StateFacts::read($facts)),
            )
            : [];
        if (isset($told[$fact])) {
            throw ValidationException::withMessages(['seen' => ucfirst($told[$fact]).'.']);
        }
        DB::transaction(function () use ($plant, $state, $today): void {
            $plant->update(['state' => $state]);
            $this->sheets->of($plant, $today);
        });

        return is_scalar($before) ? (string) $before : null;
    }

    private function value(string $fact, string $value): string|int
    {
        $known = match ($fact) {
            'condition' => Upkeep::tryFrom($value)?->value,
            'stress' => Stress::tryFrom($value)?->value,
            'disease' => $this->book->states->disease($value)->key ?? $value,
            default => ctype_digit($value) && (int) $value <= 100 ? (int) $value : null,
        };

        return $known ?? throw ValidationException::withMessages(['seen' => 'That cannot be said of a plant.']);
    }
}
