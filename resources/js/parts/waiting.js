import Alpine from '@alpinejs/csp';

/** Looks now and then how far a plan is; shows it as soon as it is there. */
function waiting(address) {
    return {
        async init() {
            for (;;) {
                await new Promise(done => setTimeout(done, 700));
                const answer = await fetch(address).catch(() => null);
                if (!answer?.ok) continue;
                const html = await answer.text();
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
