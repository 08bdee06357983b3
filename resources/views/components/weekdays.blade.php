@props(['name', 'label', 'value'])
@php($ticked = array_map(intval(...), Asked::listBefore($name, $value)))
<p class="form-label mb-1" id="{{ $name }}">{{ $label }}</p>
<div class="mb-3" role="group" aria-labelledby="{{ $name }}" @error($name) aria-describedby="{{ $name }}-wrong"
    @enderror>
    <input type="hidden" name="{{ $name }}[]" value="0">
    @foreach (Say::WEEKDAYS as $index => $weekday)
        <div class="form-check form-check-inline"><input class="form-check-input" type="checkbox"
            id="{{ $name }}-{{ $index + 1 }}" name="{{ $name }}[]" value="{{ $index + 1 }}"
            @checked(in_array($index + 1, $ticked, true))><label class="form-check-label"
            for="{{ $name }}-{{ $index + 1 }}">{{ $weekday }}</label></div>
    @endforeach
    @error($name)<p class="wrong-note mb-0" id="{{ $name }}-wrong">{{ $message }}</p>@enderror
</div>
