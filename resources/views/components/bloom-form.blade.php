@props(['plant'])
@use('App\Ground\Models\BloomNote')
@use('App\Ground\Models\Regrowth')
@php
    $bag = $errors->bloom;
    $was = fn (string $field): mixed => $bag->any() ? Asked::before($field) : null;
    $grew = array_column(array_map(fn (Regrowth $each): array => [$each->value, $each->inWords()], Regrowth::cases()),
        1, 0);
    $choices = ['score' => ['How well', 'not judged', BloomNote::SCORES],
        'regrowth' => ['It grew', 'not judged', $grew],
        'diseased' => ['Disease on it', 'not looked', ['0' => 'none seen', '1' => 'seen']]];
@endphp
{{-- What came of the cut: how high and how well it flowered, how it grew, whether it is well. --}}
<form method="post" action="{{ route('bloom.store', $plant) }}#bloom" class="measures no-print" novalidate>
    @csrf @method('put')
    <div><label class="soft" for="bloom-height">It flowers at, cm</label><input type="number" id="bloom-height"
        name="flowering_height_cm" value="{{ $was('flowering_height_cm') }}" min="1" inputmode="numeric"
        @class(['form-control', 'is-invalid' => $bag->has('flowering_height_cm')])
        @if ($bag->has('flowering_height_cm')) aria-describedby="bloom-height-wrong" @endif>
        @foreach ($bag->get('flowering_height_cm') as $says)<div class="invalid-feedback d-block"
            id="bloom-height-wrong">{{ $says }}</div>@endforeach</div>
    @foreach ($choices as $field => [$label, $empty, $options])
        <div><label class="soft" for="bloom-{{ $field }}">{{ $label }}</label><select class="form-select"
            id="bloom-{{ $field }}" name="{{ $field }}"><option value="">{{ $empty }}</option>
            @foreach ($options as $value => $word)<option value="{{ $value }}"
                @selected((string) $was($field) === (string) $value)>{{ $word }}</option>@endforeach</select>
            @foreach ($bag->get($field) as $says)<div class="invalid-feedback d-block">{{ $says }}</div>@endforeach
        </div>
    @endforeach
    @if ($bag->has('sure'))<div class="form-check"><input class="form-check-input" type="checkbox" id="bloom-sure"
        name="sure" value="1"><label class="form-check-label" for="bloom-sure">It is right as it stands</label></div>
    @endif
    <button class="btn btn-quiet">Note it</button>
</form>
