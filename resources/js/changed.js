/**
 * Whether fields differ from how the server wrote them: somebody was quicker than the script, or came back to a page
 * into which the browser put what they had written.
 */
export const changed = root => [...root.querySelectorAll('input, select, textarea')].some(field => {
    if (field.type === 'checkbox' || field.type === 'radio') return field.checked !== field.defaultChecked;
    if (field.matches('select')) return [...field.options].some(each => each.defaultSelected && !each.selected);
    return field.type !== 'file' && field.value !== field.defaultValue;
});
