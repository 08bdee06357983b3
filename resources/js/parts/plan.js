import Alpine from '@alpinejs/csp';
import { changed } from '../changed';
import { piece } from '../piece';

/** Asks the server anew for the common window and the day's length whenever a task or the day is changed. */
function plan() {
    return {
        busy: false,
        failed: '',
        latest: 0,
        pressed: false,
        init() {
            // New common days move the button below them: a click that has begun must still end on it.
            this.$refs.form.addEventListener('pointerdown', () => (this.pressed = true));
            for (const end of ['pointerup', 'pointercancel']) {
                addEventListener(end, () => setTimeout(() => (this.pressed = false)));
            }
            if (changed(this.$refs.form)) this.refresh();
        },
        take(day) {
            this.$refs.form.elements.on.value = day;
            this.refresh();
        },
        async refresh() {
            const mine = ++this.latest;
            const form = this.$refs.form;
            const asked = new URLSearchParams(new FormData(form));
            asked.delete('_token');
            this.busy = true;
            this.failed = '';
            try {
                const html = await piece(
                    `${form.dataset.preview}?${asked}`,
                    'The common days could not be worked out just now.',
                );
                while (this.pressed) await new Promise(done => setTimeout(done, 50));
                // An older answer that comes late must not replace a newer one.
                if (mine === this.latest) this.$refs.common.innerHTML = html;
            } catch (error) {
                if (mine === this.latest) this.failed = error.message;
            } finally {
                if (mine === this.latest) this.busy = false;
            }
        },
    };
}

Alpine.data('plan', plan);
