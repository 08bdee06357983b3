import Alpine from 'alpinejs';
import { anew } from './anew';
import { keys } from './keys';
import { board } from './board';
import { drawing } from './drawing';
import { fold } from './fold';
import { frost } from './frost';
import { plan } from './plan';
import { logForm } from './log-form';
import { offer } from './offer';
import { rota, waiting } from './rota';

Alpine.data('anew', anew);
Alpine.data('keys', keys);
Alpine.data('board', board);
Alpine.data('drawing', drawing);
Alpine.data('fold', fold);
Alpine.data('frost', frost);
Alpine.data('plan', plan);
Alpine.data('logForm', logForm);
Alpine.data('offer', offer);
Alpine.data('rota', rota);
Alpine.data('waiting', waiting);
// What stands in a closed card is started when the card is opened.
document.addEventListener('toggle', (event) => {
    const asleep = event.target.matches?.('details[data-lazy][open]') && event.target.querySelector('[x-ignore]');
    if (asleep) {
        asleep.removeAttribute('x-ignore');
        delete asleep._x_ignore;
        Alpine.initTree(asleep);
    }
}, true);
Alpine.start();
