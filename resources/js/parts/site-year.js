import Alpine from '@alpinejs/csp';
import { changed } from '../changed';
import { piece } from '../piece';

// Draws the year a site would use as its place, its frosts or its months are written down.
const siteYear = url => ({
    said: '',
    latest: 0,
    init() {
        if (changed(this.$root)) this.draw();
    },
    async draw() {
        const value = name => document.querySelector(`[name=${name}]`).value;
        if (!value('latitude') || !value('longitude') || !value('elevation_m')) return;
        const mine = ++this.latest;
        const names = ['latitude', 'longitude', 'elevation_m', 'last_frost', 'first_frost', 'winter', 'normals'];
        const query = new URLSearchParams(names.map(name => [name, value(name)]));
        try {
            const drawn = await piece(`${url}?${query}`, 'It could not be drawn just now: the year is as it was.');
            if (mine !== this.latest) return;
            this.$refs.year.innerHTML = drawn;
            this.said = '';
        } catch (error) {
            if (mine === this.latest) this.said = error.message;
        }
    },
});

Alpine.data('siteYear', siteYear);
