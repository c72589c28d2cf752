export { searchComponents } from "./search";
