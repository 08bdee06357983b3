import { piece } from './piece';

// The rows of one group of the wall are fetched when it is first opened: thousands of rows are never sent at once.
export const fold = (url) => ({
    fetched: false,
    async open() {
        if (this.fetched || !this.$el.open) return;
        this.fetched = true;
        try {
            this.$refs.rows.innerHTML =
                await piece(url, 'The rows could not be fetched. Close this line and open it again.');
        } catch (error) {
            this.fetched = false;
            this.$refs.rows.innerHTML = '<p class="wrong-note"></p>';
            this.$refs.rows.firstChild.textContent = error.message;
        }
    },
});
