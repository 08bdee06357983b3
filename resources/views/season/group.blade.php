<x-wall :months="$months" :width="$width" :rows="$rows" :garden="$garden" />
@if ($rows === [])<p>Nothing stands here any more. Load the page anew to see what has changed.</p>@endif
@if ($rest->page < $rest->last)
    <details class="fold" x-data="fold(@js(request()->fullUrlWithQuery(['rows' => $rest->page + 1])))" @toggle="open">
        <summary class="wall-row"><span><b>More</b> <span class="soft">{{ $rest->total - $rest->until() }} of
            {{ $rest->total }}</span></span></summary>
        <div x-ref="rows" aria-live="polite"><p class="soft">Fetching the next rows …</p></div>
    </details>
@endif
