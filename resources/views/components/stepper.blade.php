@props(['id', 'name', 'label', 'by', 'value' => null, 'wrong' => [], 'help' => null])
<div class="log-field">
    <label class="form-label" for="{{ $id }}">{{ $label }}</label>
    <div class="stepper">
        <button type="button" aria-label="{{ $label }}: less" @click="step($refs['{{ $id }}'], -{{ $by }})">−</button>
        <input class="form-control @if ($wrong) is-invalid @endif" type="number" inputmode="numeric" min="0"
            id="{{ $id }}" x-ref="{{ $id }}" name="{{ $name }}" value="{{ $value }}"
            @if ($wrong) aria-describedby="{{ $id }}-wrong" @endif>
        <button type="button" aria-label="{{ $label }}: more" @click="step($refs['{{ $id }}'], {{ $by }})">+</button>
    </div>
    @foreach ($wrong as $message)<div class="invalid-feedback d-block"
        id="{{ $id }}-wrong">{{ $message }}</div>@endforeach
    @if ($help)<div class="form-text">{{ $help }}</div>@endif
</div>
