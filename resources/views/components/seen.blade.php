@props(['plant', 'says', 'at' => 'seen'])
@php($wrong = Asked::before('at', 'seen') === $at ? $errors->first('seen') : '')
@can('survey', $plant)
    <details class="seen no-print" id="{{ $at }}" @if ($wrong !== '') open
        @endif><summary>Say what you see of it</summary>
        <form method="post" action="{{ route('plants.seen', $plant) }}"
            aria-label="What is seen of {{ $plant->label }}">
            @csrf @method('put')<input type="hidden" name="at" value="{{ $at }}">
            @foreach ($says as $legend => $choices)
                <div class="chips" role="group" aria-label="{{ $legend }}"><span class="label">{{ $legend }}</span>
                    @foreach ($choices as [$value, $words, $so])<button class="chip" name="seen" value="{{ $value }}"
                        aria-pressed="{{ $so ? 'true' : 'false' }}">{{ $words }}</button>@endforeach
                </div>
            @endforeach
        </form>
        @if ($wrong !== '')<p class="invalid-feedback d-block">{{ $wrong }}</p>@endif
    </details>
@endcan
