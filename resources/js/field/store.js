import { openDB } from 'idb';
import { opened, shut } from './lock';

// What is said in the garden lies here until the office has it. Words are only ever added; what changes is how far each
// has come. The shape of version 1 is read by every later version of the application: words may wait for weeks.

/** So many days a word that has arrived is still remembered here. */
const REMEMBERED_DAYS = 3;

/**
 * The storage of a phone can vanish under an open page: the browser clears it where room gets short, or somebody does.
 * What this page knows to be waiting is put back, and what happened is told.
 */
export const storage = { lost: '' };

let opening = null;
const waiting = { words: new Map(), photos: new Map() };

const forget = () => (opening = null);

/** At once, and not when it is next looked at: the page may be closed before. */
const again = () => {
    forget();
    setTimeout(() => words().then(changed).catch(() => {}));
};

function open() {
    let isNew = false;
    opening ??= openDB('pruning-hook', 1, {
        upgrade(db) {
            isNew = true;
            const words = db.createObjectStore('words', { keyPath: 'seq', autoIncrement: true });
            words.createIndex('id', 'id', { unique: true });
            db.createObjectStore('photos', { keyPath: 'id' });
        },
        terminated: again,
        // Whoever clears the storage waits for this page to let go of it.
        blocking(current, blocked, event) {
            event.target.close();
            again();
        },
    }).then(async db => (isNew && await putBack(db), db)).catch(error => {
        forget();
        throw error;
    });
    return opening;
}

async function putBack(db) {
    const some = waiting.words.size + waiting.photos.size > 0;
    const marked = localStorage.getItem('words-wait') === '1';
    // Each gets a new place: the old one is nobody's any more.
    for (const known of waiting.words.values()) {
        const word = { ...known };
        delete word.seq;
        await db.add('words', await shut(word));
    }
    for (const photo of waiting.photos.values()) await db.put('photos', await shut(photo));
    if (some) storage.lost = 'This phone had cleared its storage. What this page knew to be waiting was put back.';
    else if (marked) storage.lost = 'This phone has cleared its storage: what waited here is gone. Look at each sheet.';
    if (!some) localStorage.removeItem('words-wait');
}

/** Where the storage has vanished it is opened anew, once. */
async function using(work) {
    try {
        return await work(await open());
    } catch (error) {
        if (!['InvalidStateError', 'NotFoundError', 'AbortError', 'UnknownError'].includes(error.name)) throw error;
        forget();
        return work(await open());
    }
}

/** A name nothing else has; randomUUID is there only on a secure page. */
export const name = () =>
    '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, digit =>
        (digit ^ (crypto.getRandomValues(new Uint8Array(1))[0] & (15 >> (digit / 4)))).toString(16),
    );

/** Half of a character that takes two, as some keyboards leave it, would make the whole word unreadable. */
export const wellFormed = said => {
    if (typeof said === 'string') return said.replace(/\p{Surrogate}/gu, '\ufffd');
    if (Array.isArray(said)) return said.map(wellFormed);
    if (said === null || typeof said !== 'object') return said;
    return Object.fromEntries(Object.entries(said).map(([field, value]) => [field, wellFormed(value)]));
};

const changed = () => document.dispatchEvent(new CustomEvent('words'));

/** Every page asks whether anything waits, before it loads what sends it. */
async function mark() {
    const some = (await words()).some(word => word.state !== 'sent') || (await photos()).length > 0;
    some ? localStorage.setItem('words-wait', '1') : localStorage.removeItem('words-wait');
    changed();
}

export async function words() {
    const all = await Promise.all((await using(db => db.getAll('words'))).map(opened));
    waiting.words = new Map(all.filter(word => word.state !== 'sent').map(word => [word.id, word]));
    return all;
}

export async function photos() {
    const all = await Promise.all((await using(db => db.getAll('photos'))).map(opened));
    waiting.photos = new Map(all.map(photo => [photo.id, photo]));
    return all;
}

/** Adds a word in one transaction with what it says; fails where the phone has no room, and then nothing is kept. */
export async function add(word) {
    const empty = { v: 1, id: name(), said_at: new Date().toISOString(), corrects: [], body: {} };
    const whole = { ...empty, ...word, body: wellFormed(word.body ?? {}), state: 'waiting' };
    const locked = await shut(whole);
    whole.seq = await using(db => db.add('words', locked));
    // Asked for once there is something to lose: the browser then does not throw it away when room gets short.
    navigator.storage?.persist?.();
    await mark();
    return whole;
}

export async function settle(word, state, more = {}) {
    const locked = await shut({ ...word, ...more, state });
    await using(async db => {
        // Where it was put back it has another place.
        const seq = (await db.getKeyFromIndex('words', 'id', word.id)) ?? word.seq;
        await db.put('words', { ...locked, seq });
    });
    await mark();
}

export async function drop(word) {
    await using(async db => {
        const seq = await db.getKeyFromIndex('words', 'id', word.id);
        if (seq !== undefined) await db.delete('words', seq);
    });
    await mark();
}

export async function addPhoto(photo) {
    const whole = { taken_at: new Date().toISOString(), id: name(), ...photo, state: 'waiting' };
    const locked = await shut(whole);
    await using(db => db.put('photos', locked));
    await mark();
}

export async function settlePhoto(photo, state, because) {
    const locked = await shut({ ...photo, state, because });
    await using(db => db.put('photos', locked));
    await mark();
}

export async function dropPhoto(photo) {
    await using(db => db.delete('photos', photo.id));
    await mark();
}

/** All that somebody said here is put under their lock; what has arrived is forgotten. */
export async function lockAll(user) {
    for (const [store, rows] of [['words', await words()], ['photos', await photos()]]) {
        for (const row of rows.filter(each => each.by === user && !each.locked)) {
            const locked = await shut(row);
            await using(db => (row.state === 'sent' ? db.delete(store, row.seq) : db.put(store, locked)));
        }
    }
    await mark();
}

/** What has long arrived is forgotten here. */
export async function tidy() {
    const before = Date.now() - REMEMBERED_DAYS * 86_400_000;
    for (const word of await words()) {
        if (word.state === 'sent' && !(Date.parse(word.said_at) >= before)) await drop(word);
    }
}

/** How full the phone is, in per cent of what it gives us; null where it does not say. */
export async function fullness() {
    const told = await navigator.storage?.estimate?.();
    return told?.quota ? Math.round((100 * told.usage) / told.quota) : null;
}
