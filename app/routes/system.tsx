import { useState } from "react";
import { Button, Dropdown } from "react-bootstrap";
import { Link } from "react-router";
import {
  addToken,
  mergeTokens,
  motionUsesOf,
  removeToken,
  repeatedValues,
  setToken,
  tokenFindings,
  tokenFrom,
  usesOf,
} from "#core/edit";
import { inOrder, orderAt, tokenTypes } from "#core/project";
import type { Change, Project, Token, TokenType, TokenValue } from "#core/project";
import { families, labelOf, showValue } from "#core/properties";
import type { FontAsset } from "#core/properties";
import type { Id } from "#core/basics";
import { ProjectBar } from "../session/parts/ProjectBar";
import { PATIENCE } from "../session/session";
import { FileButton } from "../ui/FileButton";
import { Notice } from "../ui/Notice";
import { UndoNotice } from "../session/parts/UndoNotice";
import { useEnv } from "../services/env";
import { Icon } from "../ui/Icon";
import { NameField } from "../ui/NameField";
import { SortItem, SortList } from "../ui/SortList";
import { upload } from "../session/assets";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { Sample } from "../system/Sample";
import { TimingSheet } from "../system/TimingSheet";
import { TokenEditor } from "../system/TokenEditor";
import "../parts/parts.scss";
import "../system/system.scss";

const words: Readonly<Record<TokenType, { one: string; many: string; fresh: TokenValue }>> = {
  colour: { one: "colour", many: "Colours", fresh: "#1f6f5c" },
  gradient: {
    one: "gradient",
    many: "Gradients",
    fresh: {
      kind: "linear",
      angle: 180,
      stops: [
        { at: 0, colour: "#2c9a70" },
        { at: 1, colour: "#17495c" },
      ],
    },
  },
  style: {
    one: "text style",
    many: "Text styles",
    fresh: { font: "Hanken Grotesk", weight: "600", size: 18 },
  },
  shadow: {
    one: "shadow",
    many: "Shadows",
    fresh: [{ x: 0, y: 2, blur: 8, spread: 0, colour: "#20302e33" }],
  },
  number: { one: "size", many: "Sizes", fresh: 16 },
  duration: { one: "duration", many: "Durations", fresh: 200 },
  curve: { one: "curve", many: "Curves", fresh: "ease-out" },
  motion: { one: "motion", many: "Motions", fresh: { duration: 240, easing: "ease-out" } },
};

/** The change of a token as it is at that moment; null when it is gone. */
const changed =
  (id: Id, parts: Parameters<typeof setToken>[1]) =>
  ({ tokens }: Project): Change | null => {
    const token = tokens[id];
    return token ? setToken(token, parts) : null;
  };

