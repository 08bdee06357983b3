@props(['visit', 'sheets', 'words'])
@php($word = $words['close'] ?? null)
@php($signed = $words['sign-off'] ?? null)
@php($checks = ['debris' => 'Every cutting cleared up', 'diseased' => 'Diseased wood bagged apart',
    'aftercare' => 'Watered in, fed or mulched as said', 'ties' => 'Ties checked: none bites',
    'client' => 'The client was told'])
<section class="leaf" data-leaf id="leave" aria-labelledby="leave-title">
    <h2 id="leave-title" tabindex="-1">On leaving</h2>
    <ul class="plain" data-to-do>@foreach ($sheets as $sheet)@if ($sheet->task->log === null)<li
        data-open="{{ $sheet->task->id }}"><a
        href="#task-{{ $sheet->task->id }}">{{ $sheet->task->plant->label }}</a>: not logged yet</li>@endif
        @endforeach</ul>
    @can('log', $visit)
        <form class="checks no-print" data-word="close"
            data-standing="{{ json_encode($word === null ? [] : [$word->uuid]) }}">
            @foreach ($checks as $name => $says)<label><input type="checkbox" name="{{ $name }}"
                @checked($word?->body[$name] ?? false)><span>{{ $says }}</span></label>@endforeach
            <div class="log-field"><label class="form-label" for="close-note">For the office</label><textarea
                class="form-control" id="close-note" name="note" rows="2" maxlength="2000">{{
                $word?->body['note'] ?? '' }}</textarea></div>
            <button class="btn btn-primary w-100">Leaving now</button>
            <div data-here="close"></div>
        </form>
    @endcan
    @can('update', $visit)
        <form class="no-print mt-2" data-word="sign-off"
            data-standing="{{ json_encode($signed === null ? [] : [$signed->uuid]) }}"><button
            class="btn btn-quiet w-100">Sign the visit off</button><div data-here="sign-off"></div></form>
    @endcan
    <div data-said>
        @if ($word)<p class="here-note">Left {{ Say::time($word->said_at) }},
            {{ $word->saidBy?->name ?? 'somebody' }}.{{ isset($word->body['note']) ? ' '.$word->body['note'] : ''
            }}</p>@endif
        @if ($signed)<p class="here-note">Signed off by {{ $signed->saidBy?->name ?? 'somebody' }},
            {{ Say::time($signed->said_at) }}.</p>@endif
    </div>
</section>
