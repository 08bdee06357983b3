@props(['courses', 'left', 'at'])
@use('PruningHook\Core\Regrowth\Stage')
<div class="futures">
    @foreach ($courses as [$course, $portrait])
        @php($stage = $course->future->stages[$at])
        @php($id = $course->key.$loop->index)
        <section aria-labelledby="c-{{ $id }}">
            <h2 id="c-{{ $id }}">{{ $course->name }}</h2>
            <x-portrait :p="$portrait" :name="$course->name.', '.lcfirst(Stage::NAMES[$at])" />
            <dl class="facts">
                <dt>Height</dt><dd>{{ Say::length($stage->plant->heightMm()) }}{{ $stage->left === null ? ''
                    : ', left at '.Say::length($stage->left->heightMm()) }}</dd>
                <dt>Stems</dt><dd>{{ count($stage->plant->stems()) }}{{ $stage->left === null ? ''
                    : ', '.count($stage->left->stems()).' stay' }}{{ $course->rubs($at) > 0
                    ? ', '.$course->rubs($at).' of them near enough to rub' : '' }}</dd>
                @if ($stage->bloom !== null)<dt>Flowers</dt><dd>{{ $portrait->flowersMm === null ? 'none'
                    : 'up to '.Say::length($portrait->flowersMm) }}{{ $course === $left
                    || $course->flowersAgainst($left, $at) === '' ? '' : ', '.$course->flowersAgainst($left,
                    $at) }}</dd>@endif
                @if ($stage->removedPercent > 0)<dt>Taken</dt><dd>{{ $stage->removedPercent }} % of its live buds in
                    that season</dd>@endif
                @if ($course->minutes > 0)<dt>Time</dt><dd>{{ Say::minutes($course->minutes) }}{{ $course->key
                    === 'hard' ? ', this season' : ' a year' }}</dd>@endif
                @if ($course->risk !== '')<dt>Risk</dt><dd>{{ $course->risk }}</dd>@endif
            </dl>
        </section>
    @endforeach
</div>
