import { useState } from "react";
import { Button } from "react-bootstrap";
import { addToken } from "#core/edit";
import { inOrder, orderAt } from "#core/project";
import type { Token, TokenType } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { SortList } from "../ui/SortList";
import { Tile } from "./Tile";
import { changedToken } from "./changes";
import { tokenKinds } from "./kinds";
import { systemWords } from "./words";

/** The tokens of a kind, in their groups. */
export const Section = ({ type, onNote }: { type: TokenType; onNote: (text: string) => void }) => {
  const session = useSession();
  const { tokens } = useDisplayedProject();
  const [open, setOpen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const own = inOrder(tokens).filter((t) => t.type === type);
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
    if (!made) return;
    setOpen(made.id);
    setFresh(made.id);
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
                    onOpen={() => setOpen(open === t.id ? null : t.id)}
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
