import Alpine from '@alpinejs/csp';
import { piece } from '../piece';

/** Looks now and then how far a plan is; shows it as soon as it is there. */
function waiting(address) {
    return {
        async init() {
            for (;;) {
                await new Promise(done => setTimeout(done, 700));
                let html;
                try {
                    html = await piece(address, 'No connection: it is asked again in a moment.');
                } catch (error) {
                    this.$el.textContent = error.message;
                    continue;
                }
                if (html.includes('data-under-way="0"')) {
                    window.location.reload();
                    return;
                }
                this.$el.innerHTML = html;
            }
        },
    };
}

Alpine.data('waiting', waiting);
