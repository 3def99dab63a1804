/** Whether the tour was left, in this browser. */
const KEPT = 'guanxi-tour-left';

export const tourKept = {
  left: (): boolean => {
    try {
      return localStorage.getItem(KEPT) !== null;
    } catch {
      // A browser that keeps nothing would show it every time.
      return true;
    }
  },
  leave: (): void => {
    try {
      localStorage.setItem(KEPT, 'yes');
    } catch {
      // It is gone for now.
    }
  }
};
