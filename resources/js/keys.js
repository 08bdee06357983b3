/**
 * One-key jumps at the desk. They stay out of the way wherever something is being typed, change nothing by themselves,
 * and can be switched off.
 */
export function keys() {
    return {
        help: false,
        press(event) {
            const typing = event.target.closest('input, select, textarea, [contenteditable]');
            if (document.body.dataset.keys === 'off' || typing || event.ctrlKey || event.metaKey || event.altKey) {
                return;
            }
            if (event.key === '/') {
                event.preventDefault();
                document.getElementById('search').focus();
            } else if (event.key === '?') {
                this.toggle();
            } else {
                const jump = document.querySelector(`[data-key="${CSS.escape(event.key.toLowerCase())}"]`);
                if (jump) {
                    event.preventDefault();
                    // What would write is only turned to: Enter does it.
                    jump.matches('a') ? jump.click() : jump.focus();
                }
            }
        },
        toggle() {
            const dialog = this.$refs.help;
            dialog.open ? dialog.close() : dialog.showModal();
        },
    };
}
