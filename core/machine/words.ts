/** What people read in machine. */
export const machineWords = {
  // components.ts
  traitSetsWasDeleted: "the trait it sets was deleted",
  valueSetsWasDeleted: (name: string) => `the value it sets for ${name} was deleted`,

  // piece.ts
  layerWasDeleted: "its layer was deleted",
  conditionUsesDeletedTrait: "its condition uses a deleted trait",
  conditionUsesDeletedValue: (name: string) => `its condition uses a deleted value of ${name}`,
  hasNoEffectYet: "it has no effect yet",
  noKeySelectedYet: "no key selected yet",
  onlyCopiesComponentsSend: "only copies of components send signals",
  copyHasNoSuch: "the copy has no such signal",
};
