<svg viewBox="0 0 32 32" aria-hidden="true"><path d="M7 29 L17 15" stroke="currentColor" stroke-width="4"
    stroke-linecap="round" fill="none"/><path d="M16 16 C 27 13 29 4 20 3" stroke="var(--ph-rust)" stroke-width="3.5"
    stroke-linecap="round" fill="none"/></svg>
