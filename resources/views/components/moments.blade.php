@props(['at', 'link'])
@use('PruningHook\Core\Regrowth\Stage')
{{-- From as it stands to three years on: links, and a slider that turns the slot without a new page. --}}
<x-part name="moments" />
<div x-data="moments">
    <nav class="moments no-print" aria-label="Which moment">
        @foreach (Stage::NAMES as $key => $name)<a data-key="{{ $loop->iteration }}" data-moment="{{ $key }}"
            href="{{ $link($key) }}" @if ($key === $at) aria-current="page" @endif>{{ $name }}</a>@endforeach
    </nav>
    <label class="scrub no-print" x-cloak><span class="visually-hidden">Moment, from as it stands to three years
        on</span><input type="range" class="form-range" min="0" max="{{ count(Stage::NAMES) - 1 }}" step="1"
        value="{{ array_search($at, array_keys(Stage::NAMES), true) }}" x-ref="range" x-on:input="turn()"></label>
    <p class="wrong-note" x-show="said" x-cloak x-text="said" role="status"></p>
    <div data-courses>{{ $slot }}</div>
</div>
