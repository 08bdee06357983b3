import { openDB } from 'idb';
import { USER } from '../whose';

// Unsent entries and photos are encrypted with a key that the server gives only to the person who made them. The key is
// on the phone from their sign-in until they sign out or somebody else signs in.

/** Fields that stay readable: that an entry is waiting, and whose it is. */
const OPEN = ['seq', 'id', 'by', 'name', 'state'];

/** An entry that is damaged, or whose key no longer exists: it is shown and can be thrown away. */
const UNREADABLE = { state: 'refused', because: 'this phone can no longer read it' };

let opening = null;
const known = new Map();

export function locks() {
    opening ??= openDB('pruning-hook-keys', 1, {
        upgrade(db) {
            db.createObjectStore('keys');
            db.createObjectStore('away');
        },
        terminated: () => (opening = null),
        blocking: (current, blocked, event) => (event.target.close(), (opening = null)),
    }).catch(error => {
        opening = null;
        throw error;
    });
    return opening;
}

/** The key of a person; null if it is not on this phone, or the page is not served over TLS. */
export async function keyOf(user) {
    if (!crypto.subtle || user === null) return null;
    if (!known.has(user)) {
        const key = await locks().then(db => db.get('keys', user)).catch(() => null);
        if (!key) return null;
        known.set(user, key);
    }
    return known.get(user);
}

/** Fetches the signed-in person's key unless it is here already; false if the server did not give it. */
export async function fetchKey() {
    if (!crypto.subtle || (await keyOf(USER))) return true;
    const answer = await fetch('/entries/who', { headers: { Accept: 'application/json' }, cache: 'no-store' });
    const told = answer.ok ? await answer.json() : null;
    if (told?.user !== USER) return false;
    const raw = Uint8Array.from(atob(told.key), sign => sign.charCodeAt(0));
    // Scripts can use it but not read it.
    const key = await crypto.subtle.importKey('raw', raw, 'AES-GCM', false, ['encrypt', 'decrypt']);
    await (await locks()).put('keys', key, USER);
    known.set(USER, key);
    return true;
}

export async function forgetKey(user) {
    known.delete(user);
    await (await locks()).delete('keys', user);
}

export async function lock(key, bytes) {
    const iv = crypto.getRandomValues(new Uint8Array(12));
    return { iv, bytes: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, bytes) };
}

export const unlock = (key, { iv, bytes }) => crypto.subtle.decrypt({ name: 'AES-GCM', iv }, key, bytes);

export const lockText = (key, text) => lock(key, new TextEncoder().encode(text));

export const unlockText = async (key, locked) => new TextDecoder().decode(await unlock(key, locked));

/** An entry or photo as it is stored: encrypted, or as it is where there is no key. */
export async function shut(row) {
    const key = await keyOf(row.by);
    if (!key || row.locked) return row;
    const [open, rest] = [{}, {}];
    for (const [field, value] of Object.entries(row)) {
        if (field !== 'blob') (OPEN.includes(field) ? open : rest)[field] = value;
    }
    open.locked = await lockText(key, JSON.stringify(rest));
    if (row.blob) open.blob = await lock(key, await row.blob.arrayBuffer());
    return open;
}

/** The same decrypted; somebody else's stays encrypted. */
export async function opened(row) {
    const key = row.locked && (await keyOf(row.by));
    if (!key) return row;
    const open = Object.fromEntries(Object.entries(row).filter(([field]) => OPEN.includes(field)));
    try {
        const more = row.blob ? { blob: new Blob([await unlock(key, row.blob)], { type: 'image/jpeg' }) } : {};
        return { ...JSON.parse(await unlockText(key, row.locked)), ...open, ...more };
    } catch {
        return { ...open, ...UNREADABLE, ...(row.blob ? { blob: new Blob() } : {}) };
    }
}
