import Alpine from '@alpinejs/csp';

/** Looks again while gardens are being worked out anew, as long as nobody is at work on the page. */
const anew = () => ({
    init() {
        const looking = setTimeout(() => {
            if (!document.querySelector('details[open], input:focus, select:focus')) location.reload();
        }, 4000);
        // Whoever is on their way elsewhere is not called back.
        addEventListener('beforeunload', () => clearTimeout(looking));
    },
});

Alpine.data('anew', anew);
