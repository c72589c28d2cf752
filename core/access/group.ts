import type { Rect } from "../layout";
import type { Role } from "../properties";
import { groupOf } from "./roles";
import type { AccessNode } from "./types";

const boundsOf = (rects: readonly Rect[]): Rect => {
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  const right = Math.max(...rects.map((r) => r.x + r.width));
  const bottom = Math.max(...rects.map((r) => r.y + r.height));
  return { x, y, width: right - x, height: bottom - y };
};

/** The group a node must stand in; undefined where it may stand anywhere. */
const contextOf = ({ role }: AccessNode): Role | undefined =>
  role === "text" || role === "field" ? undefined : groupOf(role);

const groupAround = (members: readonly AccessNode[], role: Role, name: string): AccessNode => ({
  key: `${members[0]?.key ?? ""} ${role}`,
  path: null,
  role,
  name,
  states: {},
  stop: null,
  bounds: boundsOf(members.map((m) => m.bounds)),
  field: null,
  children: members,
});

/**
 * Puts tabs that lie side by side into a list of tabs, radio buttons into their group, and so on,
 * where nobody has drawn one. `within` is the role of what is around them.
 */
export const grouped = (
  nodes: readonly AccessNode[],
  within: Role,
  name: string,
): readonly AccessNode[] => {
  const out: AccessNode[] = [];
  let members: AccessNode[] = [];
  let context: Role | undefined;
  const close = (): void => {
    if (context !== undefined) out.push(groupAround(members, context, name));
    members = [];
    context = undefined;
  };
  for (const node of nodes) {
    const needed = contextOf(node);
    if (needed !== context) close();
    if (needed === undefined || needed === within) out.push(node);
    else {
      context = needed;
      members.push(node);
    }
  }
  close();
  return out;
};
