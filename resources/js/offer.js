/** Fills a field's list of offers while something is typed into it. Without signal the field is simply typed into. */
export const offer = (url) => ({
    latest: 0,
    async ask(text) {
        const mine = ++this.latest;
        if (text.trim().length < 2) return;
        try {
            const answer = await fetch(`${url}?q=${encodeURIComponent(text.trim())}`, {
                headers: { Accept: 'application/json' },
            });
            if (!answer.ok || mine !== this.latest) return;
            this.$refs.offered.replaceChildren(
                ...(await answer.json()).map(each => new Option(each.client, each.name)),
            );
        } catch {
            // Nothing is offered; the name can still be typed.
        }
    },
});
