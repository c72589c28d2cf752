/** Why rules do not work, as people read it; apart, because what only plays pieces says none of it. */
export const troubleWords = {
  // of the rule itself
  source: () => "its layer was deleted",
  conditionTrait: () => "its condition uses a deleted trait",
  conditionValue: (name: string) => `its condition uses a deleted value of ${name}`,
  effects: () => "it has no effect yet",
  key: () => "no key selected yet",
  sender: () => "only copies of components send signals",
  received: () => "the copy has no such signal",

  // of its effects
  trait: () => "the trait it sets was deleted",
  value: (name: string) => `the value it sets for ${name} was deleted`,
  clip: () => "the clip it plays was deleted",
  screen: () => "the screen it goes to was deleted",
  overlay: () => "the screen it opens was deleted",
  copy: () => "the copy it changes was deleted",
  copyTrait: () => "the copy it changes no longer has this trait",
  copyOption: () => "the copy it changes no longer has this option",
  signal: () => "the signal it sends was deleted",
  scrolled: () => "the layer it scrolls to was deleted",
};
