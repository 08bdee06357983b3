import { own } from '../whose';
import { notKept } from './log';
import { send } from './send';
import { element, inWords, whereabouts } from './signal';
import { add, words } from './store';

const SMALL = matchMedia('(max-width: 767px)');

/** The sheet of a visit: one page a plant on the phone, all below each other at the desk. */
export function sheet(root, Alpine) {
    const leaves = [...root.querySelectorAll('[data-leaf]')];
    let at = 0;

    const wake = leaf => {
        for (const asleep of leaf.querySelectorAll('[x-ignore]')) {
            // What was passed over once stays so: another takes its place, with all that is in it.
            const awake = asleep.cloneNode(false);
            awake.removeAttribute('x-ignore');
            // In its place before anything moves: what Alpine sees go and not come again it takes apart.
            asleep.replaceWith(awake);
            awake.append(...asleep.childNodes);
            Alpine.initTree(awake);
        }
    };

    const turn = (to, focus = true) => {
        if (focus) root.querySelector('[data-told]').hidden = true;
        at = Math.max(0, Math.min(leaves.length - 1, to));
        leaves.forEach((leaf, index) => leaf.classList.toggle('is-at', index === at));
        wake(leaves[at]);
        root.querySelector('[data-at]').textContent = `${at + 1} of ${leaves.length}`;
        const log = leaves[at].querySelector('.outcomes, .checks');
        root.querySelector('[data-to-log]').disabled = !log;
        root.querySelector('[data-back]').disabled = at === 0;
        root.querySelector('[data-next]').disabled = at === leaves.length - 1;
        history.replaceState(history.state, '', `#${leaves[at].id}`);
        if (focus && SMALL.matches) {
            scrollTo(0, 0);
            leaves[at].querySelector('h2')?.focus({ preventScroll: true });
        }
    };

    // Arrived, the first plant is next; what was not ticked is said on the way.
    const arrived = left => {
        if (SMALL.matches) turn(at + 1);
        say(root, left.length ? `Arrived. Not ticked: ${left.join('; ')}.` : 'Arrived.');
    };

    // What was said last lies where the thumb logs: it makes way once the next log is begun.
    const bar = root.querySelector('[data-told]');
    root.addEventListener('change', event => {
        if (event.target.closest('[data-log]')) bar.hidden = true;
    });

    const lay = () => {
        root.classList.toggle('is-paged', SMALL.matches);
        if (!SMALL.matches) return setTimeout(() => leaves.forEach(wake));
        const named = document.getElementById(location.hash.slice(1))?.closest('[data-leaf]');
        const asked = leaves.indexOf(named);
        const wrong = location.hash.startsWith('#wrong-') && document.getElementById(location.hash.slice(1));
        turn(asked < 0 ? 0 : asked, false);
        if (wrong) setTimeout(() => wrong.scrollIntoView({ block: 'center' }));
    };
    SMALL.addEventListener('change', lay);
    root.querySelector('[data-back]').addEventListener('click', () => turn(at - 1));
    root.querySelector('[data-next]').addEventListener('click', () => turn(at + 1));
    root.querySelector('[data-to-log]').addEventListener('click', () => {
        bar.hidden = true;
        const log = leaves[at].querySelector('details.log');
        if (log) log.open = true;
        leaves[at].querySelector('.outcomes, .checks').scrollIntoView({ block: 'center' });
    });
    addEventListener('hashchange', lay);
    lay();
    ticks(root);
    root.addEventListener('submit', event => {
        if (event.target.matches('[data-word]')) {
            return word(event, root).then(left => left && event.target.dataset.word === 'arrive' && arrived(left));
        }
        if (event.target.matches('[data-take-back]')) return takeBack(event, root);
        if (navigator.onLine || event.target.matches('[data-log]')) return;
        event.preventDefault();
        say(root, 'That needs signal. What you log here does not.');
    });
    document.addEventListener('words', () => paint(root));
    document.addEventListener('words-sent', () => renew(root));
    document.addEventListener('logged', event => told(root, event.detail));
    paint(root);
}

/** What the office has of a task is taken back by a word of its own, with signal or without. */
async function takeBack(event, root) {
    event.preventDefault();
    const leaf = event.target.closest('[data-leaf]');
    const last = JSON.parse(leaf.dataset.standing || '[]').at(-1);
    if (!last) return;
    const { visit, by, name } = root.dataset;
    try {
        await add({
            kind: 'withdraw', visit: Number(visit), task: Number(event.target.dataset.takeBack), by: Number(by), name,
            label: leaf.dataset.label, corrects: [last],
        });
    } catch (error) {
        return say(root, notKept(error));
    }
    say(root, `${leaf.dataset.label}: the log is taken back.`);
    send();
}

/** Steps that are ticked stay ticked on this phone. */
function ticks(root) {
    for (const box of root.querySelectorAll('[data-step]')) {
        const kept = own(box.dataset.step);
        const tick = () => (box.checked = localStorage.getItem(kept) === '1');
        tick();
        document.addEventListener('brought-back', tick);
        box.addEventListener('change', () => box.checked
            ? localStorage.setItem(kept, '1')
            : localStorage.removeItem(kept));
    }
}

