@php($title = $kind ? 'Correct '.lcfirst($kind->name) : 'Add a kind of our own')
@php($at = static fn (string $path) => data_get($entry, $path))
@php($cm = static fn (string $path) => is_numeric($at($path)) ? $at($path) / 10 : null)
@php($name = static fn (string $path) => preg_replace('/\.([^.]+)/', '[$1]', $path))
<x-layout :title="$title">
    <p class="crumbs"><a href="{{ route('plant-book.index') }}">Plant book</a>@if ($kind) /
        <a href="{{ route('plant-book.show', $kind->id) }}">{{ $kind->name }}</a>@endif</p>
    <h1>{{ $title }}</h1>
    @if (! $kind)
        <form action="{{ route('own-kinds.create') }}" class="d-flex gap-2 align-items-end mb-3 to-40">
            <div class="flex-fill"><label for="like">Begin from the kind it is most like</label><input
                class="form-control" id="like" name="like" list="kinds" value="{{ $like->name ??
                Asked::text(request(), 'like') }}"></div>
            <button class="btn {{ $like ? 'btn-quiet' : 'btn-primary' }}">Begin</button>
            <datalist id="kinds">@foreach ($book->names as $each)<option
                value="{{ $each->name }}">{{ $each->botanical }}</option>@endforeach</datalist>
        </form>
        @if (! $like && Asked::text(request(), 'like'))<p class="wrong-note">The plant book has no kind
            "{{ Asked::text(request(), 'like') }}".@if ($near = $book->nearestName(Asked::text(request(), 'like'))) Did
            you mean <a href="{{ route('own-kinds.create', ['like' => $near]) }}">{{ $near }}</a>?@endif</p>@endif
    @endif
    @if ($entry)
        <p>{{ $kind
            ? 'What you change here is shown as the firm\'s own, beside what the book says. All else '
                .'goes on following the book.'
            : 'It takes its tasks and windows from '.lcfirst($like->name).' until you change them.' }}
            Days hang on anchors: <span class="figure">last-frost+7</span>, <span class="figure">bloom-end</span>,
                <span class="figure">earliest(bud-break-30, midwinter+70)</span>.
                <a href="{{ route('plant-book.anchors') }}">All anchors</a></p>
        <form method="post" action="{{ $kind ? route('own-kinds.update', $kind->id)
            : route('own-kinds.store') }}" novalidate class="to-72">
            @csrf @unless ($kind)<x-once />@endunless
            @error('stale')<div class="said wrong" role="alert">{{ $message }} <a
                href="{{ route('plant-book.show', $kind->id) }}">What they said of it</a></div>@enderror
            @if ($kind) @method('put')<input type="hidden" name="_version" value="{{ $version }}">
            @else <input type="hidden" name="like" value="{{ $like->id }}"> @endif
            <fieldset><legend>What it is</legend>
                <div class="row align-items-end">
                    <div class="col-md-4"><x-field name="name" label="Name" :value="$at('name')" required /></div>
                    <div class="col-md-4"><x-field name="botanical" label="Botanical name"
                        :value="$at('botanical')" required /></div>
                    <div class="col-md-4"><x-field name="family" label="Family" :value="$at('family')" /></div>
                    <div class="col-md-8"><x-field name="also" label="Also called"
                        :value="implode(', ', $at('also') ?? [])" help="Names with commas between them." /></div>
                    <div class="col-md-4"><x-field name="habit" label="Use" :value="$at('habit')"
                        :options="array_combine(App\Knowledge\KindForm::HABITS, App\Knowledge\KindForm::HABITS)"
                        /></div>
                    <div class="col-12"><x-field name="about" label="In a sentence" :value="$at('about')" /></div>
                    <div class="col-md-4"><x-field name="wood" label="Flowers on" :value="$at('wood')"
                        :options="['old' => 'last year\'s wood', 'new' => 'this year\'s growth', 'both' => 'both',
                        'none' => 'grown for green']" /></div>
                    <div class="col-md-4"><x-field name="vigour" label="Vigour" :value="$at('vigour')"
                        :options="['weak' => 'weak', 'medium' => 'medium', 'strong' => 'strong']" /></div>
                    <div class="col-md-4"><x-field name="hard_cutting" label="Hard cutting" :value="$at('hard_cutting')"
                        :options="['well' => 'it answers well', 'slowly' => 'it answers slowly', 'badly' =>
                        'it answers badly']" /></div>
                    @foreach (App\Knowledge\KindForm::LENGTHS as $path => $label)
                        <div class="col-md-4 col-lg"><x-field :name="$name($path)" :label="$label.', cm'"
                            :value="$cm($path)" inputmode="decimal" /></div>
                    @endforeach
                    <div class="col-md-4 col-lg"><x-field name="removal_cap[percent]"
                        label="Most live growth off in a season, %" :value="$at('removal_cap.percent')"
                        inputmode="numeric" /></div>
                </div>
            </fieldset>
            <fieldset><legend>Its year</legend>
                <div class="row">
                    @foreach (App\Knowledge\KindForm::EVENTS as $event => $label)<div class="col-md-4 col-lg"><x-field
                        :name="'phenology['.$event.']'" :label="$label" :value="$at('phenology.'.$event)"
                        /></div>@endforeach
                </div>
            </fieldset>
            <fieldset><legend>Days on which it is not cut at all</legend>
                <p class="soft">For disease, sap or frost. Empty both days of one and it holds no more; the last row
                    adds one.</p>
                @foreach ([...($at('closures') ?? []), []] as $index => $closure)
                    <div class="row">
                        <div class="col-md-6 col-xl-3"><x-field :name="'closures['.$index.'][name]'" label="Closure"
                            :value="$closure['name'] ?? null" /></div>
                        <div class="col-md-6 col-xl-3"><x-field :name="'closures['.$index.'][from]'" label="Closed from"
                            :value="$closure['from'] ?? null" /></div>
                        <div class="col-md-6 col-xl-3"><x-field :name="'closures['.$index.'][to]'" label="Closed to"
                            :value="$closure['to'] ?? null" /></div>
                        <div class="col-md-6 col-xl-3"><x-field :name="'closures['.$index.'][because]'" label="Because"
                            :value="$closure['because'] ?? null" :help="isset($closure['regions']) ?
                            'Only in: '.implode(', ', array_map(fn ($region) =>
                            PruningHook\Core\Calendar\Region::from($region)->inWords(), $closure['regions'])).'.'
                            : null" /></div>
                    </div>
                @endforeach
            </fieldset>
            @include('plant-book.form-tasks')
            <fieldset><legend>Why</legend><x-field name="note" label="What the firm has seen that the book does not say"
                type="textarea" required /></fieldset>
            <div class="d-flex gap-2 mt-3"><button class="btn btn-primary">Save as the firm's own</button><a
                class="btn btn-quiet" href="{{ $kind ? route('plant-book.show', $kind->id)
                : route('plant-book.index') }}">Cancel</a></div>
        </form>
    @endif
</x-layout>
