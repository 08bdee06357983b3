@use('App\Gardens\Stems\StemBoard')
@php($may = auth()->user()?->can('survey', $plant))
<div class="board">
    <div>
        <div class="pic"><x-bowl :bowl="$bowl" :plant="$plant" :hand="$hand?->ref" :taps="$may" /></div>
        <div class="tools">
        @if ($may)
            <form method="post" action="{{ route('stems.update', $plant) }}" class="chips no-print"
                aria-label="Add a stem">
                @csrf @method('put')<input type="hidden" name="op" value="add">
                <span class="w-100 soft">Tap the picture where a stem goes, or add one going</span>
                @foreach (StemBoard::WAYS as $way => $degrees)<button class="chip" name="azimuth_deg"
                    value="{{ $degrees }}" data-focus="way-{{ $way }}">{{ $way }}</button>@endforeach
            </form>
        @endif
        @if ($undo && $may)
            <form method="post" action="{{ route('stems.undo', $plant) }}" class="mt-2 no-print">@csrf
                @if ($hand)<input type="hidden" name="ref" value="{{ $hand->ref }}">@endif<button class="btn btn-quiet"
                data-key="u" data-focus="undo">Undo the last tap</button></form>
        @endif
        </div>
        @if ($survey->stems !== [])<p class="mt-2 mb-0 no-print"><a
            href="{{ route('stems.show', [$plant, 'side' => 1]) }}">As a plant, from the side and from
            above</a></p>@endif
        <div class="signs">
        <ul class="legend" aria-label="Signs used in the drawing">
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="p-old" d="M1 3L27 5V7L1 9Z"/></svg>stays</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="p-old" d="M1 3L27 5V7L1 9Z"/><path class="b-notch" d="M1 6H27"/></svg>next year</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><g class="b-stem"><path
                class="p-goes" d="M1 3L27 5V7L1 9Z"/><path class="b-break" d="M1 6H27"/></g></svg>goes, in this
                order</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><circle
                class="b-tip b-keep is-young" cx="14" cy="6" r="4"/></svg>this or last year's</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><circle
                class="b-tip b-keep is-old" cx="14" cy="6" r="4"/></svg>older</li>
            <li><svg viewBox="0 0 28 12" font-size="1" aria-hidden="true"><path
                class="b-rub" d="M10 2l8 8m0 -8l-8 8"/></svg>rubs</li>
        </ul>
        </div>
    </div>
    <div>
        @if ($hand && $may)
            @include('stems.hand')
        @endif
        @include('stems.judged')
    </div>
</div>