/** Arriving, leaving, signing off: words of the visit. What was not ticked comes back. */
async function word(event, root) {
    event.preventDefault();
    const form = event.target;
    const body = {};
    for (const box of form.elements) {
        if (box.type === 'checkbox') body[box.name] = box.checked;
        else if (box.name === 'note' && box.value.trim()) body.note = box.value.trim();
    }
    const { visit, by, name } = root.dataset;
    try {
        await add({
            kind: form.dataset.word, visit: Number(visit), task: null, by: Number(by), name, body,
            corrects: JSON.parse(form.dataset.standing || '[]'),
        });
    } catch (error) {
        say(root, notKept(error));
        return null;
    }
    send();
    return [...form.elements].filter(box => box.type === 'checkbox' && !box.checked)
        .map(box => box.parentElement.textContent.trim().toLowerCase());
}

/** What this phone holds of each task, beside what the office has. */
async function paint(root) {
    const by = Number(root.dataset.by);
    const all = (await words()).filter(each => each.visit === Number(root.dataset.visit) && each.by === by);
    for (const place of root.querySelectorAll('[data-here]')) {
        const known = JSON.parse(place.closest('[data-leaf]').dataset.known || '[]');
        const mine = all.filter(each => `${each.task ?? each.kind}` === place.dataset.here
            && !(each.state === 'sent' && known.includes(each.id)));
        const last = mine.at(-1);
        place.replaceChildren();
        if (!last) continue;
        place.append(element('p', `${inWords(last)}: ${whereabouts(last)}.`, {
            className: last.state === 'refused' ? 'wrong-note' : 'here-note',
        }));
        const leaf = place.closest('[data-leaf]');
        if (last.kind !== 'log') continue;
        if (last.state === 'sent') localStorage.removeItem(own(`draft-${last.task}`));
        leaf.classList.toggle('is-done', last.state !== 'refused');
        const open = root.querySelector(`[data-open="${last.task}"]`);
        if (open) open.hidden = last.state !== 'refused';
        if (leaf.dataset.closed !== last.id && last.state !== 'refused') {
            leaf.dataset.closed = last.id;
            leaf.querySelector('details.log').open = false;
            leaf.querySelector('details.log > summary').textContent = 'Change the log';
        }
        const form = leaf.querySelector('form[data-log]');
        if (last.state === 'refused' && last.fields && form && leaf.dataset.shown !== last.id) {
            leaf.dataset.shown = last.id;
            form.closest('details').open = true;
            root.querySelector('[data-told]').hidden = true;
            form.dispatchEvent(new CustomEvent('refused', { detail: last.fields }));
        }
    }
}

const say = (root, ...what) => {
    const bar = root.querySelector('[data-told]');
    bar.hidden = false;
    bar.replaceChildren(...what.map(each => (typeof each === 'string' ? element('span', each) : each)));
};

/** It is logged, and that can be taken back, wherever on the sheet one is. */
function told(root, { task, label }) {
    const leaf = root.querySelector(`#task-${task}`);
    const undo = element('button', 'Undo', { type: 'button', className: 'btn btn-quiet' });
    undo.addEventListener('click', async () => {
        const by = Number(root.dataset.by);
        try {
            const last = (await words())
                .filter(each => each.task === task && each.kind === 'log' && each.by === by).at(-1);
            if (!last) return;
            await add({
                kind: 'withdraw', visit: last.visit, task, by, name: root.dataset.name, label, corrects: [last.id],
            });
        } catch (error) {
            return say(root, notKept(error));
        }
        leaf.classList.remove('is-done');
        leaf.querySelector('details.log').open = true;
        const open = root.querySelector(`[data-open="${task}"]`);
        if (open) open.hidden = false;
        say(root, `${label}: the log is taken back.`);
        send();
    });
    say(root, `${label}: logged.`, undo);
}

/** What the office has of it by now takes the place of what the page was opened with. */
async function renew(root) {
    try {
        const answer = await fetch(location.pathname, { headers: { Accept: 'text/html' } });
        if (!answer.ok || answer.redirected) return;
        const fresh = new DOMParser().parseFromString(await answer.text(), 'text/html');
        for (const leaf of root.querySelectorAll('[data-leaf]')) {
            const now = fresh.getElementById(leaf.id);
            if (!now) continue;
            leaf.dataset.standing = now.dataset.standing ?? '[]';
            leaf.dataset.known = now.dataset.known ?? '[]';
            leaf.classList.toggle('is-done', now.classList.contains('is-done'));
            const [said, told] = [leaf.querySelector('[data-said]'), now.querySelector('[data-said]')];
            if (said && told) said.innerHTML = told.innerHTML;
            for (const form of leaf.querySelectorAll('form[data-word]')) {
                const told = now.querySelector(`form[data-word="${form.dataset.word}"]`);
                form.dataset.standing = told?.dataset.standing ?? '[]';
            }
        }
        for (const part of ['[data-progress]', '[data-to-do]']) {
            const [here, now] = [root.querySelector(part), fresh.querySelector(part)];
            if (here && now) here.innerHTML = now.innerHTML;
        }
        paint(root);
    } catch {
        // Without signal the page stays as it is; what this phone holds stands beside it.
    }
}
