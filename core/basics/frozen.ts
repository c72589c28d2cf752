/** A type whose values are never written to, all the way down. */
export type Frozen<T> = unknown extends T
  ? T
  : T extends object
    ? { readonly [K in keyof T]: Frozen<T[K]> }
    : T;
