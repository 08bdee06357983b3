@props(['days' => false])
<ul class="legend" aria-label="Signs used in the drawing">
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-best" x="1" y="1" width="26"
        height="10"/></svg>best</li>
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-open" x="1" y="1" width="26"
        height="10"/></svg>open</li>
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-done" x="1" y="1" width="26"
        height="10"/></svg>done</li>
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-closed" x="1" y="1" width="26"
        height="10"/></svg>closed</li>
    @if ($days)<li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-cost" x="1" y="4" width="26"
        height="4"/></svg>at a cost</li>@endif
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><rect class="d-bloom" x="1" y="1" width="26"
        height="10"/></svg>bloom</li>
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><path class="d-hook" d="M10 12v-6q0-5 4-5t4 4"/></svg>visit</li>
    <li><svg viewBox="0 0 28 12" aria-hidden="true"><line class="d-today" x1="14" x2="14" y1="0"
        y2="12"/></svg>today</li>
</ul>
