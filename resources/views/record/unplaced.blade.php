@use('App\Ground\Models\Finding')
<x-layout title="Entries without a visit">
    <p class="crumbs"><a href="{{ route('plan') }}">Plan</a></p>
    <h1>Entries without a visit</h1>
    <p class="to-56">Work that was logged in the garden for a visit that has been cancelled since, belongs to another
        crew or is long over. It was done: say where it belongs.</p>
    @if ($rows === [])<p>Every entry has its visit.</p>@endif
    @foreach ($rows as ['entry' => $entry, 'day' => $day, 'meant' => $meant, 'candidates' => $candidates])
        <section class="task" aria-labelledby="entry-{{ $entry->id }}">
            <h2 class="mt-0" id="entry-{{ $entry->id }}">{{ $meant === null ? 'A task that nobody knows any more'
                : $meant->prescribed->name.', '.$meant->plant->label }}</h2>
            <p class="soft mb-2">{{ $meant === null ? '' : $meant->plant->garden->name.': ' }}{{
                $entry->saidBy->name ?? 'Somebody' }}, {{ Say::date($day) }}, {{
                Say::time($entry->said_at) }}. {{ $entry->unplaced['because'] ?? '' }}</p>
            <p>{{ $entry->inWords() }}</p>
            @error('task')@if ((int) old('entry') === $entry->id)<p class="wrong-note" role="alert">{{ $message
                }}</p>@endif
            @enderror
            @if ($meant !== null)
                <form method="post" action="{{ route('unplaced.update', $entry) }}" class="d-flex gap-2 flex-wrap mb-2">
                    @csrf @method('put')<input type="hidden" name="entry" value="{{ $entry->id }}">
                    <div><label for="task-{{ $entry->id }}">Log it on</label>
                        <select class="form-select" id="task-{{ $entry->id }}" name="task">
                            @foreach ($candidates as $task)<option value="{{ $task->id }}"
                                @selected($task->id === ($entry->unplaced['task'] ?? 0))>{{ $task->prescribed->name
                                }}, {{ Say::date($task->visit->on) }}, {{
                                $task->visit->crew->name ?? 'no crew' }}</option>
                            @endforeach
                            <option value="0">a visit of its own on {{ Say::date($day) }}</option>
                        </select></div>
                    <button class="btn btn-primary align-self-end">Log it</button>
                </form>
            @endif
            <form method="post" action="{{ route('unplaced.destroy', $entry) }}">@csrf @method('delete')<button
                class="btn btn-quiet">Put away without logging</button></form>
        </section>
    @endforeach
    <x-pages :pages="$pages" what="entries" />
</x-layout>
