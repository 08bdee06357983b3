const INCH = 2.54;

/** Forms ask for centimetres; whoever thinks in feet and inches reads beside each field what it comes to. */
export function feet() {
    const show = field => {
        const label = field.labels?.[0];
        if (!label || !/, cm\b/.test(label.textContent)) return;
        let said = label.querySelector('[data-feet]');
        if (!said) {
            said = document.createElement('span');
            said.dataset.feet = '';
            label.append(said);
        }
        said.textContent = field.value > 0 ? ` (${told(Number(field.value))})` : '';
    };
    const all = () => document.querySelectorAll('input').forEach(show);
    all();
    document.addEventListener('input', ({ target }) => target.matches('input') && show(target));
    // Steps by plus and minus are changes without typing.
    document.addEventListener('click', () => requestAnimationFrame(all));
}

function told(cm) {
    const inches = Math.round(cm / INCH);
    return inches < 24 ? `${inches} in` : `${Math.floor(inches / 12)} ft${inches % 12 ? ` ${inches % 12} in` : ''}`;
}
