import Alpine from '@alpinejs/csp';
import { own, USER } from '../whose';

// A name no other tap has; randomUUID is there only on a secure page.
const name = () =>
    '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, digit =>
        (digit ^ (crypto.getRandomValues(new Uint8Array(1))[0] & (15 >> (digit / 4)))).toString(16),
    );

// Between attempts without signal, in ms: longer each time.
const FIRST_PAUSE = 2000;
const LONGEST_PAUSE = 30000;

// Survey and judge: every tap goes to the server, which keeps it, judges anew and sends the board back. Without signal
// the taps wait on this phone, in order, and are sent when it is back; leaving the page loses none of them.
const board = (url, undoUrl, token, of, key = own(of)) => ({
    waiting: [],
    sending: false,
    again: null,
    pause: FIRST_PAUSE,
    said: '',
    init() {
        this.read();
        // Another tab has the same board open.
        window.addEventListener('storage', event => event.key === key && this.read());
        window.addEventListener('online', () => this.send());
        // What waited under this person's lock is theirs again.
        document.addEventListener('brought-back', () => (this.read(), this.send()));
        if (this.mine().length) this.send();
    },
    read() {
        this.waiting = JSON.parse(localStorage.getItem(key) ?? '[]');
    },
    // What waits is changed as it lies there now, whatever another tab made of it since it was read.
    change(how) {
        this.read();
        this.waiting = how(this.waiting);
        this.waiting.length ? localStorage.setItem(key, JSON.stringify(this.waiting)) : localStorage.removeItem(key);
    },
    // A phone that was handed on keeps the taps of the one before, and sends them for nobody else.
    mine() {
        return this.waiting.filter(tap => tap.by === undefined || tap.by === USER);
    },
    // Any form inside the board is one tap.
    submit(event) {
        const form = event.target;
        if (form.matches('[data-leave]')) return;
        event.preventDefault();
        const fields = new FormData(form, event.submitter);
        const said = Object.fromEntries([...fields].filter(([name]) => !name.startsWith('_')));
        this.tap(form.action === undoUrl ? { ...said, undo: true } : said);
    },
    tap(change) {
        this.change(waiting => [...waiting, { ...change, tap: name(), by: USER }]);
        this.send();
    },
    // A tap on the picture, away from any stem, is a new stem going that way.
    rim(event) {
        if (event.target.closest('a')) return;
        const svg = event.currentTarget;
        const box = svg.getBoundingClientRect();
        const x = event.clientX - box.left - box.width / 2;
        const y = event.clientY - box.top - box.height / 2;
        if (Math.hypot(x, y) < box.width * 0.06) return;
        this.tap({ op: 'add', azimuth_deg: Math.round((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360 });
    },
    async select(event) {
        const link = event.target.closest('a[data-stem]');
        if (!link) return;
        event.preventDefault();
        try {
            await this.show(fetch(`${url}?board=1&stem=${encodeURIComponent(link.dataset.stem)}`));
        } catch {
            this.said = 'No signal: the stem is shown when it is back. Taps are kept on this phone.';
        }
    },
    // A tap leaves the phone only when the server has kept it or has said what is wrong with it. Its name lets the
    // server know it again: an answer that never comes does not keep it twice.
    async send() {
        clearTimeout(this.again);
        if (!this.mine().length) return;
        // The signal may come back while an attempt without it is still failing: that one is followed by another.
        if (this.sending) return (this.again = setTimeout(() => this.send(), FIRST_PAUSE / 4));
        this.sending = true;
        try {
            // One tab at a time: two would send each tap twice, and out of order.
            navigator.locks ? await navigator.locks.request(key, () => this.deliver()) : await this.deliver();
        } catch {
            this.said = `No signal: ${this.waits()} and will be sent.`;
            // Not every phone says when its signal is back.
            this.again = setTimeout(() => this.send(), this.pause);
            this.pause = Math.min(2 * this.pause, LONGEST_PAUSE);
        } finally {
            this.sending = false;
        }
    },
    async deliver() {
        for (this.read(); this.mine().length; this.read()) {
            const [tap] = this.mine();
            let answer = await this.post(tap);
            // A page that stood open for long has an old token; the tap is as good as ever.
            if (answer.status === 419 && (await this.renewed())) answer = await this.post(tap);
            if (answer.status === 401 || answer.status === 419)
                return (this.said = `Sign in again: ${this.waits()} and will be sent then.`);
            if (answer.status >= 500 || answer.status === 429)
                return (this.said = `The office did not answer: ${this.waits()}. Tap again to send.`);
            this.change(waiting => waiting.filter(each => each.tap !== tap.tap));
            if (!answer.ok) {
                this.said = await this.refusal(answer);
                continue;
            }
            this.said = '';
            this.pause = FIRST_PAUSE;
            if (!this.mine().length) await this.show(Promise.resolve(answer));
        }
    },
    async renewed() {
        const who = await fetch('/entries/who', { headers: { Accept: 'application/json' }, cache: 'no-store' });
        const told = who.ok ? await who.json() : null;
        if (told?.user !== USER) return false;
        token = told.token;
        return true;
    },
    post(change) {
        const body = new FormData();
        body.set('_token', token);
        if (!change.undo) body.set('_method', 'put');
        for (const [name, value] of Object.entries(change)) if (name !== 'by') body.set(name, value);
        return fetch(change.undo ? undoUrl : url, {
            method: 'post',
            body,
            headers: { 'X-Board': '1', Accept: 'application/json, text/html' },
        });
    },
    waits() {
        const number = this.mine().length;
        return `${number} ${number === 1 ? 'tap waits' : 'taps wait'} on this phone`;
    },
    async refusal(answer) {
        const told = await answer.json().catch(() => ({}));
        return answer.status === 422 && told.message
            ? told.message
            : 'That tap was not kept. Look at the board and tap again.';
    },
    async show(answer) {
        const got = await answer;
        if (!got.ok) return;
        const focus = document.activeElement?.dataset?.focus;
        this.$refs.board.innerHTML = await got.text();
        if (focus) this.$refs.board.querySelector(`[data-focus="${focus}"]`)?.focus();
    },
});

Alpine.data('board', board);
