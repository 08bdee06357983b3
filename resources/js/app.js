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
// A client who reads their letter gets nothing put on their phone.
if (!location.pathname.startsWith('/client/')) day();
fresh();
