/** What people read of restored moments. */
export const historyWords = {
  restoreAll: (when: string) => `Restore ${when}`,
  restorePiece: (name: string, when: string) => `Restore ${name} of ${when}`,
};
