<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\InOneStroke;
use Illuminate\Database\Eloquent\Model;

/**
 * The firm itself: one row, since one firm is one database.
 *
 * @property int $id
 * @property string $name
 * @property int $revision raised by every change that all gardens rest on
 * @property int $kinds_revision raised by every change of the firm's own kinds
 * @property ?string $signs_weighed_by the book and kinds by which the signs were last weighed
 * @property array<string, string> $practice house practice, question to option
 */
final class Firm extends Model
{
    use InOneStroke;

    protected $fillable = ['name', 'practice'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practice' => 'array'];
    }

    protected $attributes = ['practice' => '{}', 'revision' => 1, 'kinds_revision' => 1];

    public static function ours(): self
    {
        return self::query()->first() ?? new self(['name' => 'Your firm']);
    }
}
