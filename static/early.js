// What is clicked before the page can answer is kept, and done once it can: nothing is lost, and no form is sent as an address.
(() => {
  let kept = null;
  const hold = (event) => {
    const at = event.type === 'submit' ? event.target : event.target.closest('button');
    if (!at) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    kept = () => (event.type === 'submit' ? at.requestSubmit() : at.click());
  };
  for (const type of ['click', 'submit']) addEventListener(type, hold, true);
  addEventListener(
    'page-ready',
    () => {
      for (const type of ['click', 'submit']) removeEventListener(type, hold, true);
      kept?.();
    },
    { once: true }
  );
})();
