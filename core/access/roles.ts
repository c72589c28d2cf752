import type { AriaState } from "../project";
import type { Role } from "../properties";

/** Roles of what is operated as a whole (WAI-ARIA 1.2, §5.3.2: widgets). */
export const controls: ReadonlySet<Role> = new Set<Role>([
  "button",
  "checkbox",
  "switch",
  "radio",
  "tab",
  "link",
  "menuitem",
  "option",
  "slider",
]);

/** Roles that are called by what is in them (WAI-ARIA 1.2, §5.2.8.5). */
export const isNamedByContents = (role: Role): boolean =>
  (controls.has(role) && role !== "slider") || role === "heading";

/** Roles that need no name: what they hold says enough. */
const nameless: ReadonlySet<Role> = new Set<Role>(["none", "list", "listitem", "status", "alert"]);
export const needsName = (role: Role): boolean => !nameless.has(role);

/** The group in which a role stands (§5.2.7: required context). */
const groups: Partial<Record<Role, Role>> = {
  tab: "tablist",
  radio: "radiogroup",
  option: "listbox",
  menuitem: "menu",
  listitem: "list",
};
export const groupOf = (role: Role): Role | undefined => groups[role];

/** The attribute by which a role says that it is the chosen one: each has its own. */
const chosen: Partial<Record<Role, string>> = {
  checkbox: "aria-checked",
  switch: "aria-checked",
  radio: "aria-checked",
  tab: "aria-selected",
  option: "aria-selected",
  button: "aria-pressed",
  link: "aria-current",
  menuitem: "aria-current",
  listitem: "aria-current",
};

const expandable: ReadonlySet<Role> = new Set<Role>([
  "button",
  "checkbox",
  "switch",
  "link",
  "menuitem",
  "tab",
]);
/** Roles that can be disabled (§6.6, aria-disabled). */
const disablable: ReadonlySet<Role> = new Set<Role>([
  ...controls,
  "group",
  "menu",
  "listbox",
  "radiogroup",
  "tablist",
]);

/**
 * The attribute by which a role says a state; null where it cannot. Checked, selected and pressed
 * are the same thing: each role has its own word for it.
 */
export const attributeFor = (role: Role, state: AriaState): string | null => {
  switch (state) {
    case "checked":
    case "selected":
    case "pressed":
      return chosen[role] ?? null;
    case "expanded":
      return expandable.has(role) ? "aria-expanded" : null;
    case "disabled":
      return disablable.has(role) ? "aria-disabled" : null;
    case "current":
      return role === "none" ? null : "aria-current";
  }
};

/** The state a role is nothing without (§5.2.6: required states). */
const required: Partial<Record<Role, AriaState>> = {
  checkbox: "checked",
  switch: "checked",
  radio: "checked",
  tab: "selected",
  option: "selected",
};
export const stateNeededBy = (role: Role): AriaState | undefined => required[role];
