import Alpine from '@alpinejs/csp';
import { day } from './day';
import { fold } from './fold';
import { fresh } from './fresh';
import { keys } from './keys';
import { offer } from './offer';

Alpine.data('keys', keys);
Alpine.data('fold', fold);
Alpine.data('offer', offer);

// What only some pages have comes before this script, by name (<x-part>): all is there when it begins.
Alpine.start();

// What is said in the garden is kept and sent by a part of its own, loaded where something is said or still waits.
if (document.querySelector('[data-field]') || localStorage.getItem('words-wait')) {
    import('./field/index').then(({ begin }) => begin(Alpine));
}
if (document.body.dataset.units === 'imperial') import('./feet').then(({ feet }) => feet());
// Somebody is here who was not here last, or whoever is here signs out: what they said is their own.
const { user } = document.body.dataset;
if (user && localStorage.getItem('whose') !== user) {
    import('./field/hand-over').then(({ takeOver }) => takeOver()).catch(() => {});
}
// A client who reads their letter gets nothing put on their phone.
if (!location.pathname.startsWith('/client/')) day();
fresh();
document.addEventListener('submit', event => {
    if (event.defaultPrevented || !event.target.matches('[data-sign-out]')) return;
    event.preventDefault();
    import('./field/hand-over').then(({ leave }) => leave()).catch(() => {}).finally(() => event.target.submit());
});
