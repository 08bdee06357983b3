{{-- Hatching and dots for every drawing on the page: each colour has a second sign. --}}
<svg class="patterns" width="0" height="0" aria-hidden="true">
    <defs>
        <pattern id="hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="4" stroke="var(--ph-soft)" stroke-width="1.1"/>
        </pattern>
        <pattern id="petals" width="3" height="3" patternUnits="userSpaceOnUse">
            <circle cx="1.5" cy="1.5" r=".95" fill="var(--ph-bloom)"/>
        </pattern>
    </defs>
</svg>
