@props(['years', 'season'])
<h2>Budget of the years</h2>
<div class="budget-years" role="list">
    @foreach ($years as $year)
        <div role="listitem" @class(['now' => $year['season'] === $season])>
            <svg class="drawing" viewBox="0 0 40 100" preserveAspectRatio="none" aria-hidden="true"><rect class="d-cost"
                x="1" width="38" y="{{ 100 - $year['cap'] }}" height="{{ $year['cap'] }}"/>@if ($year['used'])<rect
                class="y-used" x="6" width="28" y="{{ 100 - min(100, $year['used']) }}" height="{{ min(100,
                $year['used']) }}"/>@endif</svg>
            <b>{{ $year['season'] }}</b>
            <span>{{ $year['season'] > $season ? ($year['planned'] !== null ? $year['planned'].' old stems planned'
                : 'open') : ($year['used'] === null ? 'not said' : $year['used'].' %') }}</span>
        </div>
    @endforeach
</div>
<p class="soft">Live growth taken in a season, of what stood there; up to
    {{ $years[0]['cap'] }} % may go (pale). Cleaning is free.</p>
