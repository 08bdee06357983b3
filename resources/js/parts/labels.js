import Alpine from '@alpinejs/csp';
import qrcode from 'qrcode-generator';

/** Draws the code of each label: the address of its plant, as squares of one path. */
const labels = () => ({
    init() {
        for (const place of this.$root.querySelectorAll('[data-code]')) place.prepend(code(place.dataset.code));
    },
});

/** Quiet squares round a code, by which readers find it. */
const MARGIN = 2;

function code(text) {
    const qr = qrcode(0, 'M');
    qr.addData(text);
    qr.make();
    const size = qr.getModuleCount();
    let path = '';
    for (let row = 0; row < size; row++) {
        for (let column = 0; column < size; column++) {
            if (qr.isDark(row, column)) path += `M${column} ${row}h1v1h-1z`;
        }
    }
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('viewBox', `${-MARGIN} ${-MARGIN} ${size + 2 * MARGIN} ${size + 2 * MARGIN}`);
    svg.setAttribute('class', 'code');
    svg.setAttribute('aria-hidden', 'true');
    const squares = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    squares.setAttribute('d', path);
    svg.append(squares);
    return svg;
}

Alpine.data('labels', labels);
