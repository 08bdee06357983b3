<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Everything kept about one person, as JSON: what they are, and every row that names them. */
final readonly class OwnData
{
    /** Columns that name a person, by table. */
    public const NAMED_IN = [
        'devices' => ['user_id'],
        'pin_browsers' => ['user_id'],
        'security_events' => ['user_id', 'about_id'],
        'entries' => ['said_by'],
        'work_logs' => ['logged_by'],
        'photos' => ['taken_by'],
        'stem_taps' => ['said_by'],
        'bloom_notes' => ['noted_by'],
        'observations' => ['seen_by'],
        'visits' => ['planned_by'],
        'plan_drafts' => ['asked_by'],
        'own_kinds' => ['written_by'],
        'bench_answers' => ['user_id'],
        'sign_offs' => ['user_id', 'by_id'],
        'client_links' => ['made_by'],
        'client_words' => ['heard_by'],
        'feeds' => ['made_by'],
        'imports' => ['user_id'],
        'changes' => ['user_id'],
        'webhooks' => ['made_by'],
        'personal_access_tokens' => ['tokenable_id'],
    ];

    /** Secrets, and results as large as a season. */
    private const LEFT_OUT = [
        'password', 'remember_token', 'session_version', 'code_secret', 'code_step', 'code_spares', 'digest', 'result',
        'token', 'secret', 'pin', 'browser',
    ];

    private const AT_ONCE = 500;

    /** Writes it to the output as it is read. */
    public function write(User $person): void
    {
        echo '{"person":', self::json((array) DB::table('users')->where('id', $person->id)->first());
        foreach (self::NAMED_IN as $table => $columns) {
            echo ",\n\"$table\":[";
            $rows = DB::table($table)->where(static function (Builder $any) use ($columns, $person): void {
                foreach ($columns as $column) {
                    $any->orWhere($column, $person->id);
                }
            });
            $comma = '';
            foreach ($rows->lazyById(self::AT_ONCE) as $row) {
                echo $comma, "\n", self::json((array) $row);
                $comma = ',';
            }
            echo ']';
        }
        echo "}\n";
    }

    /** @param  array<array-key, mixed>  $row */
    private static function json(array $row): string
    {
        $read = array_map(
            static fn (mixed $value): mixed => is_string($value) && preg_match('/^[\[{]/', $value) === 1
                ? json_decode($value, true) ?? $value
                : $value,
            array_diff_key($row, array_flip(self::LEFT_OUT)),
        );

        return (string) json_encode(
            $read, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }
}