const Tile = ({
  token,
  open,
  onOpen,
  onNote,
}: {
  token: Token;
  open: boolean;
  onOpen: () => void;
  onNote: (text: string) => void;
}) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [naming, setNaming] = useState<"name" | "group" | null>(null);
  const uses = usesOf(project, token.id);
  const moved = token.type === "motion" ? motionUsesOf(project, token.id) : [];
  const count = uses.length + moved.length;
  const places = [...new Set([...uses, ...moved].map((u) => project.pieces[u.piece]?.name))];
  const alias = typeof token.value === "object" && "alias" in token.value;
  return (
    <SortItem
      id={token.id}
      name={token.name}
      as="li"
      className={`token-tile${open ? " open" : ""}`}
    >
      {(grip) => (
        <>
          <div className="token-top">
            {grip}
            <button
              type="button"
              className="sample-button"
              aria-label={`Edit ${token.name}`}
              aria-expanded={open}
              onClick={onOpen}
            >
              <Sample token={token} />
            </button>
            <span className="token-words">
              {naming === "name" ? (
                <NameField
                  value={token.name}
                  label="Name of the token"
                  onDone={(name) => {
                    setNaming(null);
                    if (name) session.run(changed(token.id, { name }));
                  }}
                />
              ) : (
                <Button
                  variant="name"
                  className="strong"
                  title="Rename"
                  onClick={() => setNaming("name")}
                >
                  {token.name}
                </Button>
              )}
              <span className="quiet small-text" title={places.join(", ")}>
                {alias ? "alias · " : ""}
                {count === 0
                  ? "not used"
                  : `${count} place${count === 1 ? "" : "s"} in ${places.length} piece${places.length === 1 ? "" : "s"}`}
              </span>
            </span>
            <Dropdown align="end">
              <Dropdown.Toggle variant="tool" size="sm" aria-label={`More for ${token.name}`}>
                …
              </Dropdown.Toggle>
              <Dropdown.Menu>
                <Dropdown.Item
                  as="button"
                  type="button"
                  onClick={() => setTimeout(() => setNaming("group"))}
                >
                  Put into a group …
                </Dropdown.Item>
                <Dropdown.Item
                  as="button"
                  type="button"
                  onClick={() => {
                    session.run(
                      (now) =>
                        addToken(
                          now,
                          token.type,
                          `${token.name} alias`,
                          { alias: token.id },
                          token.group,
                        ).change,
                    );
                  }}
                >
                  New alias of it
                </Dropdown.Item>
                <Dropdown.Item
                  as="button"
                  type="button"
                  onClick={() => {
                    if (session.run((now) => removeToken(now, token)))
                      onNote(`${token.name} was removed; what was bound to it keeps its value.`);
                  }}
                >
                  Remove
                </Dropdown.Item>
              </Dropdown.Menu>
            </Dropdown>
          </div>
          {naming === "group" && (
            <label className="group-field small-text">
              Group{" "}
              <NameField
                value={token.group || "Group"}
                label="Group of the token"
                onDone={(group) => {
                  setNaming(null);
                  if (group !== null) session.run(changed(token.id, { group }));
                }}
              />
            </label>
          )}
          {open && (
            <>
              <TokenEditor
                token={token}
                onChange={(value) =>
                  session.run(changed(token.id, { value }), `token ${token.id}`, PATIENCE)
                }
              />
              {uses.length > 0 && (
                <ul className="token-uses" aria-label="Where it is used">
                  {uses.slice(0, 12).map((u) => (
                    <li key={`${u.piece} ${u.look} ${u.layer} ${u.key}`}>
                      <Link to={`/projects/${session.id}/pieces/${u.piece}`}>
                        {project.pieces[u.piece]?.name}
                      </Link>
                      : {project.pieces[u.piece]?.layers[u.layer]?.name}, {labelOf(u.key)}
                    </li>
                  ))}
                  {uses.length > 12 && <li className="quiet">and {uses.length - 12} more</li>}
                </ul>
              )}
            </>
          )}
        </>
      )}
    </SortItem>
  );
};

