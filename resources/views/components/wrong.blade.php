@props(['field', 'bag'])
{{-- Beside a field: what is wrong with it, said by the office or on the phone. --}}
<div class="invalid-feedback d-block" data-wrong="{{ $field }}" role="alert" @if (! $bag->has($field)) hidden
    @endif>{{ $bag->first($field) }}</div>
