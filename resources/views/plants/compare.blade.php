<x-layout :title="'Courses for '.$plant->label">
    <p class="crumbs"><a href="{{ route('gardens.show', $plant->garden) }}">{{ $plant->garden->name }}</a> / <a href="{{ route('plants.show', $plant) }}">{{ $plant->label }}</a></p>
    <h1>Compare courses</h1>
    @if ($task === null)
        <p>No task is open to it this season, so there is nothing to compare.</p>
    @else
        <form class="filters no-print" action="{{ route('plants.compare', $plant) }}"><div><label for="task">For</label><select class="form-select" id="task" name="task">@foreach ($tasks as $each)<option value="{{ $each->key }}" @selected($each->key === $task->key)>{{ $each->name }}</option>@endforeach</select></div><button class="btn btn-quiet">Show</button></form>
        <div class="courses">
            @foreach ($courses as $course)
                <section class="task" aria-labelledby="c-{{ $course->key }}">
                    <h2 id="c-{{ $course->key }}" class="mt-0">{{ $course->name }}</h2>
                    <svg class="drawing course" viewBox="0 {{ -$tallest }} {{ round($tallest * .8) }} {{ round($tallest * 1.02) }}" role="img" aria-label="{{ $course->name }}: {{ \App\Support\Say::length($course->heightAfterMm) }} after the cut, {{ \App\Support\Say::length($course->heightAtEndMm) }} at the end of the season" style="--u: {{ round($tallest / 100, 2) }}px">
                        <line class="e-ground" x1="0" x2="{{ round($tallest * .8) }}" y1="0" y2="0"/>
                        <rect class="e-ghost" x="{{ round($tallest * .12) }}" width="{{ round($tallest * .56) }}" y="{{ -$course->heightAtEndMm }}" height="{{ $course->heightAtEndMm }}" rx="{{ round($tallest * .12) }}"/>
                        <rect class="e-after" x="{{ round($tallest * .2) }}" width="{{ round($tallest * .4) }}" y="{{ -$course->heightAfterMm }}" height="{{ $course->heightAfterMm }}" rx="{{ round(min($course->heightAfterMm / 2, $tallest * .1)) }}"/>
                        @if ($course->floweringHeightMm)<path class="e-flowers" d="M{{ round($tallest * .05) }} {{ -$course->floweringHeightMm }}H{{ round($tallest * .75) }}"/>@endif
                    </svg>
                    <dl class="facts">
                        <dt>After the cut</dt><dd>{{ \App\Support\Say::length($course->heightAfterMm) }}</dd>
                        <dt>End of the season</dt><dd>{{ \App\Support\Say::length($course->heightAtEndMm) }}</dd>
                        <dt>Flowers</dt><dd>{{ $course->floweringHeightMm ? 'at '.\App\Support\Say::length($course->floweringHeightMm).', ' : '' }}{{ $course->flowersWhen }}</dd>
                        <dt>Flowers lost</dt><dd>{{ $course->flowersLostPercent }} %</dd>
                        <dt>Growth taken</dt><dd>{{ $course->sharePercent }} %</dd>
                        <dt>To recover</dt><dd>{{ $course->yearsToRecover === 0 ? 'none' : $course->yearsToRecover.($course->yearsToRecover === 1 ? ' year' : ' years') }}</dd>
                        <dt>Time</dt><dd>{{ $course->minutes === 0 ? 'none' : \App\Support\Say::minutes($course->minutes) }}</dd>
                        <dt>Risk</dt><dd>{{ $course->risk }}</dd>
                    </dl>
                </section>
            @endforeach
        </div>
        <p class="soft">Dotted: at the end of the season. Solid: after the cut. Petals: where the flowers will be. All to one scale; figures are common practice for a kind that answers hard cutting {{ $kind->hardCutting }}.</p>
    @endif
</x-layout>
