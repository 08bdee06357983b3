@props(['name', 'label', 'value' => null, 'type' => 'text', 'help' => null, 'required' => false, 'options' => null,
    'empty' => null, 'width' => null, 'bag' => 'default'])
@php
    $key = str_replace(['[', ']'], ['.', ''], $name);
    $id = 'f-'.str_replace('.', '-', $key);
    $id = $bag === 'default' ? $id : "$id-$bag";
    $said = Asked::isOf($errors, $bag) ? Asked::before($key, $value) : $value;
    $wrong = $errors->getBag($bag)->first($key);
    $described = trim(($help !== null ? "$id-help " : '').($wrong === '' ? '' : "$id-wrong"));
@endphp
<div class="mb-3 {{ $width }}">
    <label class="form-label" for="{{ $id }}">{{ $label }}@if ($required)
        <span class="soft">(needed)</span>@endif</label>
    @if ($options !== null)
        <select @class(['form-select', 'is-invalid' => $wrong !== '']) id="{{ $id }}" name="{{ $name }}"
            @if ($described) aria-describedby="{{ $described }}" @endif>
            @if ($empty !== null)<option value="">{{ $empty }}</option>@endif
            @foreach ($options as $option => $text)
                <option value="{{ $option }}" @selected((string) $said === (string) $option && $said !==
                    null)>{{ $text }}</option>
            @endforeach
        </select>
    @elseif ($type === 'textarea')
        <textarea @class(['form-control', 'is-invalid' => $wrong !== '']) id="{{ $id }}" name="{{ $name }}" rows="3"
            @if ($described) aria-describedby="{{ $described }}" @endif>{{ $said }}</textarea>
    @else
        <input @class(['form-control', 'is-invalid' => $wrong !== '']) type="{{ $type }}" id="{{ $id }}"
            name="{{ $name }}" value="{{ $said }}" @if ($required) aria-required="true" @endif
            @if ($described) aria-describedby="{{ $described }}" @endif {{ $attributes }}>
    @endif
    @if ($wrong !== '')<div class="invalid-feedback d-block" id="{{ $id }}-wrong">{{ $wrong }}</div>@endif
    @if ($help !== null)<div class="form-text" id="{{ $id }}-help">{{ $help }}</div>@endif
</div>
