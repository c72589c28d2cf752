import { ownPieces } from "../../world";
import { controls } from "../../access";
import { roleFor } from "../../checks";
import { addContacts, setValues } from "../../edit";
import type { TouchTrigger } from "../../edit";
import { ROOT, inOrder } from "../../project";
import type { Piece, Project, TriggerType } from "../../project";
import { libraryWords } from "../words";
import type { SystemFinding } from "./types";

/** Triggers by which something is done, not only shown. */
const doing: ReadonlySet<TriggerType> = new Set(["click", "double", "press", "release", "hold"]);

/** By which triggers a contact can be shown. */
const shownBy: Readonly<Record<TouchTrigger, readonly TriggerType[]>> = {
  hover: ["hover", "enter"],
  press: ["press", "hold"],
  focus: ["focus"],
};
const contacts: readonly TouchTrigger[] = ["hover", "press", "focus"];

/** Whether anything in a piece says what it is. */
const hasRole = (piece: Piece): boolean =>
  Object.values(piece.looks).some((look) =>
    Object.values(look.changes).some(({ role }) => role !== undefined && role !== "none"),
  );

/** Components that answer a click, and of which nothing says what they are (WCAG 2.2 §4.1.2). */
const noRole = (piece: Piece): readonly SystemFinding[] => {
  const rule = inOrder(piece.rules).find((r) => doing.has(r.trigger.type) && !r.undo);
  const holdsCopies = Object.values(piece.layers).some((l) => l.kind === "instance");
  if (!rule || holdsCopies || hasRole(piece)) return [];
  const role = roleFor(piece, rule);
  return [
    {
      id: `no-role ${piece.id}`,
      check: "no-role",
      text: libraryWords.hasNoRole(piece.name),
      pieces: [piece.id],
      fixes: [
        {
          label: libraryWords.setRole(role),
          change: setValues(piece, [{}], { [rule.source ?? ROOT]: { role } }),
        },
      ],
    },
  ];
};

/** Controls that do not show that they are pointed at, pressed, or have the focus. */
const noStates = (project: Project, piece: Piece): readonly SystemFinding[] => {
  const root = Object.values(piece.looks).find((l) => l.changes[ROOT]?.role !== undefined)?.changes[
    ROOT
  ]?.role;
  const role = [...controls].find((control) => control === root);
  if (role === undefined) return [];
  const triggers = new Set(Object.values(piece.rules).map((r) => r.trigger.type));
  const lacking = contacts.filter((c) => !shownBy[c].some((type) => triggers.has(type)));
  if (lacking.length === 0) return [];
  return [
    {
      id: `role-states ${piece.id}`,
      check: "role-states",
      text: libraryWords.lacksStates(
        piece.name,
        role,
        lacking.map((c) => libraryWords.contacts[c]).join(", "),
      ),
      pieces: [piece.id],
      fixes: [
        {
          label: libraryWords.addStates,
          change: addContacts(project, piece.id, lacking),
        },
      ],
    },
  ];
};

/** Components without a role, and roles without their states. */
export const roles = (project: Project): readonly SystemFinding[] =>
  ownPieces(project)
    .filter((p) => p.kind === "component")
    .flatMap((p) => [...noRole(p), ...noStates(project, p)]);
