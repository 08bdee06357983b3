import { own } from '../whose';
import { send } from './send';
import { add, drop, words } from './store';

const DONE_ONLY = ['minutes', 'removed_percent', 'amounts', 'more'];
const STOPPED_ONLY = ['why', 'told'];

/** Fields of the form as what is said: `amounts[0]` and `findings[]` become lists, an empty field is silent. */
export function said(form) {
    const body = {};
    for (const [field, value] of new FormData(form)) {
        if (field.startsWith('_') || typeof value !== 'string' || value.trim() === '') continue;
        const [, base, key] = field.match(/^([^[]+)(?:\[(.*)\])?$/);
        if (key === undefined) body[base] = value;
        else if (key === '') (body[base] ??= []).push(value);
        else (body[base] ??= {})[key] = value;
    }
    // Fields that are hidden are not sent.
    const away = { done: STOPPED_ONLY, changed: STOPPED_ONLY, 'not-done': DONE_ONLY }[body.outcome] ?? [];
    for (const field of away) delete body[field];
    return body;
}

/** Why this phone could not keep something, and what to do; what was filled in stays in the form. */
export const notKept = error => error?.name === 'QuotaExceededError'
    ? 'This phone has no room: nothing was kept. Free some space, then log again.'
    : 'This phone could not keep it. Try again; if it goes on, write it down and tell the lead.';

/** What a form lacks before it can be kept, by field. */
function lacking(body, left, stops, today) {
    const wrong = {};
    if (body.on > today) wrong.on = 'Nothing is done on a day that has not come.';
    if (!body.outcome) wrong.outcome = 'Tap how it went.';
    if (['partly', 'not-done'].includes(body.outcome) && !body.why) wrong.why = 'Tap why it was not all done.';
    if (!wrong.why && stops.includes(body.why) && ['partly', 'not-done'].includes(body.outcome) && !body.told)
        wrong.told = 'Who have you told? Choose one.';
    if (body.outcome && body.outcome !== 'not-done' && !body.minutes) wrong.minutes = 'How many minutes did it take?';
    if (left !== null && Number(body.removed_percent ?? 0) > left && !body.over_cap_reason) {
        wrong.removed_percent =
            `${body.removed_percent} % is over the cap: ${left} % may still go this season. If it was done, say why.`;
        wrong.over_cap_reason = 'Why was more taken?';
    }
    return wrong;
}

/** Whose sheet it is, which plant's page, and what the office knows of it. */
export const about = within => {
    const sheet = within.closest('[data-field]');
    const leaf = within.closest('[data-leaf]');
    return {
        visit: Number(sheet.dataset.visit), by: Number(sheet.dataset.by), name: sheet.dataset.name,
        label: leaf.dataset.label, standing: JSON.parse(leaf.dataset.standing || '[]'),
        left: leaf.dataset.left === '' ? null : Number(leaf.dataset.left),
    };
};

/** The log of one task in the hand: which outcome, steppers in place of typing, a clock. */
export const logForm = (outcome, why, task, reasoned = false) => ({
    outcome,
    why,
    over: reasoned,
    asked: false,
    clock: JSON.parse(localStorage.getItem(own(`clock-${task}`)) ?? 'null'),
    now: Date.now(),
    draft: own(`draft-${task}`),
    init() {
        this.remember();
        document.addEventListener('brought-back', () => this.remember());
        // What is asked next comes into sight, and Log it under the thumb.
        this.$watch('outcome', () => this.$nextTick(() => {
            if (this.$root.closest('.is-paged')) this.$root.scrollIntoView({ block: 'start' });
        }));
        if (this.clock?.since) this.tick();
    },
    get stops() {
        return this.$root.dataset.stops.split(' ');
    },
    get isStop() {
        return this.stops.includes(this.why) && ['partly', 'not-done'].includes(this.outcome);
    },
    step(input, by) {
        const least = input.min === '' ? 0 : Number(input.min);
        input.value = Math.max(least, Number(input.value || 0) + by);
        this.hold();
    },
    // What is half filled in is still there when the phone comes out of the pocket again.
    hold() {
        // The form's own token is nobody's to find here.
        localStorage.setItem(this.draft, JSON.stringify([...new FormData(this.$root)].filter(([field, value]) =>
            typeof value === 'string' && !field.startsWith('_'))));
    },
    remember() {
        const kept = JSON.parse(localStorage.getItem(this.draft) ?? 'null');
        if (!kept) return;
        for (const input of this.$root.elements) {
            const values = kept.filter(([field]) => field === input.name).map(([, value]) => value);
            if (['radio', 'checkbox'].includes(input.type)) input.checked = values.includes(input.value);
            else if (values.length && !input.name.startsWith('_') && input.type !== 'file') input.value = values[0];
        }
        this.outcome = this.$root.elements.outcome?.value || this.outcome;
        this.why = this.$root.elements.why?.value || this.why;
    },
    // The clock of one plant: started, stopped, gone on; the minutes follow.
    toggleClock() {
        const clock = this.clock ?? { ran: 0, since: null };
        this.clock = clock.since
            ? { ran: clock.ran + Date.now() - clock.since, since: null }
            : { ran: clock.ran, since: Date.now() };
        localStorage.setItem(own(`clock-${task}`), JSON.stringify(this.clock));
        this.tick();
        if (!this.clock.since) {
            this.$root.elements.minutes.value = Math.max(1, Math.round(this.clock.ran / 60_000));
            this.hold();
        }
    },
    tick() {
        this.now = Date.now();
        if (this.clock?.since && this.$root.isConnected) setTimeout(() => this.tick(), 1000);
    },
    get clockSays() {
        if (!this.clock) return 'Start the clock';
        return this.clock.since ? `Stop the clock, ${this.ran}` : `Go on, ${this.ran}`;
    },
    get ran() {
        const clock = this.clock;
        const ms = (clock?.ran ?? 0) + (clock?.since ? Math.max(0, this.now - clock.since) : 0);
        return `${Math.floor(ms / 60_000)}:${String(Math.floor(ms / 1000) % 60).padStart(2, '0')}`;
    },
    wrong(fields) {
        for (const place of this.$root.querySelectorAll('[data-wrong]')) {
            const says = fields[place.dataset.wrong];
            if (place.dataset.wrong !== 'sure') place.textContent = says ?? '';
            place.hidden = !says;
        }
        this.over ||= 'over_cap_reason' in fields;
        this.asked ||= 'sure' in fields;
        const first = this.$root.querySelector('[data-wrong]:not([hidden])');
        first?.closest('.log-field')?.scrollIntoView({ block: 'center' });
    },
    async submit() {
        const { visit, by, name, label, standing, left } = about(this.$root);
        const body = said(this.$root);
        // The sheet may be of yesterday, and the phone's clock may be behind.
        const days = [this.$root.elements.on.max, new Date().toLocaleDateString('sv')].sort();
        const wrong = lacking(body, left, this.stops, days[1]);
        this.wrong(wrong);
        if (Object.keys(wrong).length) return;
        let mine;
        try {
            // It stands in place of all that this phone knows of: what the office has, and what still waits here.
            mine = (await words()).filter(word => word.task === task && word.kind === 'log' && word.by === by);
            const here = mine.filter(word => word.state !== 'refused').map(word => word.id);
            const corrects = [...new Set([...standing, ...here])];
            await add({ kind: 'log', visit, task, by, name, label, corrects, body });
        } catch (error) {
            return this.wrong({ outcome: notKept(error) });
        }
        // What was refused before is what was just put right.
        for (const word of mine.filter(word => word.state === 'refused')) await drop(word);
        localStorage.removeItem(own(`clock-${task}`));
        this.$root.closest('details')?.removeAttribute('open');
        document.dispatchEvent(new CustomEvent('logged', { detail: { task, label } }));
        send();
    },
});
