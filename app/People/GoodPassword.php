<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that is not among the first that anybody tries. */
final readonly class GoodPassword implements ValidationRule
{
    private const LEAST = 12;

    /** Beyond it the hash looks no further. */
    private const MOST_BYTES = 72;

    private const FOR_LETTERS = [
        '0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i',
    ];

    /** @param  list<string>  $own  names and addresses of whoever it is for */
    public function __construct(private array $own = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        $wrong = match (true) {
            mb_strlen($password) < self::LEAST => 'Use at least '.self::LEAST.' characters. Three or four unrelated '
                .'words are easy to remember.',
            strlen($password) > self::MOST_BYTES => 'Use at most '.self::MOST_BYTES.' characters.',
            self::isCommon($password) => 'That password is too common.',
            $this->isOwn($password) => 'That is too similar to your name or e-mail address.',
            default => null,
        };
        if ($wrong !== null) {
            $fail($wrong);
        }
    }

    /** The words of the list, however they are dressed up: "P4ssword2027!" is "password". */
    private static function isCommon(string $password): bool
    {
        $said = mb_strtolower($password);
        // "sunshinesunshine" is "sunshine".
        $said = (string) preg_replace('/^(.{3,}?)\1+$/u', '$1', $said);
        $bare = [];
        foreach (['/^$/', '/^[^a-z0-9]+|[^a-z0-9]+$/', '/^[^a-z]+|[^a-z]+$/'] as $dress) {
            $word = (string) preg_replace($dress, '', $said);
            $bare = [...$bare, $word, strtr($word, self::FOR_LETTERS)];
        }
        // Nothing but one sign, or a run of neighbours on the keys.
        $runs = '012345678901234567890qwertyuiopasdfghjklzxcvbnm98765432109876543210mnbvcxzlkjhgfdsapoiuytrewq'
            .'abcdefghijklmnopqrstuvwxyz';

        return array_filter(array_unique($bare), CommonPasswords::has(...)) !== []
            || count(array_unique(mb_str_split($password))) <= 3
            || str_contains($runs, $said);
    }

    private function isOwn(string $password): bool
    {
        foreach ($this->own as $said) {
            foreach ((array) preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($said)) as $word) {
                if (mb_strlen((string) $word) >= 4 && str_contains(mb_strtolower($password), (string) $word)) {
                    return true;
                }
            }
        }

        return false;
    }
}
