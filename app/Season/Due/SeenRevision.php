<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Models\Firm;

/**
 * The firm's revision as it stood before its kinds and its practice were read in this request or job. What is worked
 * out from them may be kept only while the firm still stands there.
 */
final class SeenRevision
{
    public int $number;

    public function __construct()
    {
        $this->number = self::now();
    }

    /** The practice is read anew from here on. */
    public function again(): void
    {
        $this->number = self::now();
    }

    public static function now(): int
    {
        return Firm::ours()->revision;
    }
}
