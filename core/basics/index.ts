export { entryOf } from "./entry";
