/** Whether a text is one of some; it is known by its type then. */
export const isOneOf = <T extends string>(all: readonly T[], text: string): text is T => {
  const texts: readonly string[] = all;
  return texts.includes(text);
};
