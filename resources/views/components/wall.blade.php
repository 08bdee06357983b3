@props(['months', 'width', 'rows', 'garden' => false])
<div class="wall-row months" aria-hidden="true">
    <span></span>
    <div class="month-names">@foreach ($months as $month)<span class="at-{{
        $month->step($width) }}">{{ $month->says }}</span>@endforeach</div>
</div>
@foreach ($rows as $row)
    <div class="wall-row">
        <a href="{{ route('plants.show', $row['plant']) }}">{{ $row['plant']->label }}@if ($garden),
            {{ $row['plant']->garden->name }}@endif</a>
        <x-strip :strip="$row['strip']" />
        @if ($row['faults'] !== [])<p class="wall-fault wrong-note">{{ implode(' ', $row['faults']) }}</p>@endif
    </div>
@endforeach
