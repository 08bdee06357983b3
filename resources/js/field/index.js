import { logForm } from './log';
import { pictures } from './photos';
import { hurry, send } from './send';
import { sheet } from './sheet';
import { show } from './signal';
import { tidy } from './store';

/** What is said in the garden: kept on this phone, sent when it can be, and shown with how far it has come. */
export function begin(Alpine) {
    const user = Number(document.body.dataset.user) || null;
    Alpine.data('logForm', logForm);
    Alpine.data('pictures', pictures);
    document.querySelectorAll('[data-field]').forEach(root => sheet(root, Alpine));
    document.addEventListener('words', () => show(user));
    addEventListener('online', hurry);
    // What was under this person's lock can be read, and sent, from now on.
    document.addEventListener('brought-back', hurry);
    addEventListener('offline', () => show(user));
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && hurry());
    tidy();
    show(user);
    if (user) send();
}
