/** What people read in machine. */
export const machineWords = {
  // components.ts
  traitSetsWasRemoved: "the trait it sets was removed",
  valueGivesWasRemoved: (name: string) => `the value it gives ${name} was removed`,

  // piece.ts
  layerWasRemoved: "its layer was removed",
  conditionNamesRemovedTrait: "its condition names a removed trait",
  conditionNamesRemovedValue: (name: string) => `its condition names a removed value of ${name}`,
  hasNoEffectYet: "it has no effect yet",
  noKeyChosenYet: "no key is chosen yet",
  onlyPlacedCopyRaises: "only a placed copy raises signals",
  copyHasNoSuch: "the copy has no such signal",
};
