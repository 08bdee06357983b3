import { hurry, line } from './send';
import { drop, dropPhoto, fullness, photos, settle, settlePhoto, storage, words } from './store';

/** From so much on the phone is said to be full, in per cent. */
const FULL = 90;

const many = (number, one, more) => `${number} ${number === 1 ? one : more}`;

export const element = (tag, text, more = {}) =>
    Object.assign(document.createElement(tag), { textContent: text, ...more });

const WHY = {
    'no-signal': 'no signal',
    'sign-in': 'sign in to send',
    busy: 'being sent',
    trouble: 'the office does not answer',
    '': 'waiting to be sent',
};

const clock = time => new Date(time).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

const OUTCOMES = { done: 'Done', changed: 'Done otherwise', partly: 'Partly', 'not-done': 'Not done' };

/** One of the two is off: by minutes it is the phone, by a day nobody can tell. */
const CLOCKS = {
    little: 'this phone\'s clock is off; the office puts the times right',
    much: 'this phone and the office disagree about the day: tell the office',
};

/** A word as a person would say it. */
export function inWords(word) {
    const says = {
        arrive: 'Arrived', close: 'Left tidy', 'sign-off': 'Signed off', withdraw: 'Taken back',
    }[word.kind];
    const body = word.body ?? {};
    return says ?? [OUTCOMES[body.outcome] ?? '', body.minutes ? `${body.minutes} min` : ''].filter(Boolean).join(', ');
}

/** How far a word has come. */
export const whereabouts = word => ({
    waiting: 'saved on this phone',
    sent: word.because ? `sent. ${word.because.replace(/\.$/, '')}` : 'sent',
    refused: `not taken: ${(word.because ?? '').replace(/\.$/, '')}`,
})[word.state];

/** The line that says what is saved here, sent, and not taken. */
export async function show(user) {
    const bar = document.getElementById('signal');
    if (!bar) return;
    const [all, pictures, full] = [await words(), await photos(), await fullness()];
    const mine = all.filter(word => word.by === user);
    const waiting = mine.filter(word => word.state === 'waiting').length;
    const refused = [...mine, ...pictures.filter(each => each.by === user)]
        .filter(each => each.state === 'refused').length;
    const photosWaiting = pictures.filter(each => each.by === user && each.state === 'waiting').length;
    const others = [...all, ...pictures].filter(each => each.by !== user && each.state !== 'sent');
    const sent = mine.filter(word => word.state === 'sent').length;
    const parts = [
        waiting ? `${many(waiting, 'entry', 'entries')} saved here: ${WHY[line.state]}` : '',
        photosWaiting ? `${many(photosWaiting, 'photo', 'photos')} saved here: ${WHY[line.state]}` : '',
        refused ? `${many(refused, 'was', 'were')} not taken` : '',
        others.length
            ? `${many(others.length, 'entry', 'entries')} of ${others[0].name ?? 'another'} wait here for a sign-in`
            : '',
        storage.lost,
        line.clockOff ? CLOCKS[line.clockOff] : '',
        full !== null && full >= FULL ? `this phone is ${full} % full: photos may not fit` : '',
    ].filter(Boolean);
    if (parts.length === 0 && sent) parts.push(`${many(sent, 'entry', 'entries')} sent`);
    bar.className = `signal ${refused || storage.lost ? 'is-wrong' : waiting + photosWaiting ? 'is-waiting' : ''}`;
    bar.replaceChildren(
        element('span', parts.join(' · ') || (navigator.onLine ? '' : 'No signal: what you log is saved here')),
    );
    bar.hidden = bar.textContent === '';
    if (line.state === 'sign-in' && waiting + photosWaiting)
        bar.append(element('a', 'Sign in', { href: '/sign-in' }));
    else if (waiting + photosWaiting + refused + others.length)
        bar.append(element('button', 'Look', { type: 'button', onclick: () => list(user) }));
}

/** All that waits or was not taken, one by one, each with what can be done about it. */
async function list(user) {
    const dialog = document.getElementById('words')
        ?? document.body.appendChild(element('dialog', '', { id: 'words' }));
    dialog.setAttribute('aria-labelledby', 'words-title');
    const rows = document.createElement('ul');
    rows.className = 'words';
    const again = (each, put) => element('button', 'Send again', {
        type: 'button', className: 'btn btn-quiet',
        onclick: async () => (await put(each, 'waiting'), hurry(), list(user)),
    });
    const away = (each, lose) => element('button', 'Throw away', {
        type: 'button', className: 'btn btn-quiet',
        onclick: async event => {
            // The first tap asks, the second does it: nothing is thrown away by a glove.
            if (event.target.dataset.sure) return await lose(each), list(user);
            event.target.dataset.sure = '1';
            event.target.textContent = 'Throw away for good?';
        },
    });
    for (const word of await words()) {
        if (word.state === 'sent') continue;
        const row = element('li', word.by === user && !word.locked
            ? `${word.label ?? 'The visit'}, ${clock(word.said_at)}: ${inWords(word)} (${whereabouts(word)})`
            : `An entry by ${word.name ?? 'somebody else'}, waiting until they sign in here`);
        if (word.state === 'refused' && word.by === user) row.append(again(word, settle), away(word, drop));
        rows.append(row);
    }
    for (const photo of await photos()) {
        const row = element('li', photo.by === user && !photo.locked
            ? `${photo.label ?? 'A plant'}: photo ${photo.moment} the work (${
                photo.state === 'refused' ? `not taken: ${photo.because}` : 'saved on this phone'})`
            : `A photo by ${photo.name ?? 'somebody else'}, waiting until they sign in here`);
        if (photo.state === 'refused' && photo.by === user) {
            row.append(again(photo, settlePhoto), away(photo, dropPhoto));
        }
        rows.append(row);
    }
    const close = element('button', 'Close', {
        type: 'button', className: 'btn btn-primary', onclick: () => dialog.close(),
    });
    dialog.replaceChildren(
        element('h2', 'On this phone', { id: 'words-title', className: 'mt-0' }),
        rows.children.length ? rows : element('p', 'Nothing waits here.'), close,
    );
    if (!dialog.open) dialog.showModal();
}
