<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** A person of the firm as the form gives them. */
final class PersonRequest extends AskedRequest
{
    public function authorize(): bool
    {
        $person = $this->route('person');

        return $person instanceof User ? Gate::allows('update', $person) : Gate::allows('create', User::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $person = $this->route('person');

        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => [
                'bail', 'required', 'string', 'max:190', 'email',
                Rule::unique('users')->ignore($person instanceof User ? $person->id : null),
            ],
            'role' => ['required', Rule::enum(Role::class)],
            'crew_id' => ['nullable', 'integer', Rule::exists('crews', 'id')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'What are they called?',
            'email.email' => 'That is no e-mail address: name@firm.example.',
            'email.required' => 'The letter with the link goes there, and they sign in with it.',
            'email.unique' => 'Somebody signs in with that address already.',
            'role' => 'Planner, lead or hand.',
            'crew_id' => 'There is no such crew.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $person = $this->route('person');
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->line('role') === Role::Lead->value && $this->line('crew_id') === '') {
                $validator->errors()->add('crew_id', 'Which crew do they lead?');
            }
            if ($person instanceof User && $person->isLastPlanner() && $this->line('role') !== Role::Planner->value) {
                $validator->errors()->add('role', 'Nobody else plans: make somebody else a planner first.');
            }
        });
    }

    /** @return array{name: string, email: string, role: Role, crew_id: ?int} */
    public function facts(): array
    {
        return [
            'name' => $this->line('name'), 'email' => mb_strtolower($this->line('email')),
            'role' => Role::from($this->line('role')),
            'crew_id' => $this->line('crew_id') === '' ? null : $this->integer('crew_id'),
        ];
    }
}
