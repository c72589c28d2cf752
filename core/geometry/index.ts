export { readPath, scalePath } from "./path";
