// The rows of one group of the wall are fetched when it is first opened: thousands of rows are never sent at once.
export const fold = (url) => ({
    fetched: false,
    async open() {
        if (this.fetched || !this.$el.open) return;
        this.fetched = true;
        try {
            const answer = await fetch(url, { headers: { Accept: 'text/html' } });
            if (!answer.ok) throw new Error(answer.statusText);
            this.$refs.rows.innerHTML = await answer.text();
        } catch {
            this.fetched = false;
            this.$refs.rows.innerHTML =
                '<p class="wrong-note">The rows could not be fetched. Close this line and open it again.</p>';
        }
    },
});
