/** A value that is known to be there; throws where it is not, which only a fault can cause. */
export const present = <T>(value: T): NonNullable<T> => {
  if (value === undefined || value === null)
    throw new TypeError("a value that must be there is not");
  return value;
};
