// What is clicked before the page can answer is kept, and done once it can: nothing is lost, and no form is sent as an address.
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
  const release = () => {
    for (const type of ['click', 'submit']) removeEventListener(type, hold, true);
    const now = kept;
    kept = null;
    now?.();
  };
  for (const type of ['click', 'submit']) addEventListener(type, hold, true);
  addEventListener('page-ready', release, { once: true });
})();
