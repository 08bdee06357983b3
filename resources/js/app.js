import Alpine from '@alpinejs/csp';
import { anew } from './anew';
import { keys } from './keys';
import { board } from './board';
import { day } from './day';
import { drawing } from './drawing';
import { fold } from './fold';
import { fresh } from './fresh';
import { frost } from './frost';
import { plan } from './plan';
import { offer } from './offer';
import { rota, waiting } from './rota';

Alpine.data('anew', anew);
Alpine.data('keys', keys);
Alpine.data('board', board);
Alpine.data('drawing', drawing);
Alpine.data('fold', fold);
Alpine.data('frost', frost);
Alpine.data('plan', plan);
Alpine.data('offer', offer);
Alpine.data('rota', rota);
Alpine.data('waiting', waiting);
Alpine.start();

// What is said in the garden is kept and sent by a part of its own, loaded where something is said or still waits.
if (document.querySelector('[data-field]') || localStorage.getItem('words-wait')) {
    import('./field/index').then(({ begin }) => begin(Alpine));
}
day();
fresh();
