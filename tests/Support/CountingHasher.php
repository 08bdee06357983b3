<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Hashing\BcryptHasher;
use SensitiveParameter;

/** Counts how often a password is hashed, which is what takes the time of signing in. */
final class CountingHasher extends BcryptHasher
{
    public int $hashed = 0;

    public function __construct()
    {
        parent::__construct(['rounds' => 4]);
    }

    public function isHashed(string $value): bool
    {
        return $this->info($value)['algo'] !== null;
    }

    /** @param  array<string, mixed>  $options */
    public function make(#[SensitiveParameter] $value, array $options = []): string
    {
        $this->hashed++;

        return parent::make($value, $options);
    }

    /**
     * @param  ?string  $hashedValue
     * @param  array<string, mixed>  $options
     */
    public function check(#[SensitiveParameter] $value, $hashedValue, array $options = []): bool
    {
        $this->hashed++;

        return parent::check($value, $hashedValue, $options);
    }
}
