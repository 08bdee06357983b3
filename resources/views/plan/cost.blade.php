@php($price = abs($moved->dearer) < 0.5 ? 'costs the same' : number_format(abs($moved->dearer)).' min '
    .($moved->dearer > 0 ? 'dearer' : 'cheaper'))
{{ $moved->visit->garden->name }} to {{ Say::weekday($moved->on) }}, {{ $moved->crew->name }}: {{ $price }}.
@if ($moved->used !== null)
    The day then holds {{ Say::minutes($moved->used) }} of {{ Say::minutes($moved->length ?? 0) }}.
@endif
@if ($moved->breaks !== [])
    <b data-breaks>But {{ implode('; ', $moved->breaks) }}.</b>
@endif
