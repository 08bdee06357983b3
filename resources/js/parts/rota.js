import Alpine from '@alpinejs/csp';
import { piece } from '../piece';

/** Moves a visit on the plan by drag or by keyboard; the server says what that costs and breaks before it is done. */
function rota(address) {
    return {
        card: null,
        at: null,
        latest: 0,
        asked: null,
        init() {
            // What was moved just now is in hand again.
            const moved = new URLSearchParams(window.location.search).get('visit');
            const card = moved && this.$el.querySelector(`[data-visit="${CSS.escape(moved)}"] a`);
            if (card) card.focus();
            this.$el.addEventListener('click', event => {
                const button = event.target.closest('[data-move]');
                if (button) this.take(button.closest('[data-visit]'));
            });
            this.$el.addEventListener('dragstart', event => this.take(event.target.closest('[data-visit]')));
            this.$el.addEventListener('dragover', event => {
                const cell = event.target.closest('[data-on]');
                if (this.card && cell) {
                    event.preventDefault();
                    this.look(cell);
                }
            });
            this.$el.addEventListener('drop', event => {
                event.preventDefault();
                this.put();
            });
        },
        take(card) {
            this.card = card;
            this.at = card.closest('[data-on]');
            card.classList.add('taken');
            this.say(
                `${card.dataset.name} is taken up. Arrow keys choose day and crew, Enter puts it there, `
                    + 'Escape leaves it.',
            );
        },
        press(event) {
            if (!this.card) return;
            const cells = [...this.$el.querySelectorAll('[data-on]')];
            const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key];
            if (step) {
                event.preventDefault();
                this.look(cells[cells.indexOf(this.at) + step] ?? this.at);
            } else if (event.key === 'Enter') {
                event.preventDefault();
                this.put();
            } else if (event.key === 'Escape') {
                this.leave();
            }
        },
        look(cell) {
            if (cell !== this.at) this.asked = this.ask(cell);
        },
        async ask(cell) {
            this.at.classList.remove('aimed');
            this.at = cell;
            cell.classList.add('aimed');
            const mine = ++this.latest;
            const { on, crew } = cell.dataset;
            const url = `${address.replace(/0$/, this.card.dataset.visit)}?on=${on}&crew=${crew}`;
            try {
                const told = await piece(url, 'what it costs could not be asked. Try again.');
                if (mine === this.latest && this.card) this.tell(told);
            } catch (error) {
                if (mine === this.latest && this.card) this.say(`${cell.dataset.label}: ${error.message}`);
                // It is not put where nobody knows what it breaks.
                return false;
            }
            return true;
        },
        async put() {
            // What it breaks must be known before it is done.
            const known = await this.asked;
            if (!this.card) return;
            const form = this.$refs.form;
            const { on, crew } = this.at.dataset;
            if (this.at === this.card.closest('[data-on]')) {
                this.leave();
                return;
            }
            if (!known) {
                this.asked = this.ask(this.at);
                return;
            }
            const breaks = this.$refs.says.querySelector('[data-breaks]');
            if (breaks && !window.confirm(`${breaks.textContent} Move it all the same?`)) {
                this.leave();
                return;
            }
            form.action = address.replace(/0$/, this.card.dataset.visit);
            form.elements.on.value = on;
            form.elements.crew.value = crew;
            const { on: wasOn, crew: wasCrew } = this.card.closest('[data-on]').dataset;
            form.elements.from.value = `${wasOn} ${wasCrew}`;
            form.elements.sure.value = breaks ? 1 : '';
            form.submit();
        },
        leave() {
            this.at.classList.remove('aimed');
            this.card.classList.remove('taken');
            this.card.querySelector('[data-move]').focus();
            this.card = null;
            this.say('');
        },
        // Names are anybody's words, so what is said here is text; only what the server wrote is told as it is.
        say(words) {
            this.$refs.says.textContent = words;
            this.$refs.says.hidden = words === '';
        },
        tell(html) {
            this.$refs.says.innerHTML = html;
            this.$refs.says.hidden = html === '';
        },
    };
}

Alpine.data('rota', rota);
