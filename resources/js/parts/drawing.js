import Alpine from '@alpinejs/csp';

// Redraws the plant from the server while a measure is changed, at most one request at a time.
const drawing = (url) => ({
    busy: false,
    again: false,
    said: '',
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
            const answer = await fetch(`${url}?${query}`, { headers: { Accept: 'text/html, application/json' } });
            if (answer.ok) {
                const open = this.$refs.picture.querySelector('details')?.open;
                this.$refs.picture.innerHTML = await answer.text();
                if (open) this.$refs.picture.querySelector('details').open = true;
                this.said = '';
            } else {
                this.said =
                    answer.status === 422
                        ? (await answer.json()).message
                        : 'It could not be drawn with these measures.';
            }
        } catch {
            this.said = 'No connection: the drawing is as it was.';
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
