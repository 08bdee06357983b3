<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Change;
use App\Ground\Support\Today;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * A form that was opened before somebody else saved is not saved over theirs unseen: both are shown, and whoever has
 * seen both decides.
 */
final readonly class FreshForm
{
    /** @throws ValidationException with what the others made of it, by field */
    public static function hold(Request $request, Model $row): void
    {
        $seen = $request->input('_version');
        if (! is_string($seen) || ! ctype_digit($seen)) {
            return;
        }
        $since = Change::query()->with('user')->where('of', array_search($row::class, Change::ROWS, true));
        $since->where('row_id', $row->getKey())->where('id', '>', (int) $seen)->orderBy('id');
        $says = [];
        foreach ($since->get() as $change) {
            foreach ($change->after as $field => $value) {
                $input = (string) preg_replace('/_mm$/', '_cm', $field);
                $says[$input] = sprintf(
                    '%s made this %s on %s while you were writing.', $change->user->name ?? 'Somebody',
                    Fields::says($field, $value), Today::local($change->at)->format('j M, H:i'),
                );
            }
        }
        self::refuse($says);
    }

    /**
     * @param  array<string, string>  $says  what others made of it, by field; empty where nobody has
     *
     * @throws ValidationException
     */
    public static function refuse(array $says): void
    {
        if ($says !== []) {
            throw ValidationException::withMessages([
                ...$says, 'stale' => 'Somebody saved this since you opened it. What they changed stands beside its '
                    .'field; what you wrote is still here. Saving again keeps yours.',
            ]);
        }
    }
}
