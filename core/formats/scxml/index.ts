export { scxmlEvent } from "./event-names";
export { writeScxml } from "./scxml";
