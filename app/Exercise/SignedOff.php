<?php

declare(strict_types=1);

namespace App\Exercise;

use Illuminate\Support\Facades\DB;

/** Who of a crew does which method without being watched. */
final readonly class SignedOff
{
    public function __construct(private Exercises $exercises)
    {
    }

    /**
     * Of some methods those that can be practised, with who is signed off for them.
     *
     * @param  list<string>  $methods
     * @return array<string, list<string>> names by method; empty where nobody of the crew is
     */
    public function of(int $crew, array $methods): array
    {
        $known = array_flip($this->exercises->methods());
        $signed = [];
        foreach (array_unique($methods) as $method) {
            if (isset($known[$method])) {
                $signed[$method] = [];
            }
        }
        // A firm that signs nobody off is not told so on every sheet.
        if ($signed === [] || DB::table('sign_offs')->doesntExist()) {
            return [];
        }
        foreach (DB::table('sign_offs')->join('users', 'users.id', '=', 'sign_offs.user_id')
            ->where('users.crew_id', $crew)->whereIn('method', array_keys($signed))->orderBy('users.name')
            ->get(['method', 'name']) as $row) {
            $signed[(string) $row->method][] = (string) $row->name;
        }

        return $signed;
    }

    /**
     * The same in a sentence for a sheet.
     *
     * @param  list<string>  $names
     */
    public static function inWords(array $names): string
    {
        return $names === []
            ? 'nobody of the crew is signed off for it: the lead watches'
            : 'signed off for it: '.implode(', ', $names);
    }
}
