import Alpine from '@alpinejs/csp';

// Finds the kind somebody means while it is typed: a list below the field, for the keyboard and the thumb, with the
// question that tells several apart. Without signal the name is simply typed.
const kinds = url => ({
    latest: 0,
    at: -1,
    field: null,
    init() {
        this.field = this.$root.querySelector('input');
        this.field.removeAttribute('list');
        this.field.addEventListener('blur', () => setTimeout(() => this.close(), 150));
    },
    async ask() {
        const mine = ++this.latest;
        const text = this.field.value.trim();
        if (text.length < 2) return this.close();
        try {
            const answer = await fetch(`${url}?q=${encodeURIComponent(text)}`, {
                headers: { Accept: 'application/json' },
            });
            if (answer.ok && mine === this.latest) this.offer((await answer.json()).matches);
        } catch {
            this.close();
        }
    },
    offer(matches) {
        this.at = -1;
        this.$refs.asks.textContent = matches.length ? (matches[0].ask ?? '') : 'The plant book knows nothing like it.';
        this.$refs.list.replaceChildren(...matches.map((match, index) => this.option(match, index)));
        this.$refs.list.hidden = matches.length === 0;
        this.field.setAttribute('aria-expanded', matches.length > 0);
        this.field.removeAttribute('aria-activedescendant');
    },
    option(match, index) {
        const option = document.createElement('li');
        option.id = `kind-${index}`;
        option.setAttribute('role', 'option');
        option.setAttribute('aria-selected', 'false');
        option.dataset.name = match.name;
        const because = document.createElement('small');
        because.textContent = match.because;
        const botanical = document.createElement('i');
        botanical.textContent = match.botanical;
        option.append(`${match.name} `, botanical, because);
        option.addEventListener('mousedown', event => {
            event.preventDefault();
            this.choose(option);
        });
        return option;
    },
    press(event) {
        const options = [...this.$refs.list.children];
        if (this.$refs.list.hidden || options.length === 0) return;
        const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (step) {
            event.preventDefault();
            this.at = (this.at + step + options.length) % options.length;
            options.forEach((option, index) => option.setAttribute('aria-selected', index === this.at));
            this.field.setAttribute('aria-activedescendant', options[this.at].id);
        } else if (event.key === 'Enter' && this.at >= 0) {
            event.preventDefault();
            this.choose(options[this.at]);
        } else if (event.key === 'Escape') {
            event.preventDefault();
            this.close();
        }
    },
    choose(option) {
        this.latest++;
        this.field.value = option.dataset.name;
        this.field.dispatchEvent(new Event('change', { bubbles: true }));
        this.close();
    },
    close() {
        this.$refs.list.hidden = true;
        this.$refs.asks.textContent = '';
        this.field.setAttribute('aria-expanded', 'false');
        this.field.removeAttribute('aria-activedescendant');
    },
});

Alpine.data('kinds', kinds);
