<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Finding;
use App\Ground\Models\Hindrance;
use App\Ground\Models\VisitTask;
use App\Ground\Support\LengthField;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Validation\Rule;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Outcome;

/**
 * What may be said of a task, by whichever way it comes. What cannot be is refused; what is hard to believe is asked
 * about, and kept once it has been said again.
 *
 * @phpstan-type Said array{outcome: string, on?: ?string, why?: ?string, told?: ?string, minutes?: ?int,
 *     removed_percent?: ?int, over_cap_reason?: ?string,
 *     amounts?: list<array{effect?: string, what: string, unit: string, value: int}>,
 *     findings?: list<string>, blades?: ?bool, note?: ?string, left_for_next_year?: ?string, left_stem?: ?string}
 */
final readonly class LogRules
{
    /** Beyond so many times the most that was asked for, an amount is asked about. */
    private const FAR_OVER = 4;

    /** And minutes beyond so many times the prescribed, and this many at least. */
    private const LONG_MINUTES = 240;

    /** No number on a sheet is larger. */
    private const MOST = 1_000_000;

    /** Counted beside what the prescription asks for: field, words, unit, effect. */
    public const MORE = [
        'height_before' => ['height before', 'cm', Effect::HeightBefore],
        'height_after' => ['height after', 'cm', Effect::HeightAfter],
        'stems_old' => ['old stems out', '', Effect::OldStemsOut],
        'stems_young' => ['young stems out', '', Effect::YoungStemsOut],
    ];

    public function __construct(private SeasonBudget $budgets)
    {
    }

    /** @return array<string, mixed> */
    public static function rules(): array
    {
        return [
            'outcome' => ['required', Rule::enum(Outcome::class)],
            'on' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:'.Today::day()],
            'why' => [
                'nullable', 'required_if:outcome,partly', 'required_if:outcome,not-done', Rule::enum(Hindrance::class),
            ],
            'told' => ['nullable', 'string', 'max:100'],
            'minutes' => [
                'nullable', 'required_if:outcome,done', 'required_if:outcome,changed', 'required_if:outcome,partly',
                'integer', 'between:0,1440',
            ],
            'removed_percent' => ['nullable', 'integer', 'between:0,100'],
            'over_cap_reason' => ['nullable', 'string', 'max:300'],
            'amounts' => ['array'],
            'amounts.*' => ['nullable', 'integer', 'between:0,100000'],
            'more' => ['array'],
            'more.*' => ['nullable', 'integer', 'between:0,10000'],
            'findings' => ['array'],
            'findings.*' => [Rule::enum(Finding::class)],
            'blades' => ['nullable', 'boolean'],
            'note' => ['nullable', 'string', 'max:2000'],
            'left_for_next_year' => ['nullable', 'string', 'max:500'],
            'left_stem' => ['nullable', 'string', 'max:16'],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'outcome.required' => 'Tap how it went.',
            'on.date_format' => 'That is not a day of the calendar.',
            'on.before_or_equal' => 'Nothing is done on a day that has not come.',
            'why.required_if' => 'Tap why it was not all done.',
            'minutes.required_if' => 'How many minutes did it take?',
            'removed_percent.between' => 'A share lies between 0 and 100 per cent.',
            'minutes.between' => 'Minutes lie between 0 and a whole day (1440).',
            'amounts.*.integer' => 'A whole number, please.',
            'more.*.integer' => 'A whole number, please.',
        ];
    }

    /** @param  array<array-key, mixed>  $given */
    public function look(Validator $validator, VisitTask $task, array $given): void
    {
        if ($validator->errors()->isNotEmpty()) {
            return;
        }
        $this->cap($validator, $task, $given);
        $on = self::text($given, 'on');
        $planted = $task->plant->planted_on;
        if ($on !== null && $planted !== null && Day::parse($on)->isBefore($planted)) {
            $validator->errors()->add('on', 'It was only planted on '.Say::date($planted).'.');
        }
        // What was tapped before it was done after all stops nothing.
        $outcome = Outcome::tryFrom(self::text($given, 'outcome') ?? '');
        $why = $outcome?->isDone() === true ? null : Hindrance::tryFrom(self::text($given, 'why') ?? '');
        if ($why?->isStop() === true && self::text($given, 'told') === null) {
            $validator->errors()->add('told', 'Who have you told? Choose one.');
        }
        if (! filter_var($given['sure'] ?? false, FILTER_VALIDATE_BOOL)) {
            foreach (self::doubts($task, $given) as $field => $doubt) {
                $validator->errors()->add($field, $doubt);
                $validator->errors()->add('sure', 'Say it again if it is so.');
            }
        }
    }

    /**
     * What was said, in the shape it is kept in: lengths in mm, what was counted by what it does.
     *
     * @param  array<array-key, mixed>  $given
     * @return Said
     */
    public static function said(VisitTask $task, array $given): array
    {
        $outcome = Outcome::from((string) self::text($given, 'outcome'));
        $something = $outcome->isSomething();
        $findings = array_values(array_filter((array) ($given['findings'] ?? []), is_string(...)));

        return [
            'outcome' => $outcome->value,
            'on' => self::text($given, 'on'),
            'why' => $outcome->isDone() ? null : self::text($given, 'why'),
            'told' => $outcome->isDone() ? null : self::text($given, 'told'),
            'minutes' => $something ? self::number($given['minutes'] ?? null) : null,
            'removed_percent' => $something ? self::number($given['removed_percent'] ?? null) : null,
            'over_cap_reason' => self::text($given, 'over_cap_reason'),
            'amounts' => $something ? self::amounts($task, $given) : [],
            'findings' => $findings,
            'blades' => isset($given['blades']) ? filter_var($given['blades'], FILTER_VALIDATE_BOOL) : null,
            'note' => self::text($given, 'note'),
            'left_for_next_year' => self::text($given, 'left_for_next_year'),
            'left_stem' => self::text($given, 'left_stem'),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<array{effect?: string, what: string, unit: string, value: int}>
     */
    private static function amounts(VisitTask $task, array $given): array
    {
        $amounts = [];
        $counted = (array) ($given['amounts'] ?? []);
        foreach ($task->prescribed->amounts as $index => $amount) {
            $value = self::number($counted[$index] ?? null);
            if ($value !== null) {
                $amounts[] = $amount->logged(LengthField::kept($amount, $value));
            }
        }

        return [...$amounts, ...self::more((array) ($given['more'] ?? []), array_column($amounts, 'effect'))];
    }

    /**
     * What was counted beside what was asked for.
     *
     * @param  array<array-key, mixed>  $counted
     * @param  list<string>  $effects  of what was asked for and counted
     * @return list<array{effect?: string, what: string, unit: string, value: int}>
     */
    private static function more(array $counted, array $effects): array
    {
        $more = [];
        foreach (self::MORE as $field => [$what, $unit, $effect]) {
            $value = self::number($counted[$field] ?? null);
            if ($value !== null && ! in_array($effect->value, $effects, true)) {
                $more[] = [
                    'effect' => $effect->value,
                    'what' => $what, 'unit' => $unit === 'cm' ? 'mm' : $unit,
                    'value' => $unit === 'cm' ? (int) LengthField::mm($value) : $value,
                ];
            }
        }

        return $more;
    }

    /**
     * What is hard to believe, by field.
     *
     * @param  array<array-key, mixed>  $given
     * @return array<string, string>
     */
    private static function doubts(VisitTask $task, array $given): array
    {
        $doubts = [];
        $more = (array) ($given['more'] ?? []);
        [$before, $after] = [self::number($more['height_before'] ?? null), self::number($more['height_after'] ?? null)];
        if ($before !== null && $after !== null && $after > $before) {
            $doubts['more.height_after'] = "$after cm after the cut, taller than the $before cm before it?";
        }
        foreach ($task->prescribed->amounts as $index => $amount) {
            $value = self::number(((array) ($given['amounts'] ?? []))[$index] ?? null);
            if ($value !== null && LengthField::kept($amount, $value) > self::FAR_OVER * max(1, $amount->max)) {
                $doubts["amounts.$index"] = "$value? Asked for was ".Say::amount($amount).'.';
            }
        }
        $minutes = self::number($given['minutes'] ?? null);
        if ($minutes !== null && $minutes > max(self::LONG_MINUTES, self::FAR_OVER * $task->minutes)) {
            $doubts['minutes'] = "$minutes minutes? Prescribed were $task->minutes.";
        }

        return $doubts;
    }

    /**
     * More than the season's cap is logged as it was done, but never without saying why.
     *
     * @param  array<array-key, mixed>  $given
     */
    private function cap(Validator $validator, VisitTask $task, array $given): void
    {
        $percent = self::number($given['removed_percent'] ?? null);
        if (
            $percent === null || self::text($given, 'over_cap_reason') !== null
            || $validator->errors()->has('removed_percent')
        ) {
            return;
        }
        $budget = $this->budgets->before($task);
        if ($budget !== null && $percent > $budget->leftPercent()) {
            $validator->errors()->add('removed_percent', sprintf(
                '%d %% is over the cap: %d %% may go in a season%s. It will answer with watershoots, fewer flowers or '
                    .'dieback. If it was done, say why.',
                $percent, $budget->capPercent,
                $budget->usedPercent === 0 ? '' : sprintf(' and %d %% has gone', $budget->usedPercent),
            ));
            $validator->errors()->add('over_cap_reason', 'Why was more taken?');
        }
    }

    /** @param  array<array-key, mixed>  $given */
    private static function text(array $given, string $field): ?string
    {
        $text = $given[$field] ?? null;

        return is_string($text) && trim($text) !== '' ? trim($text) : null;
    }

    private static function number(mixed $value): ?int
    {
        $number = filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => self::MOST]]);

        return $number === false ? null : $number;
    }
}
