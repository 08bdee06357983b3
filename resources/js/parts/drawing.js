import Alpine from '@alpinejs/csp';
import { changed } from '../changed';
import { piece } from '../piece';

// Redraws the plant from the server while a measure is changed, at most one request at a time.
const drawing = (url) => ({
    busy: false,
    again: false,
    said: '',
    init() {
        if (changed(this.$refs.form)) this.redraw();
    },
    async redraw() {
        if (this.busy) {
            this.again = true;
            return;
        }
        this.busy = true;
        try {
            const query = new URLSearchParams(new FormData(this.$refs.form));
            query.delete('_token');
            query.delete('_method');
            const drawn = await piece(`${url}?${query}`, 'It could not be drawn just now: the drawing is as it was.');
            const open = this.$refs.picture.querySelector('details')?.open;
            this.$refs.picture.innerHTML = drawn;
            if (open) this.$refs.picture.querySelector('details').open = true;
            this.said = '';
        } catch (error) {
            this.said = error.message;
        } finally {
            this.busy = false;
            if (this.again) {
                this.again = false;
                this.redraw();
            }
        }
    },
});

Alpine.data('drawing', drawing);
