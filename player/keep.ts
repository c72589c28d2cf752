/**
 * Writes an attribute only where it says something new: a browser looks at its elements again after
 * every writing.
 */
export const keep = (element: Element, key: string, value: string): void => {
  if (element.getAttribute(key) !== value) element.setAttribute(key, value);
};
