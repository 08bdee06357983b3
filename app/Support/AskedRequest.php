<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;

/** A form that is checked before anything is kept of it. */
abstract class AskedRequest extends FormRequest
{
    /** Text, whatever was sent. */
    final public function line(string $field): string
    {
        return Asked::text($this, $field);
    }

    /** What was sent in no shape the form has is told, and not filled in again. */
    protected function failedValidation(Validator $validator): void
    {
        $rules = method_exists($this, 'rules') ? $this->rules() : [];
        foreach ($this->all() as $field => $value) {
            $rule = (array) ($rules[$field] ?? ['array']);
            if (is_array($value) && ! in_array('array', $rule, true)) {
                $this->request->remove((string) $field);
                $this->json()->remove((string) $field);
            }
        }
        parent::failedValidation($validator);
    }
}
