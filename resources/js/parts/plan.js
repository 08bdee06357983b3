import Alpine from '@alpinejs/csp';

/** Asks the server anew for the common window and the day's length whenever a task or the day is changed. */
function plan() {
    return {
        busy: false,
        failed: false,
        latest: 0,
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
            this.failed = false;
            try {
                const answer = await fetch(`${form.dataset.preview}?${asked}`, {
                    headers: { 'X-Requested-With': 'XMLHttpRequest' },
                });
                if (!answer.ok) {
                    throw new Error(answer.statusText);
                }
                const html = await answer.text();
                // An older answer that comes late must not replace a newer one.
                if (mine === this.latest) {
                    this.$refs.common.innerHTML = html;
                }
            } catch {
                this.failed = mine === this.latest;
            } finally {
                this.busy = mine === this.latest ? false : this.busy;
            }
        },
    };
}

Alpine.data('plan', plan);
