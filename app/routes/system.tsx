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
import { routesWords } from "./words";

const words: Readonly<Record<TokenType, { one: string; many: string; fresh: TokenValue }>> = {
  colour: { one: "colour", many: routesWords.colours, fresh: "#1f6f5c" },
  gradient: {
    one: "gradient",
    many: routesWords.gradients,
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
    one: routesWords.textStyle,
    many: routesWords.textStyles,
    fresh: { font: routesWords.hankenGrotesk, weight: "600", size: 18 },
  },
  shadow: {
    one: "shadow",
    many: routesWords.shadows,
    fresh: [{ x: 0, y: 2, blur: 8, spread: 0, colour: "#20302e33" }],
  },
  number: { one: "size", many: routesWords.sizes, fresh: 16 },
  duration: { one: "duration", many: routesWords.durations, fresh: 200 },
  curve: { one: "curve", many: routesWords.curves, fresh: "ease-out" },
  motion: {
    one: "motion",
    many: routesWords.motions,
    fresh: { duration: 240, easing: "ease-out" },
  },
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
              aria-label={routesWords.edit(token.name)}
              aria-expanded={open}
              onClick={onOpen}
            >
              <Sample token={token} />
            </button>
            <span className="token-words">
              {naming === "name" ? (
                <NameField
                  value={token.name}
                  label={routesWords.nameToken}
                  onDone={(name) => {
                    setNaming(null);
                    if (name) session.run(changed(token.id, { name }));
                  }}
                />
              ) : (
                <Button
                  variant="name"
                  className="strong"
                  title={routesWords.rename}
                  onClick={() => setNaming("name")}
                >
                  {token.name}
                </Button>
              )}
              <span className="quiet small-text" title={places.join(", ")}>
                {routesWords.placePiece(alias, count, places.length)}
              </span>
            </span>
            <Dropdown align="end">
              <Dropdown.Toggle variant="tool" size="sm" aria-label={routesWords.more(token.name)}>
                …
              </Dropdown.Toggle>
              <Dropdown.Menu>
                <Dropdown.Item
                  as="button"
                  type="button"
                  onClick={() => setTimeout(() => setNaming("group"))}
                >
                  {routesWords.putIntoGroup}
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
                          routesWords.alias(token.name),
                          { alias: token.id },
                          token.group,
                        ).change,
                    );
                  }}
                >
                  {routesWords.newAlias}
                </Dropdown.Item>
                <Dropdown.Item
                  as="button"
                  type="button"
                  onClick={() => {
                    if (session.run((now) => removeToken(now, token)))
                      onNote(routesWords.wasRemovedWhatWas(token.name));
                  }}
                >
                  {routesWords.remove}
                </Dropdown.Item>
              </Dropdown.Menu>
            </Dropdown>
          </div>
          {naming === "group" && (
            <label className="group-field small-text">
              {routesWords.group}{" "}
              <NameField
                value={token.group || routesWords.group}
                label={routesWords.groupToken}
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
                  session.run(changed(token.id, { value }), routesWords.token(token.id), PATIENCE)
                }
              />
              {uses.length > 0 && (
                <ul className="token-uses" aria-label={routesWords.whereUsed}>
                  {uses.slice(0, 12).map((u) => (
                    <li key={`${u.piece} ${u.look} ${u.layer} ${u.key}`}>
                      <Link to={`/projects/${session.id}/pieces/${u.piece}`}>
                        {project.pieces[u.piece]?.name}
                      </Link>
                      : {project.pieces[u.piece]?.layers[u.layer]?.name}, {labelOf(u.key)}
                    </li>
                  ))}
                  {uses.length > 12 && (
                    <li className="quiet">{routesWords.moreUses(uses.length - 12)}</li>
                  )}
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
          {routesWords.newOne(w.one)}
        </Button>
      </div>
      {own.length === 0 && <p className="quiet small-text">{routesWords.noneYet}</p>}
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
    return <p className="quiet small-text">{routesWords.nothingTidyNoValue}</p>;
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
              <span className="mono">{value}</span> {routesWords.saidPlaces(r.places.length)}
            </span>
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                const name = r.type === "colour" ? value : words[r.type].one;
                session.run((now) => tokenFrom(now, r, name).change);
              }}
            >
              {routesWords.makeToken}
            </Button>
          </li>
        );
      })}
      {equal.map((group) => (
        <li key={group[0]?.id}>
          <span>{routesWords.haveSameValue(group.map((t) => t.name).join(", "))}</span>
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              session.run((now) => mergeTokens(now, group));
            }}
          >
            {routesWords.makeThemOne}
          </Button>
        </li>
      ))}
      {unused.length > 0 && (
        <li>
          <span>{routesWords.notUsed(unused.map((t) => t.name).join(", "))}</span>
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
        <h2 id="fonts">{routesWords.fonts}</h2>
        <FileButton
          multiple
          label={routesWords.addFontFiles}
          accept=".ttf,.otf,.woff,.woff2"
          onFiles={(files) => void take(files)}
        >
          {routesWords.addFontFilesInSystem}
        </FileButton>
      </div>
      <ul className="font-list">
        {own.map((f) => (
          <li key={f.id}>
            <span style={{ fontFamily: `"${f.family}"`, fontWeight: Number(f.weight) }}>
              {f.family}
            </span>
            <span className="quiet small-text">{routesWords.weightThisProject(f.weight)}</span>
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
          routesWords.system,
        ]}
      />
      <main className="page system" id="content">
        <h1 tabIndex={-1}>{routesWords.tokens(project.name)}</h1>
        <section aria-labelledby="tidy">
          <h2 id="tidy">
            <Icon name="filter" size={14} /> {routesWords.tidy}
          </h2>
          <Findings />
        </section>
        {tokenTypes.map((type) => (
          <Section key={type} type={type} onNote={setNote} />
        ))}
        <section aria-labelledby="timing-sheet">
          <h2 id="timing-sheet">{routesWords.timingSheet}</h2>
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
