/** Who is signed in on this page; null for a guest. */
export const USER = Number(document.body.dataset.user) || null;

/** Under which a half-filled log, a clock, a tick or a tap is kept for this person. */
export const own = name => `own-${USER}-${name}`;
