import { openDB } from 'idb';

// What is said in the garden lies here until the office has it. Words are only ever added; what changes is how far each
// has come. The shape of version 1 is read by every later version of the application: words may wait for weeks.
const opened = openDB('pruning-hook', 1, {
    upgrade(db) {
        const words = db.createObjectStore('words', { keyPath: 'seq', autoIncrement: true });
        words.createIndex('id', 'id', { unique: true });
        db.createObjectStore('photos', { keyPath: 'id' });
    },
});

/** So many days a word that has arrived is still remembered here. */
const REMEMBERED_DAYS = 3;

/** A name nothing else has; randomUUID is there only on a secure page. */
export const name = () =>
    '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, digit =>
        (digit ^ (crypto.getRandomValues(new Uint8Array(1))[0] & (15 >> (digit / 4)))).toString(16),
    );

const changed = () => document.dispatchEvent(new CustomEvent('words'));

/** Every page asks whether anything waits, before it loads what sends it. */
async function mark() {
    const waiting = (await words()).some(word => word.state !== 'sent') || (await photos()).length > 0;
    waiting ? localStorage.setItem('words-wait', '1') : localStorage.removeItem('words-wait');
    changed();
}

export const words = async () => (await opened).getAll('words');

export const photos = async () => (await opened).getAll('photos');

/** Adds a word in one stroke with what it says; fails where the phone has no room, and then nothing is kept. */
export async function add(word) {
    const empty = { v: 1, id: name(), said_at: new Date().toISOString(), corrects: [], body: {} };
    const whole = { ...empty, ...word, state: 'waiting' };
    const db = await opened;
    await db.add('words', whole);
    // Asked for once there is something to lose: the browser then does not throw it away when room gets short.
    navigator.storage?.persist?.();
    await mark();
    return whole;
}

export async function settle(word, state, more = {}) {
    await (await opened).put('words', { ...word, ...more, state });
    await mark();
}

export async function drop(word) {
    await (await opened).delete('words', word.seq);
    await mark();
}

export async function addPhoto(photo) {
    await (await opened).put('photos', { taken_at: new Date().toISOString(), id: name(), ...photo, state: 'waiting' });
    await mark();
}

export async function settlePhoto(photo, state, because) {
    await (await opened).put('photos', { ...photo, state, because });
    await mark();
}

export async function dropPhoto(photo) {
    await (await opened).delete('photos', photo.id);
    await mark();
}

/** What has long arrived is forgotten here. */
export async function tidy() {
    const before = Date.now() - REMEMBERED_DAYS * 86_400_000;
    for (const word of await words()) {
        if (word.state === 'sent' && Date.parse(word.said_at) < before) await (await opened).delete('words', word.seq);
    }
}

/** How full the phone is, in per cent of what it gives us; null where it does not say. */
export async function fullness() {
    const told = await navigator.storage?.estimate?.();
    return told?.quota ? Math.round((100 * told.usage) / told.quota) : null;
}
