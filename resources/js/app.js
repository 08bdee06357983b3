import Alpine from '@alpinejs/csp';
import { day } from './day';
import { fold } from './fold';
import { fresh } from './fresh';
import { keys } from './keys';
import { offer } from './offer';

Alpine.data('keys', keys);
Alpine.data('fold', fold);
Alpine.data('offer', offer);

// What only some pages have comes with those pages.
const parts = {
    anew: () => import('./anew'), board: () => import('./board'), drawing: () => import('./drawing'),
    frost: () => import('./frost'), kinds: () => import('./kinds'), labels: () => import('./labels'),
    moments: () => import('./moments'),
    plan: () => import('./plan'),
    rota: () => import('./rota'), scan: () => import('./scan'), siteYear: () => import('./site-year'),
    waiting: () => import('./rota'),
};
const here = Object.keys(parts).filter(name => document.querySelector(`[x-data^="${name}"]`));
Promise.allSettled(here.map(async name => Alpine.data(name, (await parts[name]())[name]))).then(() => Alpine.start());

// What is said in the garden is kept and sent by a part of its own, loaded where something is said or still waits.
if (document.querySelector('[data-field]') || localStorage.getItem('words-wait')) {
    import('./field/index').then(({ begin }) => begin(Alpine));
}
if (document.body.dataset.units === 'imperial') import('./feet').then(({ feet }) => feet());
// A client who reads their letter gets nothing put on their phone.
if (!location.pathname.startsWith('/client/')) day();
fresh();
