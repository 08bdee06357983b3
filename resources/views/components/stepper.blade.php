@props(['id', 'name', 'label', 'by', 'bag', 'value' => null, 'help' => null, 'task' => null])
@php($field = str_replace(['[', ']'], ['.', ''], $name))
<div class="log-field">
    <label class="form-label" for="{{ $id }}">{{ $label }}</label>
    <div class="stepper">
        <button type="button" aria-label="{{ $label }}: less" @click="step($refs['{{ $id }}'], -{{ $by }})">−</button>
        <input class="form-control @if ($bag->has($field)) is-invalid @endif" type="number" inputmode="numeric" min="0"
            id="{{ $id }}" x-ref="{{ $id }}" name="{{ $name }}" value="{{ $value }}" aria-describedby="{{ $id }}-wrong">
        <button type="button" aria-label="{{ $label }}: more" @click="step($refs['{{ $id }}'], {{ $by }})">+</button>
    </div>
    <div id="{{ $id }}-wrong"><x-wrong :field="$field" :bag="$bag" :task="$task" /></div>
    @if ($help)<div class="form-text">{{ $help }}</div>@endif
</div>
