/** The log of one task on the visit's sheet: which outcome is chosen, and steppers in place of typing. */
export function logForm(outcome) {
    return {
        outcome,
        step(input, by) {
            const least = input.min === '' ? 0 : Number(input.min);
            input.value = Math.max(least, Number(input.value || 0) + by);
        },
    };
}
