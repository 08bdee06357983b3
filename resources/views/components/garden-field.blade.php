@props(['id' => 'garden', 'label' => 'Garden', 'garden' => null, 'empty' => 'all gardens'])
{{-- A garden by its name: offered while it is typed, so that a thousand of them need not stand in the page. --}}
<div x-data="offer(@js(route('search.gardens')))">
    <label for="{{ $id }}">{{ $label }}</label>
    <input class="form-control" id="{{ $id }}" name="garden" value="{{ $garden?->name }}" placeholder="{{ $empty }}"
        list="{{ $id }}-offered" autocomplete="off" x-on:input.debounce.150ms="ask($event.target.value)">
    <datalist id="{{ $id }}-offered" x-ref="offered"></datalist>
</div>