const Section = ({ type, onNote }: { type: TokenType; onNote: (text: string) => void }) => {
  const session = useSession();
  const { tokens } = useDisplayedProject();
  const [open, setOpen] = useState<string | null>(null);
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
  const w = words[type];
  const add = () => {
    const name = `${w.one[0]?.toUpperCase() ?? ""}${w.one.slice(1)}`;
    const made = session.make((now) => addToken(now, type, name, w.fresh));
    if (made) setOpen(made.id);
  };
  const move = (list: readonly Token[]) => (id: string, index: number) => {
    const others = list.filter((t) => t.id !== id);
    session.run(changed(id, { order: orderAt(others, index) }));
  };
  return (
    <section aria-labelledby={`tokens-${type}`}>
      <div className="page-head">
        <h2 id={`tokens-${type}`}>{w.many}</h2>
        <Button variant="outline-primary" size="sm" onClick={add}>
          New {w.one}
        </Button>
      </div>
      {own.length === 0 && <p className="quiet small-text">None yet.</p>}
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

/** What could be tidied: values that repeat, tokens that nobody uses, tokens that are the same. */
const Findings = () => {
  const session = useSession();
  const project = useDisplayedProject();
  const repeated = repeatedValues(project)
    .filter((r) => r.places.length > 2)
    .slice(0, 8);
  const { unused, equal } = tokenFindings(project);
  if (repeated.length + unused.length + equal.length === 0)
    return (
      <p className="quiet small-text">
        Nothing to tidy: no value repeats that could be a token, and every token is used and
        different.
      </p>
    );
  return (
    <ul className="findings">
      {repeated.map((r) => {
        const value = showValue(r.value as never);
        return (
          <li key={`${r.type} ${value}`}>
            <span
              className="sample tiny"
              style={r.type === "colour" ? { background: value } : {}}
            />
            <span>
              <span className="mono">{value}</span> is said in {r.places.length} places
            </span>
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                const name = r.type === "colour" ? value : words[r.type].one;
                session.run((now) => tokenFrom(now, r, name).change);
              }}
            >
              Make it a token
            </Button>
          </li>
        );
      })}
      {equal.map((group) => (
        <li key={group[0]?.id}>
          <span>{group.map((t) => t.name).join(", ")} have the same value</span>
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              session.run((now) => mergeTokens(now, group));
            }}
          >
            Make them one
          </Button>
        </li>
      ))}
      {unused.length > 0 && (
        <li>
          <span>Not used: {unused.map((t) => t.name).join(", ")}</span>
        </li>
      )}
    </ul>
  );
};

const Fonts = ({ onRefused }: { onRefused: (reason: string) => void }) => {
  const session = useSession();
  const project = useDisplayedProject();
  useEnv(project.assets);
  const own = Object.values(project.assets).filter((a): a is FontAsset => a.kind === "font");
  const take = async (files: readonly File[]) => {
    for (const file of files) {
      const result = await upload(session, file);
      if (!result.ok) onRefused(result.reason);
    }
  };
  return (
    <>
      <div className="page-head">
        <h2 id="fonts">Fonts</h2>
        <FileButton
          multiple
          label="Add font files"
          accept=".ttf,.otf,.woff,.woff2"
          onFiles={(files) => void take(files)}
        >
          Add font files …
        </FileButton>
      </div>
      <ul className="font-list">
        {own.map((f) => (
          <li key={f.id}>
            <span style={{ fontFamily: `"${f.family}"`, fontWeight: Number(f.weight) }}>
              {f.family}
            </span>
            <span className="quiet small-text">weight {f.weight}, of this project</span>
          </li>
        ))}
        {Object.entries(families).map(([family, list]) => (
          <li key={family}>
            <span style={{ fontFamily: `"${family}"` }}>{family}</span>
            <span className="quiet small-text">{list.join(", ")}</span>
          </li>
        ))}
      </ul>
    </>
  );
};

/** The project's design system: tokens, what could be tidied, fonts. */
export default function System() {
  const session = useSession();
  const project = useDisplayedProject();
  const [note, setNote] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  return (
    <>
      <ProjectBar
        crumbs={[
          <Link key="project" to={`/projects/${session.id}`}>
            {project.name}
          </Link>,
          "System",
        ]}
      />
      <main className="page system" id="content">
        <h1 tabIndex={-1}>Tokens of {project.name}</h1>
        <section aria-labelledby="tidy">
          <h2 id="tidy">
            <Icon name="filter" size={14} /> To tidy
          </h2>
          <Findings />
        </section>
        {tokenTypes.map((type) => (
          <Section key={type} type={type} onNote={setNote} />
        ))}
        <section aria-labelledby="timing-sheet">
          <h2 id="timing-sheet">Timing sheet</h2>
          <TimingSheet />
        </section>
        <section aria-labelledby="fonts">
          <Fonts onRefused={setRefusal} />
        </section>
      </main>
      {refusal !== null && <Notice bad text={refusal} onClose={() => setRefusal(null)} />}
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
}
