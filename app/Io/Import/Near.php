<?php

declare(strict_types=1);

namespace App\Io\Import;

/** What somebody may have meant by a word that is slightly off. */
final readonly class Near
{
    /** Signs that may be off, at the most. */
    private const FAR = 4;

    private const LONGEST = 60;

    /** @param  list<string>  $known */
    public static function to(string $said, array $known): ?string
    {
        $said = mb_strtolower(mb_substr($said, 0, self::LONGEST));
        $far = min(self::FAR, intdiv(strlen($said), 2)) + 1;
        $near = null;
        foreach ($known as $each) {
            $off = levenshtein($said, mb_strtolower(mb_substr($each, 0, self::LONGEST)));
            if ($off < $far) {
                [$far, $near] = [$off, $each];
            }
        }

        return $near;
    }
}
