const SIGNED_OUT = 'You are signed out here. Sign in again in another tab, then try once more.';

/**
 * A piece of a page, as the server writes it; never a whole page in its place (the one to sign in, the one without
 * signal). The error says in words what is to be told: the server's for what it refused, otherwise the given ones.
 */
export async function piece(url, otherwise) {
    let answer;
    try {
        answer = await fetch(url, { headers: { Accept: 'application/json, text/html' } });
        if (answer.ok && !answer.redirected) return await answer.text();
    } catch {
        throw new Error(otherwise);
    }
    if (answer.redirected || answer.status === 401) throw new Error(SIGNED_OUT);
    const told = answer.status === 422 ? await answer.json().catch(() => null) : null;
    throw new Error(told?.message ?? otherwise);
}
