// What is clicked, or a key pressed, before the page can answer is kept, and done once it can: nothing is lost, and no form
// is sent as an address.
(() => {
  // A link works without the page's own code: it is not held for ever, should that not come, milliseconds.
  const LONGEST = 5000;
  let kept = null;
  const plain = ({ button, ctrlKey, metaKey, shiftKey, altKey }) =>
    button === 0 && !ctrlKey && !metaKey && !shiftKey && !altKey;
  const hold = (event) => {
    const at = event.type === 'submit' ? event.target : event.target.closest('button, a[href]');
    if (!at) return;
    if (at.matches('a') && (!plain(event) || at.target || at.hasAttribute('download'))) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    kept = () => (event.type === 'submit' ? at.requestSubmit() : at.click());
    if (at.matches('a')) setTimeout(release, LONGEST);
  };
  // A single key that stands for something. What is typed into a field is the browser's to keep.
  const press = (event) => {
    const { key, code, shiftKey, target } = event;
    if (key.length > 1 || key === ' ' || event.ctrlKey || event.metaKey || event.altKey) return;
    if (target.closest('input, textarea, select, [contenteditable]')) return;
    event.stopImmediatePropagation();
    kept = () =>
      target.dispatchEvent(new KeyboardEvent('keydown', { key, code, shiftKey, bubbles: true, cancelable: true }));
  };
  const release = () => {
    for (const type of ['click', 'submit']) removeEventListener(type, hold, true);
    removeEventListener('keydown', press, true);
    const now = kept;
    kept = null;
    now?.();
  };
  for (const type of ['click', 'submit']) addEventListener(type, hold, true);
  addEventListener('keydown', press, true);
  addEventListener('page-ready', release, { once: true });
})();
