import Alpine from '@alpinejs/csp';

// Draws the year a site would use as its place, its frosts or its months are written down.
const siteYear = url => ({
    said: '',
    latest: 0,
    async draw() {
        const value = name => document.querySelector(`[name=${name}]`).value;
        if (!value('latitude') || !value('longitude') || !value('elevation_m')) return;
        const mine = ++this.latest;
        const names = ['latitude', 'longitude', 'elevation_m', 'last_frost', 'first_frost', 'winter', 'normals'];
        const query = new URLSearchParams(names.map(name => [name, value(name)]));
        try {
            const answer = await fetch(`${url}?${query}`, { headers: { Accept: 'application/json, text/html' } });
            const told = answer.ok ? await answer.text() : (await answer.json()).message;
            if (mine !== this.latest) return;
            this.said = answer.ok ? '' : told;
            if (answer.ok) this.$refs.year.innerHTML = told;
        } catch {
            // Without signal the year that was drawn stays; saving says what is wrong.
        }
    },
});

Alpine.data('siteYear', siteYear);
