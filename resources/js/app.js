import Alpine from 'alpinejs';
import { keys } from './keys';
import { board } from './board';
import { drawing } from './drawing';
import { fold } from './fold';
import { frost } from './frost';
import { plan } from './plan';
import { logForm } from './log-form';

Alpine.data('keys', keys);
Alpine.data('board', board);
Alpine.data('drawing', drawing);
Alpine.data('fold', fold);
Alpine.data('frost', frost);
Alpine.data('plan', plan);
Alpine.data('logForm', logForm);
Alpine.start();
