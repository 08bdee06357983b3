@props(['months', 'asks'])
@forelse ($months as $month => $lines)
    <section aria-labelledby="month-{{ $loop->index }}" class="letter-month">
        <h2 id="month-{{ $loop->index }}">{{ $month }}</h2>
        @foreach ($lines as $line)
            <div class="letter-line">
                <h3>{{ $line->plant }}: {{ lcfirst($line->task) }}</h3>
                <p class="mb-1"><b>{{ $line->until === null ? 'On '.Say::longDate($line->on)
                    : 'Between '.Say::date($line->on).' and '.Say::date($line->until) }}.</b> {{ ucfirst($line->why)
                    }}.@if ($line->after) {{ $line->after }}@endif</p>
                @if ($line->picture)<figure class="drawn">{{ $line->picture }}</figure>@endif
            </div>
        @endforeach
    </section>
@empty
    <p>Nothing is to be pruned in the next six months.</p>
@endforelse
@if ($asks !== [])
    <section aria-labelledby="asks"><h2 id="asks">What we ask of you</h2>
        <ul>@foreach ($asks as $ask)<li>{{ $ask }}</li>@endforeach</ul></section>
@endif
