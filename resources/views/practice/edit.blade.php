<x-layout title="House practice">
    <h1>House practice</h1>
    <p>Where good practitioners disagree, this is how {{ $firm->name }} does it. A garden may choose otherwise, and a plant otherwise again; every prescription says which is in force and who chose it.</p>
    <form method="post" action="{{ route('practice.update') }}" style="max-width: 60rem">
        @csrf @method('put')
        @foreach ($book->questions as $question)
            <fieldset>
                <legend>{{ $question->name }}</legend>
                @foreach ($question->options as $option => $text)
                    <div class="form-check mb-1">
                        <input class="form-check-input" type="radio" name="practice[{{ $question->key }}]" id="p-{{ $question->key }}-{{ $option }}" value="{{ $option }}" @checked(($firm->practice[$question->key] ?? $question->default) === $option) @cannot('update', App\Models\Firm::class) disabled @endcannot>
                        <label class="form-check-label" for="p-{{ $question->key }}-{{ $option }}">{{ ucfirst($text) }}@if ($option === $question->default) <span class="soft">(the plant book's default)</span>@endif</label>
                    </div>
                @endforeach
                @foreach ($gardens->filter(fn ($garden) => isset($garden->practice[$question->key])) as $garden)
                    <p class="mb-1 soft">Otherwise at <a href="{{ route('gardens.show', $garden) }}">{{ $garden->name }}</a>: {{ $question->options[$garden->practice[$question->key]] }}</p>
                @endforeach
                @foreach ($plants->filter(fn ($plant) => isset($plant->practice[$question->key])) as $plant)
                    <p class="mb-1 soft">Otherwise for <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a>, {{ $plant->garden->name }}: {{ $question->options[$plant->practice[$question->key]] }}</p>
                @endforeach
            </fieldset>
        @endforeach
        @can('update', App\Models\Firm::class)<button class="btn btn-primary mt-3">Save</button>@else<p class="soft mt-3">Only the planner changes it.</p>@endcan
    </form>
</x-layout>
