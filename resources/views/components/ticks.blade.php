@props(['name', 'legend', 'options'])
{{-- A list of boxes to tick; ticked again where the form came back. --}}
@php
    $ticked = Asked::listBefore($name);
    $wrong = $errors->first($name) ?: $errors->first("$name.*");
@endphp
<fieldset class="mb-3">
    <legend class="form-label">{{ $legend }}</legend>
    @foreach ($options as $value => $text)
        <div class="form-check"><input class="form-check-input" type="checkbox" id="t-{{ $name }}-{{ $loop->index }}"
            name="{{ $name }}[]" value="{{ $value }}" @checked(in_array($value, $ticked, true))><label
            class="form-check-label" for="t-{{ $name }}-{{ $loop->index }}">{{ $text }}</label></div>
    @endforeach
    @if ($wrong)<div class="invalid-feedback d-block">{{ $wrong }}</div>@endif
</fieldset>
