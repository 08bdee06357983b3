import { USER } from '../whose';
import { fetchKey, forgetKey, keyOf, locks, lockText, unlockText } from './lock';
import { lockAll } from './store';

// When a phone changes hands, what the last person entered, drafts included, is encrypted and their key removed; what
// the next person left here earlier is restored.

/** Drafts, clocks and ticks of earlier versions, which did not say whose they are. */
const NOBODYS = /^(draft|clock|step)-/;

/** Taps of earlier versions, which do say whose they are. */
function shareOut(name) {
    for (const tap of JSON.parse(localStorage.getItem(name))) {
        const kept = `own-${tap.by ?? USER}-${name}`;
        localStorage.setItem(kept, JSON.stringify([...JSON.parse(localStorage.getItem(kept) ?? '[]'), tap]));
    }
    localStorage.removeItem(name);
}

const ofPerson = user => Object.entries(localStorage).filter(([name]) => name.startsWith(`own-${user}-`));

async function putAway(user) {
    await lockAll(user);
    const key = await keyOf(user);
    const mine = ofPerson(user);
    const db = await locks();
    if (key && mine.length) await db.put('away', await lockText(key, JSON.stringify(mine)), user);
    for (const [name] of mine) localStorage.removeItem(name);
    await forgetKey(user);
}

async function bringBack() {
    const key = await keyOf(USER);
    const db = await locks();
    const away = await db.get('away', USER);
    if (!key || !away) return;
    try {
        for (const [name, value] of JSON.parse(await unlockText(key, away))) {
            if (localStorage.getItem(name) === null) localStorage.setItem(name, value);
        }
    } finally {
        await db.delete('away', USER);
    }
}

/** Somebody else has signed in. */
export async function takeOver() {
    const people = new Set(await (await locks()).getAllKeys('keys'));
    for (const name of Object.keys(localStorage)) {
        if (NOBODYS.test(name)) localStorage.removeItem(name);
        if (/^survey-/.test(name)) shareOut(name);
    }
    for (const name of Object.keys(localStorage)) {
        const owner = Number(/^own-(\d+)-/.exec(name)?.[1]);
        if (owner) people.add(owner);
    }
    for (const user of people) if (user !== USER) await putAway(user);
    if (!(await fetchKey())) return;
    await lockAll(USER);
    await bringBack();
    localStorage.setItem('whose', USER);
    document.dispatchEvent(new CustomEvent('brought-back'));
}

/** The person signs out. */
export async function leave() {
    await putAway(USER);
    localStorage.removeItem('whose');
}
