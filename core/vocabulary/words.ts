/** What people read of schemas; apart, because what only plays pieces has none. */
export const schemaWords = {
  addressBeginsHttpOr: "an address begins with http:// or https://",
};

/** What people read in vocabulary. */
export const vocabularyWords = {
  // trouble.ts
  clipTurnsWasRemoved: "the clip it turns was removed",
  screenGoesWasRemoved: "the screen it goes to was removed",
  copySetsWasRemoved: "the copy it sets was removed",
  copySetsHasNo: "the copy it sets has no such trait any more",
  screenOpensWasRemoved: "the screen it opens was removed",
  copySetsHasNoSuchOption: "the copy it sets has no such option any more",
  signalRaisesWasRemoved: "the signal it raises was removed",
  layerScrollsWasRemoved: "the layer it scrolls to was removed",
};
