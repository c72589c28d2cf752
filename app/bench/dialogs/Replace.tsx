import { useMemo, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { placesSaying, replaceAt } from "#core/edit";
import type { ValuePlace } from "#core/edit";
import { conditionText } from "#core/looks";
import { isBound, labelOf, parseValue, property, registry, showValue } from "#core/properties";
import { useBench, useCommand, usePiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { tokenWords } from "../../parts/tokens";
import { dialogsWords } from "./words";

const keysWithText = registry.filter(
  (p) => !["reference", "style", "asset", "path"].includes(p.type.is),
);

/** Find a value said anywhere in the piece or the project, and say another one there instead. */
export const Replace = () => {
  const command = useCommand();
  const project = useDisplayedProject();
  const piece = usePiece();
  const closeDialog = useBench((s) => s.closeDialog);
  const chosen = useBench((s) => s.chosen);
  const [key, setKey] = useState("any");
  const [find, setFind] = useState("");
  const [next, setNext] = useState("");
  const [where, setWhere] = useState<"layers" | "piece" | "project">("piece");
  const [done, setDone] = useState<string | null>(null);
  const words = (p: ValuePlace): string => {
    if (isBound(p.said)) {
      return project.tokens[p.said.token]
        ? tokenWords(project.tokens[p.said.token] as never)
        : dialogsWords.removedToken;
    }
    return showValue(p.said);
  };
  const places = useMemo(() => {
    const text = find.trim().toLowerCase();
    if (text === "") return [];
    return placesSaying(project, where === "project" ? null : piece.id, (p) => {
      const entry = property(p.key);
      if (!entry || (key !== "any" && p.key !== key) || !keysWithText.includes(entry)) return false;
      if (where === "layers" && !chosen.includes(p.layer)) return false;
      const said = words(p).toLowerCase();
      if (said === text) return true;
      if (p.key === "text") return said.includes(text);
      const typed = parseValue(entry.type, text, p.said as never);
      return typed.ok && JSON.stringify(typed.value) === JSON.stringify(p.said);
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- words only reads the project
  }, [project, piece, find, key, where, chosen]);
  const token = Object.values(project.tokens).find(
    (t) => tokenWords(t).toLowerCase() === next.trim().toLowerCase(),
  );
  const changed = places.map((p) => {
    const entry = property(p.key);
    if (!entry || next.trim() === "") return null;
    if (token) return { place: p, said: { token: token.id } };
    if (p.key === "text" && typeof p.said === "string")
      return {
        place: p,
        said: p.said.replace(
          new RegExp(find.trim().replace(/[.*+?^${}()|[\]\\]/g, "\\$&"), "gi"),
          () => next,
        ),
      };
    const typed = parseValue(entry.type, next, p.said as never);
    return typed.ok ? { place: p, said: typed.value } : null;
  });
  const good = changed.filter((c) => c !== null);
  const problem =
    next.trim() !== "" && places.length > 0 && good.length === 0
      ? dialogsWords.newValueDoesNot
      : null;
  const run = () => {
    const groups = new Map<string, { places: ValuePlace[]; said: (typeof good)[number]["said"] }>();
    for (const c of good) {
      const k = JSON.stringify(c.said);
      const g = groups.get(k) ?? { places: [], said: c.said };
      g.places.push(c.place);
      groups.set(k, g);
    }
    const ops = [...groups.values()].flatMap((g) => replaceAt(g.places, g.said).ops);
    if (
      command(() => ({
        label: dialogsWords.replaceByPlaces(find, next, good.length).slice(0, 200),
        ops,
      }))
    )
      setDone(dialogsWords.replacedPlaceUndoTakes(good.length));
  };
  return (
    <Modal show onHide={closeDialog} aria-labelledby="replace-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="replace-title">
          {dialogsWords.findReplaceValue}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <form
          className="replace-form"
          onSubmit={(e) => {
            e.preventDefault();
            if (good.length) run();
          }}
        >
          <label>
            {dialogsWords.property}{" "}
            <Form.Select size="sm" value={key} onChange={(e) => setKey(e.target.value)}>
              <option value="any">{dialogsWords.any}</option>
              {keysWithText.map((p) => (
                <option key={p.key} value={p.key}>
                  {labelOf(p.key)}
                </option>
              ))}
            </Form.Select>
          </label>
          <label>
            {dialogsWords.find}{" "}
            <Form.Control
              size="sm"
              autoFocus
              value={find}
              onChange={(e) => {
                setFind(e.target.value);
                setDone(null);
              }}
              placeholder={dialogsWords.c9c3b416Dock}
            />
          </label>
          <label>
            {dialogsWords.sayInstead}{" "}
            <Form.Control
              size="sm"
              value={next}
              onChange={(e) => {
                setNext(e.target.value);
                setDone(null);
              }}
              placeholder={dialogsWords.valueOrNameToken}
            />
          </label>
          <label>
            {dialogsWords.in}{" "}
            <Form.Select
              size="sm"
              value={where}
              onChange={(e) => setWhere(e.target.value as typeof where)}
            >
              <option value="layers">{dialogsWords.chosenLayers}</option>
              <option value="piece">{piece.name}</option>
              <option value="project">{dialogsWords.wholeProject}</option>
            </Form.Select>
          </label>
          <ul className="replace-list" aria-label={dialogsWords.places}>
            {places.slice(0, 60).map((p) => {
              const home = project.pieces[p.piece];
              const look = home?.looks[p.look];
              return (
                <li key={`${p.piece} ${p.look} ${p.layer} ${p.key}`}>
                  <b>{home?.layers[p.layer]?.name}</b> {labelOf(p.key)}{" "}
                  <span className="mono">{words(p)}</span>
                  <span className="quiet">
                    {" "}
                    {dialogsWords.place(
                      look && home && Object.keys(look.when).length
                        ? conditionText(home, look.when)
                        : null,
                      where === "project" ? (home?.name ?? "") : null,
                    )}
                  </span>
                </li>
              );
            })}
          </ul>
          <p className="note plain" role="status">
            {done ??
              problem ??
              (find.trim() === ""
                ? dialogsWords.typeValueSheetShows
                : dialogsWords.placePlaces(places.length))}
          </p>
          <div className="actions end">
            <Button size="sm" type="submit" disabled={good.length === 0}>
              {dialogsWords.replace(good.length)}
            </Button>
          </div>
        </form>
      </Modal.Body>
    </Modal>
  );
};
