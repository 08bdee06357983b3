@use('App\Gardens\Stems\StemBoard')
<section class="in-hand no-print" aria-labelledby="hand-title">
    <h2 id="hand-title" class="mt-0">Stem {{ $hand->ref }}</h2>
    @foreach ([['lean_deg', 'Lean', StemBoard::LEAN, $hand->leanDeg], ['base_mm', 'Thick as a',
        StemBoard::THICKNESS, $hand->baseMm], ['age_years', 'Age', StemBoard::AGE,
        $hand->ageYears]] as [$field, $legend, $choices, $now])
        <form method="post" action="{{ route('stems.update', $plant) }}" class="chips"
            aria-label="{{ $legend }}">
            @csrf @method('put')<input type="hidden" name="op" value="set"><input type="hidden" name="ref"
                value="{{ $hand->ref }}">
            <span class="label">{{ $legend }}</span>
            @foreach ($choices as $word => $value)<button class="chip" name="{{ $field }}"
                value="{{ $value }}" aria-pressed="{{ ($value === null ? $now === null
                : $now !== null && (int) $now === $value) ? 'true' : 'false' }}"
                data-focus="{{ $field }}-{{ $value }}">{{ $word }}</button>@endforeach
        </form>
    @endforeach
    <form method="post" action="{{ route('stems.update', $plant) }}" class="chips" aria-label="Faults">
        @csrf @method('put')<input type="hidden" name="op" value="fault"><input type="hidden" name="ref"
            value="{{ $hand->ref }}">
        <span class="label">Faults</span>
        @foreach (PruningHook\Core\Structure\StemFault::cases() as $fault)<button class="chip"
            name="on[{{ $fault->value }}]" value="{{ $hand->has($fault) ? 0 : 1 }}"
            aria-pressed="{{ $hand->has($fault) ? 'true' : 'false' }}"
            data-focus="fault-{{ $fault->value }}">{{ $fault->inWords() }}</button>@endforeach
    </form>
    <form method="post" action="{{ route('stems.update', $plant) }}" class="chips"
        aria-label="The lead's word">
        @csrf @method('put')<input type="hidden" name="op" value="word"><input type="hidden" name="ref"
            value="{{ $hand->ref }}">
        <span class="label">The lead's word</span>
        @foreach (['keep' => ['k', 'it stays'], 'remove' => ['x', 'it goes']] as $word => [$key,
            $name])<button class="chip" name="on[{{ $word }}]" data-key="{{ $key }}"
            value="{{ ($survey->word[$hand->ref] ?? null) === $word ? 0 : 1 }}"
            aria-pressed="{{ ($survey->word[$hand->ref] ?? null) === $word ? 'true'
            : 'false' }}" data-focus="word-{{ $word }}">{{ $name }}</button>@endforeach
    </form>
    <div class="d-flex gap-2 flex-wrap mt-2">
        <form method="post" action="{{ route('stems.update', $plant) }}">@csrf
            @method('put')<input type="hidden" name="op" value="cut"><input type="hidden" name="ref"
            value="{{ $hand->ref }}"><button class="btn btn-primary" data-key="o" name="on"
            value="{{ $survey->stands($hand) ? 1 : 0 }}" data-focus="cut">{{ $survey->stands($hand)
            ? 'It is out' : 'It stands again' }}</button></form>
        <form method="post" action="{{ route('stems.update', $plant) }}">@csrf
            @method('put')<input type="hidden" name="op" value="drop"><input type="hidden" name="ref"
            value="{{ $hand->ref }}"><button class="btn btn-quiet" data-focus="drop">Not a stem: strike it
            off</button></form>
    </div>
    <details><summary>Measured</summary>
        <form method="post" action="{{ route('stems.update', $plant) }}"
            class="d-flex gap-2 flex-wrap align-items-end">
            @csrf @method('put')<input type="hidden" name="op" value="set"><input type="hidden" name="ref"
                value="{{ $hand->ref }}">
            @foreach (['azimuth_deg' => ['Way, degrees', round($hand->azimuthDeg)], 'length_mm' =>
                ['Length, mm', $hand->lengthMm], 'base_mm' => ['Thickness, mm', $hand->baseMm]] as $field =>
                [$label, $value])
                <div class="to-8"><label class="soft"
                    for="m-{{ $field }}">{{ $label }}</label><input class="form-control" type="number"
                    id="m-{{ $field }}" name="{{ $field }}" value="{{ $value }}"></div>
            @endforeach
            <button class="btn btn-quiet">Set</button>
        </form>
    </details>
</section>
