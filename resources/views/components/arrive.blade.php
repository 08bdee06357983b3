@props(['visit', 'hazards', 'tools', 'word'])
@php($checks = ['hazards' => $hazards === [] ? 'Walked round: nothing in the way' : 'Hazards seen and kept clear of',
    'nests' => 'Looked for nests: none in use', 'tools' => 'Blades sharp, clean and disinfected',
    'wishes' => 'The client\'s wishes read'])
<h2>On arriving</h2>
@if ($hazards !== [])<ul class="cautions">@foreach ($hazards as $hazard)<li>{{ $hazard }}</li>@endforeach</ul>@endif
@if ($visit->garden->notes)<p class="mb-2"><em>{{ $visit->garden->notes }}</em></p>@endif
@if ($tools !== [])<p class="mb-2">To carry in: {{ Say::list($tools) }}.</p>@endif
@can('log', $visit)
    <form class="checks no-print" data-word="arrive"
        data-standing="{{ json_encode($word === null ? [] : [$word->uuid]) }}">
        @foreach ($checks as $name => $says)<label><input type="checkbox" name="{{ $name }}"
            @checked($word?->body[$name] ?? false)><span>{{ $says }}</span></label>@endforeach
        <button class="btn btn-primary w-100">We are here</button>
        <div data-here="arrive"></div>
    </form>
@endcan
<div data-said>@if ($word)<p class="here-note">Arrived {{ Say::time($word->said_at) }},
    {{ $word->saidBy?->name ?? 'somebody' }}.</p>@endif</div>
