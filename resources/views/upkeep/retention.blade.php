@use('App\Ground\Upkeep\Retained')
<x-layout title="Retention" quiet>
    <p class="crumbs"><a href="{{ route('people.index') }}">People</a></p>
    <h1>Retention</h1>
    <p class="to-56">How long we keep what names people. The rest is erased each night, for good. The record of the
        plants stays, and backups made before keep what they hold.</p>
    <form method="post" action="{{ route('retention.update') }}" novalidate>
        @csrf @method('put')
        <table class="ledger to-56">
            <thead><tr><th scope="col">What</th><th scope="col">Keep</th><th scope="col">Would be erased
                now</th></tr></thead>
            <tbody>
            @foreach (Retained::cases() as $kind)
                <tr>
                    <td><label for="r-{{ $kind->value }}">{{ $kind->inWords() }}</label></td>
                    <td data-th="Keep"><select class="form-select" id="r-{{ $kind->value }}"
                        name="months[{{ $kind->value }}]">
                        <option value="">for ever</option>
                        @foreach (Retained::MONTHS as $months)
                            <option value="{{ $months }}" @selected($asked[$kind->value] === $months)>{{ $months < 12
                                ? "$months months" : ($months === 12 ? 'a year' : ($months / 12).' years') }} {{
                                $kind->since() }}</option>
                        @endforeach
                    </select></td>
                    <td data-th="Would be erased now">{{ $counts[$kind->value] ?? 0 }}</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        @error('months.*')<div class="invalid-feedback d-block">{{ $message }}</div>@enderror
        @if ($asked !== $saved)<p role="status"><b>Not saved yet.</b></p>@endif
        <p class="mt-3"><button class="btn btn-quiet" formaction="{{ route('retention') }}" formmethod="get">Preview
            </button> <button class="btn btn-primary">Save</button></p>
    </form>
</x-layout>
