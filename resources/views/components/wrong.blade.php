@props(['field', 'bag', 'task' => null])
{{-- Beside a field: what is wrong with it, said by the office or on the phone. --}}
<div class="invalid-feedback d-block"
    @if ($task) id="wrong-{{ $task }}-{{ str_replace('.', '-', $field) }}" @endif
    data-wrong="{{ $field }}" role="alert" @if (! $bag->has($field)) hidden
    @endif>{{ $bag->first($field) }}</div>
