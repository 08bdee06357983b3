@use('App\Gardens\Plants\PlantRequest')
@php($title = $plant->exists ? 'Edit '.$plant->label : 'Add a plant')
<x-layout :title="$title">
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> /
        <a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a></p>
    <h1>{{ $title }}</h1>
    <form method="post" action="{{ $plant->exists ? route('plants.update', $plant)
        : route('gardens.plants.store', $garden) }}" class="to-56" novalidate>
        @csrf<x-version :of="$plant" /> @unless ($plant->exists)<x-once />@endunless
        @if ($plant->exists) @method('put') @endif
        {{-- Enter saves what was written, and is not the first of the buttons below. --}}
        @error('kind')<button class="visually-hidden" tabindex="-1" aria-hidden="true">Save</button>@enderror
        <fieldset><legend>What it is</legend>
            <div class="row">
                <x-part name="kinds" />
                <div class="col-md-6 offers" x-data="kinds(@js(route('kinds.find')))" x-on:keydown="press($event)">
                    <x-field name="kind" label="Kind" :value="$plant->kind ? $book->nameOf($plant->kind) : null"
                    required list="kinds" help="As you call it: common or botanical, old name or new, with its cultivar
                    or without." autocomplete="off" role="combobox" aria-autocomplete="list" aria-expanded="false"
                    aria-controls="kinds-offered" x-on:input.debounce.150ms="ask()" />
                    <div class="offered"><p class="asks" x-ref="asks" aria-live="polite"></p>
                        <ul id="kinds-offered" role="listbox" aria-label="What it may be" x-ref="list"
                        hidden></ul></div>
                    @error('kind')<div class="mb-3" role="group" aria-label="Keep it for now as"><p class="mb-1">Nobody
                        can name it yet? Keep it for now as one of these: only dead wood is taken off until it has a
                        name.</p>
                        @foreach (App\Knowledge\Unnamed::all($book) as $id => $sort)<button class="btn btn-quiet"
                            name="keep_as" value="{{ $id }}">a {{ $sort }}</button>
                        @endforeach
                    </div>@enderror</div>
                <div class="col-md-6"><x-field name="label" label="What the crew calls it"
                    :value="$plant->label" required help="Wisteria on the south wall" /></div>
                <div class="col-md-4"><x-field name="bed" label="Bed or place" :value="$plant->bed" /></div>
                <div class="col-md-4"><x-field name="planted_on" label="Planted on" type="date"
                    :value="$plant->planted_on" help="Leave empty where nobody knows." /></div>
                <div class="col-md-4"><x-field name="count" label="How many" type="number"
                    :value="$plant->count" min="1" required help="A group is one record." /></div>
            </div>
            <datalist id="kinds">@foreach ($book->names as $kind)<option
                value="{{ $kind->name }}">{{ $kind->botanical }}</option>@endforeach</datalist>
        </fieldset>
        <fieldset><legend>Its measures</legend>
            <div class="row">
                <div class="col-6 col-md-3"><x-field name="height_cm" label="Height, cm" type="number"
                    :value="\App\Ground\Support\LengthField::cm($plant->height_mm)" min="1" /></div>
                <div class="col-6 col-md-3"><x-field name="spread_cm" label="Spread, cm" type="number"
                    :value="\App\Ground\Support\LengthField::cm($plant->spread_mm)" min="1" /></div>
                @foreach ($fields['shown'] as $field)<div class="col-6 col-md-3"><x-asked
                    :field="$field" /></div>@endforeach
                @error('sure')<div class="col-12"><label class="form-check"><input class="form-check-input"
                    type="checkbox" name="sure" value="1"> <span class="form-check-label">I am sure: the measures are
                    right as they stand.</span></label></div>@enderror
            </div>
            <details class="mb-3" @if ($errors->hasAny(array_column($fields['folded'], 'name'))) open
                @endif><summary>More that can be said of it</summary>
                <div class="row mt-2">
                    @foreach ($fields['folded'] as $field)<div class="col-6 col-md-3"><x-asked
                        :field="$field" /></div>@endforeach
                </div>
            </details>
        </fieldset>
        <fieldset><legend>How it is grown</legend>
            <div class="row">
                <div class="col-md-4"><x-field name="form" label="Form" :value="$plant->form"
                    :options="array_combine(PlantRequest::FORMS,
                    PlantRequest::FORMS)" empty="not said" /></div>
                <div class="col-md-4"><x-field name="aim" label="Aim" :value="$plant->aim"
                    :options="array_combine(PlantRequest::AIMS, PlantRequest::AIMS)"
                    empty="as usual for the kind" /></div>
                <div class="col-md-4"><x-field name="grafted" label="Grafted" :value="$plant->grafted === null ? null
                    : (int) $plant->grafted" :options="['1' => 'grafted', '0' => 'on its own roots']" empty="not known"
                    /></div>
            </div>
            <div class="log-field"><span class="form-label" id="hazards-label">Hazards beside it</span>
                <div class="taps" role="group" aria-labelledby="hazards-label">
                    @foreach (PlantRequest::HAZARDS as $hazard => $name)
                        <label><input type="checkbox" name="hazards[]" value="{{ $hazard }}"
                            @checked(in_array($hazard, Asked::listBefore('hazards', $plant->hazards),
                            true))><span>{{ $name }}</span></label>
                    @endforeach
                </div>
            </div>
            <div class="log-field"><span class="form-label" id="ticks-label">What is so</span>
                <div class="taps" role="group" aria-labelledby="ticks-label">
                    @foreach (App\Gardens\Plants\PlantForm::TICKS as $tick => $name)
                        <label><input type="checkbox" name="{{ $tick }}" value="1"
                            @checked(Asked::before($tick, old('label') === null ? ($plant->state[$tick] ?? false)
                            : false))><span>{{ $name }}</span></label>
                    @endforeach
                </div>
                @foreach (array_keys(App\Gardens\Plants\PlantForm::TICKS) as $tick)@error($tick)<div
                    class="invalid-feedback d-block">{{ $message }}</div>@enderror @endforeach
            </div>
            <x-field name="notes" label="Notes and the client's wishes" type="textarea" :value="$plant->notes" />
            <x-practice :questions="$book->questions" :practice="$plant->practice" elsewhere="as the garden" />
        </fieldset>
        <div class="d-flex gap-2 mt-3"><button class="btn btn-primary">Save</button><a class="btn btn-quiet"
            href="{{ $plant->exists ? route('plants.show', $plant) : route('gardens.show', $garden) }}">Cancel</a></div>
    </form>
    @if ($plant->exists)
        <form method="post" action="{{ route('plants.destroy', $plant) }}" class="mt-4">@csrf
            @method('delete')<button class="btn btn-quiet">Take {{ $plant->label }} out of the book</button></form>
    @endif
</x-layout>
