import { registerRoute, setDefaultHandler } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

/* global ASSETS, VERSION */
// What lies on the phone: the built files of this version and the one before, and the pages of a day for whoever is
// signed in. Words that were said lie elsewhere (field/store.js): no update of this touches them.
const FILES = `files-${VERSION}`;
const PAGES = 'day-';
const OFFLINE = '/offline';

/** A page that is there already is shown when the office has not answered for so long, in ms. */
const PATIENCE = 4000;

self.addEventListener('install', event => {
    event.waitUntil((async () => {
        const cache = await caches.open(FILES);
        await cache.addAll(ASSETS);
        await cache.add(new Request(OFFLINE, { credentials: 'omit' }));
        await self.skipWaiting();
    })());
});

self.addEventListener('activate', event => {
    event.waitUntil((async () => {
        // Pages of the day still name the files of the version they came from: those of the one before stay.
        const old = (await caches.keys()).filter(name => name.startsWith('files-') && name !== FILES);
        for (const name of old.slice(0, -1)) await caches.delete(name);
        await self.clients.claim();
    })());
});

self.addEventListener('message', event => {
    const { type, user, urls } = event.data ?? {};
    if (type === 'user') event.waitUntil(only(user));
    if (type === 'day') event.waitUntil(keep(user, urls, event.ports[0]));
});

/** What is being fetched for the pocket, and for whom: ended where somebody else comes. */
const fetching = new Set();

/** Pages are one person's: whoever signs in next does not find them, and nothing goes on being fetched for the last. */
async function only(user) {
    for (const each of fetching) if (each.user !== user) each.abort.abort();
    for (const name of await caches.keys()) {
        if (name.startsWith(PAGES) && name !== PAGES + user) await caches.delete(name);
    }
}

async function keep(user, urls, port) {
    const abort = new AbortController();
    const { signal } = abort;
    const mine = { user, abort };
    fetching.add(mine);
    const cache = await caches.open(PAGES + user);
    let [kept, missing] = [0, 0];
    for (const url of urls) {
        try {
            const answer = await fetch(url, { signal, credentials: 'same-origin', headers: { Accept: 'text/html' } });
            if (!answer.ok || answer.redirected) throw new Error(url);
            await cache.put(url, answer);
            kept++;
        } catch {
            missing++;
        }
        if (signal.aborted) break;
    }
    fetching.delete(mine);
    if (signal.aborted) return;
    const day = new Set(urls.map(url => new URL(url, location.origin).href));
    if (missing === 0) for (const request of await cache.keys()) if (!day.has(request.url)) await cache.delete(request);
    port?.postMessage({ kept, missing });
}

async function kept(request) {
    for (const name of await caches.keys()) {
        if (!name.startsWith(PAGES)) continue;
        const found = await (await caches.open(name)).match(request, { ignoreVary: true, ignoreSearch: false });
        if (found) return { name, found };
    }
    return null;
}

const files = new CacheFirst({ cacheName: FILES });
registerRoute(
    ({ url }) => url.pathname.startsWith('/build/') || url.pathname === '/mark.svg',
    // A page of the version before asks for that version's files.
    async ({ request, event }) =>
        (await caches.match(request, { ignoreVary: true })) ?? files.handle({ request, event }),
);

registerRoute(
    ({ request, sameOrigin }) => sameOrigin && request.method === 'GET'
        && (request.mode === 'navigate' || request.headers.get('Accept') === 'text/html'),
    async ({ request, event }) => {
        const before = await kept(request.url);
        const fresh = fetch(request).then(async answer => {
            if (before && answer.ok && !answer.redirected) {
                await (await caches.open(before.name)).put(request.url, answer.clone());
            }
            return answer;
        });
        try {
            if (!before) return await fresh;
            event.waitUntil(fresh.catch(() => {}));
            const late = new Promise((_, no) => setTimeout(() => no(new Error('late')), PATIENCE));
            return await Promise.race([fresh, late]);
        } catch {
            return before?.found ?? (await caches.match(OFFLINE)) ?? Response.error();
        }
    },
);

// Whoever signs in or out: from here on the pages may be somebody else's to see.
registerRoute(
    ({ url }) => ['/sign-in', '/sign-out', '/change-person'].includes(url.pathname),
    async ({ request }) => {
        await only(null);
        return fetch(request);
    },
    'POST',
);

setDefaultHandler(({ request }) => fetch(request));
