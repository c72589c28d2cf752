import { useState } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import { Button, Form } from "react-bootstrap";
import { isBound } from "#core/properties";
import type { TokenType } from "#core/project";
import type { Shadow, SpecifiedValue } from "#core/properties";
import { NumberField } from "../ui/fields/NumberField";
import { ColourPart } from "./ColourPart";
import { Panel } from "../ui/floating/Panel";
import { TokenPart } from "./TokenPart";
import { Tabs } from "../ui/Tabs";
import { Tool } from "../ui/Tool";
import { partsWords } from "./words";

const fresh: Shadow = { x: 0, y: 4, blur: 12, spread: 0, colour: "#20302e40" };
const fields = [
  ["x", "across"],
  ["y", "down"],
  ["blur", "blur"],
  ["spread", "spread"],
] as const;

/** Shadows one after the other, the first on top, and the colour of the chosen one. */
export const ShadowList = ({
  shadows,
  onLive,
}: {
  shadows: readonly Shadow[];
  onLive: (s: readonly Shadow[]) => void;
}) => {
  const [open, setOpen] = useState(0);
  const change = (i: number, part: Partial<Shadow>) =>
    onLive(shadows.map((s, k) => (k === i ? { ...s, ...part } : s)));
  const chosen = shadows[open];
  return (
    <div>
      {shadows.map((s, i) => (
        <div key={i} className={`shadow-line${i === open ? " on" : ""}`}>
          <button
            type="button"
            className="chip"
            style={{ background: s.colour === "none" ? undefined : s.colour }}
            aria-label={partsWords.colourShadow(i)}
            aria-pressed={i === open}
            onClick={() => setOpen(i)}
          />
          {fields.map(([key, label]) => (
            <NumberField
              key={key}
              label={partsWords.shadow(label, i)}
              title={label}
              value={s[key]}
              min={key === "blur" ? 0 : -500}
              max={500}
              step={1}
              onChange={(n) => change(i, { [key]: n })}
            />
          ))}
          <label title={partsWords.drawShadowInsideLayer}>
            <Form.Check.Input
              checked={s.inner ?? false}
              onChange={(e) => {
                const { inner: _, ...rest } = s;
                onLive(
                  shadows.map((o, k) => {
                    if (k === i) {
                      return e.target.checked ? { ...rest, inner: true } : rest;
                    }
                    return o;
                  }),
                );
              }}
            />{" "}
            {partsWords.inset}
          </label>
          <Tool
            size="sm"
            icon="close"
            iconSize={12}
            label={partsWords.removeShadow(i)}
            onClick={() => onLive(shadows.filter((_, k) => k !== i))}
          />
        </div>
      ))}
      <div className="gradient-line">
        <Button
          variant="outline-primary"
          size="sm"
          disabled={shadows.length >= 12}
          onClick={() => {
            onLive([...shadows, fresh]);
            setOpen(shadows.length);
          }}
        >
          {partsWords.addShadow}
        </Button>
      </div>
      {chosen && (
        <ColourPart
          key={open}
          colour={chosen.colour}
          onPick={(colour) => change(open, { colour })}
        />
      )}
    </div>
  );
};

interface Props {
  /** the types of token it can be bound to */
  tokens: readonly TokenType[];
  said: SpecifiedValue | undefined;
  shadows: readonly Shadow[];
  onLive: (said: SpecifiedValue) => void;
  onDone: () => void;
  onKeyDown: (e: KeyboardEvent) => void;
  hint?: ReactNode;
}

/** A layer's shadows: outer and inner ones, each with its colour; or a token. */
export const ShadowPanel = (props: Props) => {
  const { tokens, said, shadows, onLive, onDone, onKeyDown, hint } = props;
  const [token, setToken] = useState(isBound(said));
  return (
    <Panel label={partsWords.shadows} width={300} height={430} onKeyDown={onKeyDown} hint={hint}>
      <Tabs
        label={partsWords.shadowsOrToken}
        value={token ? "token" : "shadows"}
        tabs={[
          { value: "shadows", words: partsWords.shadows },
          { value: "token", words: partsWords.token },
        ]}
        onOpen={(tab) => setToken(tab === "token")}
      />
      <div className="panel-body">
        {token ? (
          <TokenPart wanted={tokens} said={said} onPick={onLive} />
        ) : (
          <ShadowList shadows={shadows} onLive={onLive} />
        )}
      </div>
      <div className="panel-foot">
        <Button size="sm" onClick={onDone}>
          {partsWords.done}
        </Button>
      </div>
    </Panel>
  );
};
