<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The firm itself: one row, since one firm is one database.
 *
 * @property string $name
 * @property array<string, string> $practice house practice, question to option
 */
final class Firm extends Model
{
    protected $fillable = ['name', 'practice'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practice' => 'array'];
    }

    protected $attributes = ['practice' => '{}'];

    public static function ours(): self
    {
        return self::query()->first() ?? new self(['name' => 'Your firm']);
    }
}
