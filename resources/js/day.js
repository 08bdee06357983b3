/** The day in the pocket: with the round open, today's and tomorrow's sheets are put on this phone. */
export async function day() {
    const place = document.querySelector('[data-day]');
    const without = () => place && (place.textContent = 'These sheets need signal: this browser keeps none of them.');
    if (!('serviceWorker' in navigator)) return without();
    const user = document.body.dataset.user ?? '';
    try {
        await navigator.serviceWorker.register('/sw.js');
        const { active } = await navigator.serviceWorker.ready;
        // A guest may be the same person whose session has run out.
        if (user) active.postMessage({ type: 'user', user });
        if (!place) return;
        const channel = new MessageChannel();
        channel.port1.onmessage = ({ data }) => {
            place.textContent = data.missing
                ? `${data.kept} of ${data.kept + data.missing} sheets are on this phone; the others need signal.`
                : 'Today and tomorrow are on this phone: they open without signal.';
        };
        active.postMessage({ type: 'day', user, urls: JSON.parse(place.dataset.day) }, [channel.port2]);
    } catch {
        without();
    }
}
