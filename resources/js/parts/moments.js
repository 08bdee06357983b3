import Alpine from '@alpinejs/csp';

// Turns courses from moment to moment: by the slider, its arrow keys, or the keys 1 to 6. The links work without it.
const moments = () => ({
    said: '',
    asked: 0,
    async turn() {
        const links = [...this.$root.querySelectorAll('[data-moment]')];
        const link = links[Number(this.$refs.range.value)];
        const mine = ++this.asked;
        try {
            const answer = await fetch(link.href, { headers: { Accept: 'text/html' } });
            if (!answer.ok) throw new Error(String(answer.status));
            const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
            const courses = page.querySelector('[data-courses]');
            // Without signal the phone answers with a page of its own.
            if (!courses) throw new Error('no courses');
            // A later turn has been asked for since.
            if (mine !== this.asked) return;
            this.$root.querySelector('[data-courses]').replaceWith(courses);
            links.forEach((each) => each.removeAttribute('aria-current'));
            link.setAttribute('aria-current', 'page');
            history.replaceState(null, '', link.href);
            this.said = '';
        } catch {
            if (mine === this.asked) this.said = 'No connection: the pictures are as they were.';
        }
    },
});

Alpine.data('moments', moments);
