<x-layout :title="$plant->label" quiet>
    <p class="crumbs"><a href="{{ route('gardens.index') }}">Gardens</a> /
        <a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a>@if ($plant->bed) /
        {{ $plant->bed }}@endif</p>
    <div class="head">
        <h1>{{ $plant->label }}</h1>
        <div class="d-flex gap-2 flex-wrap no-print">
            <a class="btn btn-quiet" href="{{ route('plants.record', $plant) }}">Record</a>
            @can('update', $plant)<a class="btn btn-primary" data-key="e" href="{{ route('plants.edit',
                $plant) }}">Edit</a>@endcan
        </div>
    </div>
    <div class="said wrong"><span><b>What is due to it cannot be worked out.</b> {{ $says }}</span></div>
    <p>Its record is kept and nothing else is touched by it. Once {{ $known ? 'the garden\'s place and frost dates are'
        : 'its kind is' }} put right, its year is worked out again.
        @if ($known) @can('update', $plant->garden)<a href="{{ route('gardens.edit', $plant->garden) }}">Edit the
            garden</a>@endcan @endif
    </p>
    <dl class="facts">
        <dt>Kind</dt><dd>{{ $name }}</dd>
        <dt>Planted</dt><dd>{{ $plant->planted_on ? Say::date($plant->planted_on) : 'not known' }}</dd>
        @foreach (['Height' => $plant->height_mm, 'Spread' => $plant->spread_mm, 'Run' => $plant->run_mm] as $fact =>
            $mm)
            @if ($mm !== null)<dt>{{ $fact }}</dt><dd>{{ Say::length($mm) }}</dd>@endif
        @endforeach
    </dl>
    @if ($plant->notes)<p class="mt-2"><em>{{ $plant->notes }}</em></p>@endif
</x-layout>
