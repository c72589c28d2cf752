export { addLayer, duplicateLayers, moveInto, removeLayers, renameLayer, restack, subtree, topmost } from "./layers";
export { clearValue, setValues } from "./looks";
export type { Edits } from "./looks";
export { addPiece, contains, devices, emptyProject, freeName, newPiece, piecesOf, removePiece, renamePiece, setStart, startScreen } from "./pieces";
export type { Made } from "./pieces";
export { addOption, addRule, duplicateRule, moveRule, removeOption, removeRule, setRule, usualMotion } from "./rules";
export { addTrait, addTraitValue, removeTrait, removeTraitValue, renameTrait, renameTraitValue, setRest, variantsWith } from "./traits";
