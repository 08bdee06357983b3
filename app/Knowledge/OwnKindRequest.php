<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Models\Firm;
use App\Ground\Models\OwnKind;
use App\Ground\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Validation\Validator;
use PruningHook\Core\PlantBook\PlantBook;

/** What the planner says of a kind: a correction of the plant book's, or a kind of the firm's own. */
final class OwnKindRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('update', Firm::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'note' => ['required', 'string', 'max:500'],
            'name' => ['required', 'string', 'max:80'],
            'botanical' => ['required', 'string', 'max:80'],
            '*_mm' => ['nullable'],
            'typical_height_mm' => ['required', 'numeric', 'between:1,6000'],
            'lowest_framework_mm' => ['nullable', 'numeric', 'between:0,500'],
            'usual_cut_mm' => ['nullable', 'numeric', 'between:0,1000'],
            'growth_mm.min' => ['nullable', 'numeric', 'between:0,500', 'required_with:growth_mm.max'],
            'growth_mm.max' => [
                'nullable', 'numeric', 'between:0,500', 'required_with:growth_mm.min', 'gte:growth_mm.min',
            ],
            'removal_cap.percent' => ['nullable', 'integer', 'between:0,100'],
            'closures' => ['array', 'max:12'],
            'tasks.*.minutes.base' => ['nullable', 'integer', 'between:0,1440'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.required' => 'Say why the firm knows better: whoever reads it next year will ask.',
            'growth_mm.max.gte' => 'The most cannot be less than the least.'];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        return [
            'typical_height_mm' => 'usual height',
            'lowest_framework_mm' => 'lowest framework',
            'usual_cut_mm' => 'usual cut',
            'growth_mm.min' => 'least growth',
            'growth_mm.max' => 'most growth',
            'removal_cap.percent' => 'share',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->like() !== null && app(PlantBook::class)->bears($this->line('name'))) {
                $validator
                    ->errors()
                    ->add(
                        'name',
                        'The plant book knows this name already. Correct that kind instead, or choose another name.',
                    );

                return;
            }
            // A closure that was taken away leaves its row in the form and none in the entry.
            $rows = array_keys(
                KindForm::closures((array) ($this->base()['closures'] ?? []), (array) $this->input('closures', [])),
            );
            foreach ($this->form()->faults($this->complete(), $this->own()) as $field => $says) {
                $validator
                    ->errors()
                    ->add(
                        (string) preg_replace_callback(
                            '/^closures\.(\d+)/',
                            static fn (array $row): string => 'closures.'.($rows[(int) $row[1]] ?? $row[1]),
                            $field,
                        ),
                        $says,
                    );
            }
        });
    }

    /** The kind's id: the book's own, or made of its name. */
    public function kind(): string
    {
        $kind = $this->route('kind');

        return is_string($kind) ? $kind : Str::slug($this->line('name'));
    }

    /** The kind a new one is begun from; null where the plant book's own is corrected. */
    public function like(): ?string
    {
        $kind = $this->route('kind');

        return is_string($kind)
            ? OwnKind::query()->where('kind', $kind)->latest('id')->value('like')
            : $this->line('like');
    }

    public function own(): OwnEntry
    {
        return new OwnEntry($this->kind(), $this->like(), KindForm::difference($this->base(), $this->complete()));
    }

    /** @return array<array-key, mixed> */
    private function complete(): array
    {
        /** @var array<string, mixed> $said */
        $said = $this->all();

        return $this->form()->complete($this->base(), $said);
    }

    /** @return array<array-key, mixed> */
    private function base(): array
    {
        $like = $this->like();
        abort_if(app(PlantBook::class)->find($like ?? $this->kind()) === null, 404);

        return $this->form()->base($this->kind(), $like);
    }

    private function form(): KindForm
    {
        return app(KindForm::class);
    }
}
