@if ($task === null)
    <p>There is nothing to draw: no task is open to it this season.</p>
@else
    <x-drawn :drawn="$drawn" :name="'For '.lcfirst($task->name)" />
    @foreach ($task->reasons as $reason)@if ($reason->rule === 'The wish cannot be met')<p
        class="wrong-note mb-1"><b>{{ $reason->rule }}:</b> {{ Say::prose($reason->because) }}.</p>@endif @endforeach
    <details class="workings"><summary>Workings</summary>
        <table class="ledger">
            <thead><tr><th scope="col">What</th><th scope="col">How</th><th scope="col">With its figures</th><th
                scope="col">Comes to</th></tr></thead>
            <tbody>@foreach ($task->workings as $working)<tr><td data-th="What">{{ $working->what }}</td><td
                data-th="How">{{ $working->formula }} <span class="from soft">({{ $working->source }})</span></td><td
                data-th="With its figures">{{ $working->figures }}</td><td
                data-th="Comes to"><b>{{ $working->result }}</b></td></tr>@endforeach</tbody>
        </table>
    </details>
@endif
