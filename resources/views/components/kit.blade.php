@props(['kit'])
<dl class="kit">
    <dt>Bring</dt><dd>{{ Say::list([...$kit->tools, ...$kit->materials]) }}</dd>
    <dt>Wear</dt><dd>{{ Say::list($kit->gear) }}</dd>
    <dt>People</dt><dd>{{ $kit->peopleInWords() }}</dd>
    <dt>Cuttings</dt><dd>about {{ $kit->debrisLitres }} litres, loose</dd>
    @if ($kit->aftercare !== [])<dt>After it</dt><dd>{{ Say::prose(implode(' ', $kit->aftercare)) }}</dd>@endif
    <dt>Then</dt><dd>@foreach ($kit->followUps as $follow){{ $follow['what'] }}{{ $follow['after_days'] === null ? ''
        : ($follow['after_days'] < 14 ? ', in '.$follow['after_days'].' days' : ($follow['after_days']
        < 300 ? ', in about '.round($follow['after_days'] / 7).' weeks' : '')) }}{{ $loop->last ? '.'
        : '; ' }}@endforeach</dd>
</dl>
