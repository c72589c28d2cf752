import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { addToken } from "#core/edit";
import { inOrder, isOwn, orderAt } from "#core/project";
import type { Token, TokenType } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { SortList } from "../ui/SortList";
import { Tile } from "./Tile";
import { changedToken } from "./changes";
import { tokenKinds } from "./kinds";
import { systemWords } from "./words";

interface Props {
  readonly type: TokenType;
  /** the token that is edited */
  readonly open: Id | null;
  /** the one that was just made, and gets its name now */
  readonly fresh: Id | null;
  readonly onOpen: (token: Id | null) => void;
  readonly onMade: (token: Id) => void;
  readonly onNote: (text: string) => void;
}

/** The tokens of a kind, in their groups. */
export const Section = ({ type, open, fresh, onOpen, onMade, onNote }: Props) => {
  const session = useSession();
  const { tokens } = useDisplayedProject();
  const own = inOrder(tokens).filter((t) => t.type === type && isOwn(t.id));
  const groups = [...new Set(own.map((t) => t.group))].sort((a, b) => {
    if (a === "") {
      return -1;
    }
    if (b === "") {
      return 1;
    }
    return a < b ? -1 : 1;
  });
  const w = tokenKinds[type];
  const add = () => {
    const name = `${w.one[0]?.toUpperCase() ?? ""}${w.one.slice(1)}`;
    const made = session.make((now) => addToken(now, type, name, w.fresh));
    if (made) onMade(made.id);
  };
  const move = (list: readonly Token[]) => (id: string, index: number) => {
    const others = list.filter((t) => t.id !== id);
    session.run(changedToken(id, { order: orderAt(others, index) }));
  };
  if (type === "other" && own.length === 0) return null;
  return (
    <section aria-labelledby={`tokens-${type}`}>
      <div className="page-head">
        <h2 id={`tokens-${type}`}>{w.many}</h2>
        {type !== "other" && (
          <Button variant="outline-primary" size="sm" onClick={add}>
            {systemWords.newOne(w.one)}
          </Button>
        )}
      </div>
      {own.length === 0 && <p className="quiet small-text">{systemWords.noneYet}</p>}
      {groups.map((group) => {
        const list = own.filter((t) => t.group === group);
        return (
          <div key={group}>
            {group !== "" && <h3 className="caption">{group}</h3>}
            <ul className="token-tiles">
              <SortList ids={list.map((t) => t.id)} onMove={move(list)}>
                {list.map((t) => (
                  <Tile
                    key={t.id}
                    token={t}
                    open={open === t.id}
                    isFresh={fresh === t.id}
                    onOpen={() => onOpen(open === t.id ? null : t.id)}
                    onMade={onMade}
                    onNote={onNote}
                  />
                ))}
              </SortList>
            </ul>
          </div>
        );
      })}
    </section>
  );
};
