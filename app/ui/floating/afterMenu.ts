/**
 * Runs something that takes the focus after a menu has closed and given the focus back to its
 * button.
 */
export const afterMenu = (call: () => void): void => {
  setTimeout(call, 0);
};
