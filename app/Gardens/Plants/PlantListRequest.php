<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Garden;
use App\Ground\Support\AskedRequest;
use App\Knowledge\Unnamed;
use Closure;
use Illuminate\Support\Facades\Gate;
use PruningHook\Core\PlantBook\PlantBook;

/** The lines of a list that are to be planted in the book, each with its kind. */
final class PlantListRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('update', $this->route('garden'));
    }

    /** What nobody knows has no tick: to say what it is kept as is to plant it. */
    protected function prepareForValidation(): void
    {
        $rows = (array) $this->input('rows');
        foreach ($rows as $index => $row) {
            if (is_array($row) && is_string($row['kind'] ?? null) && Unnamed::is($row['kind'])) {
                $rows[$index]['take'] = '1';
            }
        }
        $this->merge(['rows' => $rows]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rows' => ['required', 'array', 'max:'.PlantList::MOST],
            'rows.*.take' => ['nullable', 'in:1'],
            'rows.*.kind' => ['nullable', 'string', 'required_with:rows.*.take', self::known(...)],
            'rows.*.label' => ['nullable', 'string', 'required_with:rows.*.take', 'max:120'],
            'rows.*.bed' => ['nullable', 'string', 'max:80'],
            'rows.*.count' => ['nullable', 'required_with:rows.*.take', 'integer', 'between:1,9999'],
        ];
    }

    private static function known(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && $value !== '' && ! app(PlantBook::class)->has($value)) {
            $fail('The plant book has no such kind.');
        }
    }

    protected function getRedirectUrl(): string
    {
        $garden = $this->route('garden');

        return route('plants.list', $garden instanceof Garden ? $garden->id : 0);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'rows.required' => 'There is nothing to plant yet: write a list first.',
            'rows.*.kind.required_with' => 'Say which it is, or leave it out.',
            'rows.*.label.required_with' => 'Say what the crew calls it.',
            'rows.*.count.*' => 'A number from 1 to 9999.',
        ];
    }

    /** @return list<array<string, mixed>> */
    public function plants(): array
    {
        $plants = [];
        foreach ((array) $this->validated('rows') as $row) {
            $row = (array) $row;
            if (($row['take'] ?? null) === '1') {
                $plants[] = [
                    'kind' => $row['kind'], 'label' => $row['label'], 'bed' => $row['bed'] ?? null,
                    'count' => (int) (is_numeric($row['count'] ?? null) ? $row['count'] : 1),
                ];
            }
        }

        return $plants;
    }
}
