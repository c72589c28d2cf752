/** What people read of schemas; apart, because what only plays pieces has none. */
export const schemaWords = {
  addressBeginsHttpOr: "an address begins with http:// or https://",
};

/** What people read in vocabulary. */
export const vocabularyWords = {
  // trouble.ts
  clipPlaysWasDeleted: "the clip it plays was deleted",
  screenGoesWasDeleted: "the screen it goes to was deleted",
  copyChangesWasDeleted: "the copy it changes was deleted",
  copyChangesNoLonger: "the copy it changes no longer has this trait",
  screenOpensWasDeleted: "the screen it opens was deleted",
  copyChangesNoLonger2: "the copy it changes no longer has this option",
  signalSendsWasDeleted: "the signal it sends was deleted",
  layerScrollsWasDeleted: "the layer it scrolls to was deleted",
};
