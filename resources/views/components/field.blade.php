@props(['name', 'label', 'value' => null, 'type' => 'text', 'help' => null, 'required' => false, 'options' => null,
    'empty' => null, 'width' => null])
@use('App\Support\Asked')
@php
    $key = str_replace(['[', ']'], ['.', ''], $name);
    $id = 'f-'.str_replace('.', '-', $key);
    $said = Asked::before($key, $value);
    $described = trim(($help !== null ? "$id-help " : '').($errors->has($key) ? "$id-wrong" : ''));
@endphp
<div class="mb-3 {{ $width }}">
    <label class="form-label" for="{{ $id }}">{{ $label }}@if ($required)
        <span class="soft">(needed)</span>@endif</label>
    @if ($options !== null)
        <select class="form-select @error($key) is-invalid @enderror" id="{{ $id }}" name="{{ $name }}"
            @if ($described) aria-describedby="{{ $described }}" @endif>
            @if ($empty !== null)<option value="">{{ $empty }}</option>@endif
            @foreach ($options as $option => $text)
                <option value="{{ $option }}" @selected((string) $said === (string) $option && $said !==
                    null)>{{ $text }}</option>
            @endforeach
        </select>
    @elseif ($type === 'textarea')
        <textarea class="form-control @error($key) is-invalid @enderror" id="{{ $id }}" name="{{ $name }}" rows="3"
            @if ($described) aria-describedby="{{ $described }}" @endif>{{ $said }}</textarea>
    @else
        <input class="form-control @error($key) is-invalid @enderror" type="{{ $type }}" id="{{ $id }}"
            name="{{ $name }}" value="{{ $said }}" @if ($required) aria-required="true" @endif
            @if ($described) aria-describedby="{{ $described }}" @endif {{ $attributes }}>
    @endif
    @error($key)<div class="invalid-feedback d-block" id="{{ $id }}-wrong">{{ $message }}</div>@enderror
    @if ($help !== null)<div class="form-text" id="{{ $id }}-help">{{ $help }}</div>@endif
</div>
