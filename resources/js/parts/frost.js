import Alpine from '@alpinejs/csp';

// Fetches frost dates carried from the nearest garden and writes them into the form, where they can still be changed.
const frost = (url, besides) => ({
    says: '',
    busy: false,
    async carry() {
        const value = (name) => document.querySelector(`[name=${name}]`).value;
        this.busy = true;
        try {
            const query = new URLSearchParams({
                latitude: value('latitude'),
                longitude: value('longitude'),
                elevation_m: value('elevation_m'),
                ...(besides ? { besides } : {}),
            });
            const answer = await fetch(`${url}?${query}`, { headers: { Accept: 'application/json' } });
            const told = await answer.json();
            this.says = told.says ?? told.message ?? 'The dates could not be carried over.';
            for (const name of ['last_frost', 'first_frost', 'winter']) {
                if (told[name]) {
                    document.querySelector(`[name=${name}]`).value = told[name];
                }
            }
        } catch {
            this.says = 'The dates could not be carried over: no connection. Try again, or write them yourself.';
        } finally {
            this.busy = false;
        }
    },
});

Alpine.data('frost', frost);
