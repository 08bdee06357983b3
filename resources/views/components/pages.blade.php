@props(['pages', 'what'])
@php($at = static fn (int $page) => request()->fullUrlWithQuery([$pages->param => $page === 1 ? null : $page]))
<nav class="pages" aria-label="Pages of {{ $what }}">
    <span class="soft">{{ $pages->total === 0 ? 'none' :
        $pages->first().' to '.$pages->until().' of '.number_format($pages->total).($pages->more ? '+' : '')
        }} {{ $what }}</span>
    @if ($pages->page > 1)<a href="{{ $at($pages->page - 1) }}" rel="prev">Before</a>@endif
    @if ($pages->page < $pages->last)<a href="{{ $at($pages->page + 1) }}" rel="next">Next</a>@endif
</nav>
