@props(['name'])
{{-- A script only some pages have. It stands in the head, before the one that sets all of them going. --}}
@pushOnce('parts', $name)
@vite("resources/js/parts/$name.js")
@endPushOnce
