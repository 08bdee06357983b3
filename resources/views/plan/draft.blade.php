@use('App\Ground\Models\Firm')
@use('App\Ground\Models\DraftStatus')
@php($result = $draft->result)
<x-layout title="A plan">
    <p class="crumbs"><a href="{{ route('plan') }}">Plan</a></p>
    <h1>A plan, {{ Say::date($draft->from) }} to {{ Say::date($draft->to) }}</h1>
    @if ($draft->status->isUnderWay())
        <x-part name="waiting" />
        <div x-data="waiting(@js(route('drafts.show', [$draft, 'part' => 1])))"
            aria-live="polite">@include('plan.progress')
        </div>
    @elseif ($draft->status === DraftStatus::Failed)
        <p class="wrong-note">{{ $draft->says }}</p>
        <p>Nothing was changed. <a href="{{ route('plan') }}">Back to the plan</a></p>
    @elseif ($draft->status === DraftStatus::Cancelled)
        <p>It was called off; nothing was changed. <a href="{{ route('plan') }}">Back to the plan</a></p>
    @elseif ($result !== null)
        @if ($draft->status === DraftStatus::Accepted)
            <div class="said" role="status"><span>This plan was accepted. <a href="{{ route('plan') }}">See the
                plan</a></span>
                @can('update', Firm::class)
                    <form method="post" action="{{ route('drafts.undo', $draft) }}">@csrf<button
                        class="btn btn-quiet">Take it back</button></form>
                @endcan
            </div>
        @elseif ($draft->status === DraftStatus::TakenBack)<p>This plan was accepted and taken back.</p>@endif
        @if ($draft->status === DraftStatus::Ready && $draft->says)<p class="wrong-note"
            role="alert">{{ $draft->says }}</p>@endif
        @error('changes')<p class="wrong-note" role="alert">{{ $message }}</p>@enderror
        <table class="table cost-table"><caption>What the work takes, in minutes</caption>
            <thead><tr><th scope="col">Part</th><th scope="col">now</th><th scope="col">with this plan</th></tr></thead>
            <tbody>
                @foreach ($costs as $cost)
                    <tr><th scope="row">{{ $cost['name'] }}</th><td>{{ $cost['present'] }}</td>
                        <td>{{ $cost['planned'] }}</td></tr>
                @endforeach
            </tbody></table>
        @if ($changes !== [])<p>{{ $summary }}</p>@endif
        @if ($changes === [])<p>It would change nothing.</p>@endif
        <form method="post" action="{{ route('drafts.accept', $draft) }}">
            @csrf @method('put')
            <ul class="due changes">
                @foreach ($changes as $index => $change)
                    <li>
                        <label class="form-check what"><input class="form-check-input" type="checkbox" name="changes[]"
                            value="{{ $index }}" checked @disabled($draft->status !== DraftStatus::Ready)>
                            <span class="form-check-label"><b class="kind">{{ $change['kind'] }}</b>
                            {{ $gardens[$change['garden']] ?? '' }}</span></label>
                        <span class="when">@if ($change['from'] && $change['kind'] !==
                            'changed')<s>{{ Say::date($change['from']['on']) }},
                            {{ $crews[$change['from']['crew']] ?? 'no crew' }}</s>@endif @if ($change['to'])
                            {{ Say::date($change['to']['on']) }}, {{ $crews[$change['to']['crew']] ?? '' }}@endif</span>
                        <span class="where">
                            @foreach (array_diff($change['tasks'], $change['was']) as $ref)
                                + {{ $tasks[$ref] ?? $ref }}{{ $loop->last ? '' : ',' }}
                            @endforeach
                            @foreach (array_diff($change['was'], $change['tasks']) as $ref)
                                <s>{{ $tasks[$ref] ?? $ref }}</s>{{ $loop->last ? '' : ',' }}
                            @endforeach
                            @if ($change['kind'] === 'moved' && $change['tasks'] === $change['was'])
                                with all it holds: {{ count($change['tasks']) }}
                                {{ count($change['tasks']) === 1 ? 'task' : 'tasks' }}
                            @endif
                        </span>
                        @if ($change['why'] !== '')<span class="act">{{ $change['why'] }}</span>@endif
                    </li>
                @endforeach
            </ul>
            @if ($draft->status === DraftStatus::Ready && $changes !== [])
                @can('update', Firm::class)
                    <div class="d-flex gap-2 mt-3 flex-wrap">
                        @if ($pages->last > 1)<button class="btn btn-primary" name="all" value="1">Accept all
                            {{ $pages->total }}</button><button class="btn btn-quiet">Accept those ticked here</button>
                        @else<button class="btn btn-primary">Accept what is ticked</button>@endif
                    </div>
                @endcan
            @endif
        </form>
        @if ($pages->last > 1)<x-pages :pages="$pages" what="changes" />@endif
        @if ($draft->status === DraftStatus::Ready)
            @can('update', Firm::class)<form class="mt-2" method="post" action="{{ route('drafts.destroy',
                $draft) }}">@csrf @method('delete')<button class="btn btn-quiet">Leave the plan as it
                    is</button></form>@endcan
        @endif
        @if ($left !== [])
            <h2>Unplanned: {{ count($result['left']) }}</h2>
            <ul class="due to-56">
                @foreach ($left as $task)<li><span class="what">{{ ucfirst($tasks[$task['task']] ??
                    $task['task']) }}</span>
                    <span class="where">{{ ucfirst($task['because']) }}. What would help:
                    {{ $task['cure'] }}.</span></li>@endforeach
            </ul>
        @endif
    @endif
</x-layout>
