@use('App\Ground\Models\Firm')
<x-layout title="House practice">
    <h1>House practice</h1>
    <p>Where good practitioners disagree, this is how {{ $firm->name }} does it. A garden may choose otherwise, and a
        plant otherwise again; every prescription says which is in force and who chose it.</p>
    @foreach ($putAside as $says)<p class="wrong-note">{{ $says }}</p>@endforeach
    <form method="post" action="{{ route('practice.update') }}" class="to-60">
        @csrf<x-version :of="$firm" /> @method('put')
        @foreach ($book->questions as $question)
            <fieldset>
                <legend>{{ $question->name }}</legend>
                @foreach ($question->options as $option => $text)
                    <div class="form-check mb-1">
                        <input class="form-check-input" type="radio" name="practice[{{ $question->key }}]"
                            id="p-{{ $question->key }}-{{ $option }}" value="{{ $option }}"
                            @checked(($firm->practice[$question->key] ?? $question->default) === $option)
                            @cannot('update', Firm::class) disabled @endcannot>
                        <label class="form-check-label"
                            for="p-{{ $question->key }}-{{ $option }}">{{ ucfirst($text) }}@if ($option ===
                            $question->default) <span class="soft">(the plant book's default)</span>@endif</label>
                    </div>
                @endforeach
            </fieldset>
        @endforeach
        @can('update', Firm::class)<button class="btn btn-primary mt-3">Save</button>@else<p
            class="soft mt-3">Only the planner changes it.</p>@endcan
    </form>
    <h2>Where it is done otherwise</h2>
    @if ($pages['gardens']->total + $pages['plants']->total === 0)<p>No garden and no plant chooses otherwise.</p>@endif
    <ul class="due to-60">
        @foreach ($gardens as $garden)<li><span class="what"><a href="{{ route('gardens.show',
            $garden) }}">{{ $garden->name }}</a></span><span class="when">garden</span><span
            class="where">@foreach ($garden->practice as $question => $option){{ $book->questions[$question]->name ??
            $question }}: {{ $book->questions[$question]->options[$option] ?? $option.' (put aside)' }}{{ $loop->last ?
            '' : '; ' }}@endforeach</span></li>@endforeach
    </ul>
    @if ($pages['gardens']->last > 1)<x-pages :pages="$pages['gardens']" what="gardens" />@endif
    <ul class="due to-60">
        @foreach ($plants as $plant)<li><span class="what"><a href="{{ route('plants.show',
            $plant) }}">{{ $plant->label }}</a></span><span class="when">{{ $plant->garden->name }}</span><span
            class="where">@foreach ($plant->practice as $question => $option){{ $book->questions[$question]->name ??
            $question }}: {{ $book->questions[$question]->options[$option] ?? $option.' (put aside)' }}{{ $loop->last ?
            '' : '; ' }}@endforeach</span></li>@endforeach
    </ul>
    @if ($pages['plants']->last > 1)<x-pages :pages="$pages['plants']" what="plants" />@endif
</x-layout>
