@props(['plant', 'says'])
@can('survey', $plant)
    <details class="seen no-print" id="seen-{{ $plant->id }}" @error('seen') open
        @enderror><summary>Say what you see of it</summary>
        <form method="post" action="{{ route('plants.seen', $plant) }}"
            aria-label="What is seen of {{ $plant->label }}">
            @csrf @method('put')
            @foreach ($says as $legend => $choices)
                <div class="chips" role="group" aria-label="{{ $legend }}"><span class="label">{{ $legend }}</span>
                    @foreach ($choices as [$value, $words, $so])<button class="chip" name="seen" value="{{ $value }}"
                        aria-pressed="{{ $so ? 'true' : 'false' }}">{{ $words }}</button>@endforeach
                </div>
            @endforeach
        </form>
        @error('seen')<p class="invalid-feedback d-block">{{ $message }}</p>@enderror
    </details>
@endcan
