/** What people read of schemas; apart, because what only plays pieces has none. */
export const schemaWords = {
  addressBeginsHttpOr: "an address begins with http:// or https://",
};
