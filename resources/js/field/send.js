import { dropPhoto, photos, settle, settlePhoto, words } from './store';

// Between attempts without an answer, in ms: longer each time.
const FIRST_PAUSE = 2000;
const LONGEST_PAUSE = 120_000;
const AT_ONCE = 20;

/** A clock that is off by no more is not spoken of, in ms. */
const CLOCK_OFF = 120_000;

/** Off by more than half a day, nobody can tell whose clock is wrong. */
const DAY_OFF = 43_200_000;

/** How it stands with the office: '', 'no-signal', 'sign-in', 'busy' or 'trouble', and who is signed in. */
export const line = { state: '', user: null, clockOff: '' };

let again = null;
let pause = FIRST_PAUSE;
let running = null;

const tell = (state, more = {}) => {
    Object.assign(line, more, { state });
    document.dispatchEvent(new CustomEvent('words'));
};

/** Sends what waits, in order, from one tab at a time; tries again by itself. */
export function send() {
    clearTimeout(again);
    running ??= alone().finally(() => (running = null));
    return running;
}

async function alone() {
    if (!navigator.locks) return deliver();
    return navigator.locks.request('words', deliver);
}

async function deliver() {
    try {
        const mine = user => each => each.by === user && each.state === 'waiting' && !each.locked;
        if (![...(await words()), ...(await photos())].some(each => each.state === 'waiting')) return tell('');
        const who = await ask('/entries/who');
        if (!who) return;
        const off = Math.abs(Date.parse(who.now) - Date.now());
        tell('busy', { user: who.user, clockOff: off > DAY_OFF ? 'much' : off > CLOCK_OFF ? 'little' : '' });
        // Where the office took none of several, they go one by one: the one it cannot take is told, the others arrive.
        let alone = 0;
        for (;;) {
            const next = (await words()).filter(mine(who.user)).slice(0, alone > 0 ? 1 : AT_ONCE);
            if (next.length === 0) break;
            const answer = await ask('/entries', who.token, {
                now: new Date().toISOString(),
                entries: next.map(({ v, id, kind, visit, task, said_at, corrects, body }) =>
                    ({ v, id, kind, visit, task, said_at, corrects, body })),
            });
            if (!answer) return;
            if (answer.refused && next.length > 1) {
                alone = next.length;
                continue;
            }
            alone = Math.max(0, alone - 1);
            const results = answer.refused
                ? [{ id: next[0].id, state: 'refused', because: answer.refused }]
                : answer.results;
            for (const [index, result] of results.entries()) {
                await settle(next.find(word => word.id === result.id) ?? next[index],
                    result.state === 'kept' ? 'sent' : 'refused', { because: result.because, fields: result.fields });
            }
            // Those it has not come to wait: it cannot write at the moment.
            if (results.length < next.length) return wait('trouble');
        }
        document.dispatchEvent(new CustomEvent('words-sent'));
        // Pictures go last and by themselves: no word waits for one.
        for (const photo of (await photos()).filter(mine(who.user))) {
            const form = new FormData();
            for (const field of ['id', 'task', 'moment', 'taken_at']) form.set(field, photo[field]);
            form.set('photo', photo.blob, 'photo.jpg');
            const answer = await ask('/photos', who.token, form);
            if (!answer) return;
            answer.refused ? await settlePhoto(photo, 'refused', answer.refused) : await dropPhoto(photo);
        }
        pause = FIRST_PAUSE;
        tell('');
        document.dispatchEvent(new CustomEvent('words-sent'));
    } catch {
        wait('no-signal');
    }
}

/** The answer, or null where there is none that goes on; what is wrong with what was sent comes as `refused`. */
async function ask(url, token, body) {
    const plain = body instanceof FormData;
    const answer = await fetch(url, {
        method: body ? 'post' : 'get',
        body: plain || !body ? body : JSON.stringify(body),
        cache: 'no-store',
        headers: {
            Accept: 'application/json',
            ...(body && !plain ? { 'Content-Type': 'application/json' } : {}),
            ...(token ? { 'X-CSRF-TOKEN': token } : {}),
        },
    });
    if (answer.status === 401 || answer.status === 419) return tell('sign-in'), null;
    // Busy, late or limited it is asked again; whatever else it says no to, it will say no to again.
    if (body && answer.status >= 400 && answer.status < 500 && ![408, 425, 429].includes(answer.status)) {
        const told = await answer.json().catch(() => ({}));
        return { refused: told.message ?? 'The office did not take it.' };
    }
    if (!answer.ok) return wait('trouble'), null;
    return answer.json();
}

function wait(state) {
    tell(state);
    again = setTimeout(send, pause);
    pause = Math.min(2 * pause, LONGEST_PAUSE);
}

/** The signal is back, or the person: what waits need not wait on. */
export function hurry() {
    pause = FIRST_PAUSE;
    send();
}
