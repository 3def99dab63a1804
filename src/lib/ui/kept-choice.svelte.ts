/** A choice of how the screen looks, kept in this browser. @param name under which it is kept */
export function keptChoice(name: string): { on: boolean } {
  const key = `guanxi:${name}`;
  const read = (): boolean => {
    try {
      return localStorage.getItem(key) === 'yes';
    } catch {
      return false;
    }
  };
  let on = $state(read());
  return {
    get on() {
      return on;
    },
    set on(now) {
      on = now;
      try {
        localStorage.setItem(key, now ? 'yes' : 'no');
      } catch {
        // A browser that keeps nothing forgets it with the page.
      }
    }
  };
}
