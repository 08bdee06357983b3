@props(['courses', 'tallest'])
<div class="courses">
    @foreach ($courses as $course)
        <section class="task" aria-labelledby="c-{{ $course->key.$loop->index }}">
            <h2 id="c-{{ $course->key.$loop->index }}" class="mt-0">{{ $course->name }}</h2>
            <svg class="drawing course" viewBox="0 {{ -$tallest }} {{ round($tallest * .8) }} {{ round($tallest *
                1.02) }}"
                role="img" aria-label="{{ $course->name }}: {{
                    \App\Support\Say::length($course->heightAfterMm)
                }} after the cut, {{
                    \App\Support\Say::length($course->heightAtEndMm)
                }} at the end of the season"
                font-size="{{ round($tallest / 100, 2) }}">
                <line class="e-ground" x1="0" x2="{{ round($tallest * .8) }}" y1="0" y2="0"/>
                <rect class="e-ghost" x="{{ round($tallest * .12) }}" width="{{ round($tallest * .56) }}"
                    y="{{ -$course->heightAtEndMm }}" height="{{ $course->heightAtEndMm }}" rx="{{ round($tallest *
                    .12) }}"/>
                <rect class="e-after" x="{{ round($tallest * .2) }}" width="{{ round($tallest * .4) }}"
                    y="{{ -$course->heightAfterMm }}" height="{{ $course->heightAfterMm }}"
                    rx="{{ round(min($course->heightAfterMm / 2, $tallest * .1)) }}"/>
                @if ($course->floweringHeightMm)<path class="e-flowers" d="M{{ round($tallest *
                    .05) }} {{ -$course->floweringHeightMm }}H{{ round($tallest * .75) }}"/>@endif
            </svg>
            <dl class="facts">
                <dt>After the cut</dt><dd>{{ \App\Support\Say::length($course->heightAfterMm) }}</dd>
                <dt>End of the season</dt><dd>{{ \App\Support\Say::length($course->heightAtEndMm) }}</dd>
                <dt>Flowers</dt><dd>{{ $course->floweringHeightMm ?
                    'at '.\App\Support\Say::length($course->floweringHeightMm).', '
                    : '' }}{{ $course->flowersWhen }}</dd>
                <dt>Flowers lost</dt><dd>{{ $course->flowersLostPercent }} %</dd>
                <dt>Growth taken</dt><dd>{{ $course->sharePercent }} %</dd>
                <dt>To recover</dt><dd>{{ $course->yearsToRecover === 0 ? 'none'
                    : $course->yearsToRecover.($course->yearsToRecover === 1 ? ' year' : ' years') }}</dd>
                <dt>Time</dt><dd>{{ $course->minutes === 0 ? 'none' :
                    \App\Support\Say::minutes($course->minutes) }}</dd>
                <dt>Risk</dt><dd>{{ $course->risk }}</dd>
            </dl>
        </section>
    @endforeach
</div>
