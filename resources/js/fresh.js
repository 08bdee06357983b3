// A form that stood open for long is sent with a token of today. Where nobody is signed in any more, it is not sent but
// kept, with a way to sign in beside it: what was typed is never lost.
const OLD_MS = 10 * 60_000;

let since = Date.now();

export function fresh() {
    // A page that comes back from the browser's own memory is as old as it looks.
    addEventListener('pageshow', event => event.persisted && (since = 0));
    document.addEventListener('submit', async event => {
        const form = event.target;
        const token = form.elements?._token;
        if (!token || event.defaultPrevented || Date.now() - since < OLD_MS) return;
        event.preventDefault();
        const pressed = event.submitter;
        let answer;
        try {
            answer = await fetch('/entries/who', { headers: { Accept: 'application/json' }, cache: 'no-store' });
        } catch {
            return say(form, 'No signal. Nothing was sent; what you typed is still here. Send it again.');
        }
        if (answer.status === 401) {
            return say(form, 'You are signed out. Nothing was sent; what you typed is still here.', true);
        }
        if (!answer.ok) return say(form, 'The office does not answer. What you typed is still here. Send it again.');
        const who = await answer.json();
        if (document.body.dataset.user && String(who.user) !== document.body.dataset.user) {
            return say(form, `${who.name} is signed in now. Nothing was sent; what you typed is still here.`, true);
        }
        for (const each of document.querySelectorAll('input[name=_token]')) each.value = who.token;
        since = Date.now();
        form.querySelector('[data-not-sent]')?.remove();
        form.requestSubmit(pressed ?? undefined);
    });
}

function say(form, words, door = false) {
    form.querySelector('[data-not-sent]')?.remove();
    const note = document.createElement('div');
    note.className = 'said wrong';
    note.dataset.notSent = '';
    note.setAttribute('role', 'alert');
    note.append(words);
    if (door) {
        const link = document.createElement('a');
        link.href = '/sign-in';
        link.target = '_blank';
        link.textContent = 'Sign in in a new window';
        note.append(' ', link, ', then send it again.');
    }
    form.append(note);
    note.scrollIntoView({ block: 'center' });
}
