<h2>As it stands</h2>
<dl class="facts">
    <dt>Wood</dt><dd>{{ $kind->wood->inWords() }}</dd>
    <dt>Planted</dt><dd>{{ $plant->planted_on ? Say::date($plant->planted_on) : 'not known' }}</dd>
    @foreach (['Height' => $stands->heightMm, 'Spread' => $plant->spread_mm, 'Run' => $plant->run_mm,
        'Flowers wanted at' => $plant->flowering_height_mm] as $name => $mm)
        @if ($mm !== null)<dt>{{ $name }}</dt><dd>{{ Say::length($mm) }}@if ($name === 'Height'
            && isset($stands->carriedFrom['height']))<br><span
            class="soft">{{ $stands->carriedFrom['height'] }}</span>@endif</dd>@endif
    @endforeach
    @if ($stands->stems)<dt>Stems</dt><dd>{{ $stands->stems->old }} old, {{ $stands->stems->young }} young
        @if (isset($stands->carriedFrom['stems']))<br><span
        class="soft">{{ $stands->carriedFrom['stems'] }}</span>@endif</dd>@endif
    @if ($plant->form)<dt>Form</dt><dd>{{ $plant->form }}</dd>@endif
    @if ($plant->aim)<dt>Aim</dt><dd>{{ $plant->aim }}</dd>@endif
    @if ($seen !== [])<dt>Seen</dt><dd>{{ implode(', ', $seen) }}@if ($plant->state_on)<br><span
        class="soft">{{ $past ? 'what passes was seen on '.Say::date($plant->state_on)
            .', last season: look again' : 'on '.Say::date($plant->state_on) }}</span>@endif</dd>@endif
</dl>
