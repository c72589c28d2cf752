export { scxmlEvent, writeScxml } from "./scxml";
