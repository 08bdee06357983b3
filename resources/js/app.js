import Alpine from 'alpinejs';
import { keys } from './keys';
import { plan } from './plan';
import { logForm } from './log-form';

Alpine.data('keys', keys);
Alpine.data('plan', plan);
Alpine.data('logForm', logForm);
Alpine.start();
