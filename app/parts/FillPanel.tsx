import { useState } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import { Button, Form } from "react-bootstrap";
import type { TokenType } from "#core/project";
import { fits, isBound } from "#core/properties";
import type { Fill, PictureFill, SpecifiedValue, Stop, ValueType } from "#core/properties";
import { AssetPart } from "./AssetPart";
import { ColourPart, remember } from "./ColourPart";
import { GradientPart } from "./GradientPart";
import { Panel } from "../ui/floating/Panel";
import { TokenPart } from "./TokenPart";
import { Tabs } from "../ui/Tabs";
import { partsWords } from "./words";

type Kind = "colour" | "linear" | "radial" | "picture" | "token";
const words: Readonly<Record<Kind, string>> = {
  colour: partsWords.colour,
  linear: partsWords.linear,
  radial: partsWords.radial,
  picture: partsWords.image,
  token: partsWords.token,
};

const colourOf = (fill: Fill): string => {
  if (typeof fill === "string") {
    return fill;
  }
  return fill.kind === "picture" ? "#c9d8d2" : (fill.stops[0]?.colour ?? "#c9d8d2");
};
const stopsOf = (fill: Fill): readonly Stop[] => {
  if (typeof fill === "object" && fill.kind !== "picture") return fill.stops;
  const colour = colourOf(fill) === "none" ? "#1f6f5c" : colourOf(fill);
  return [
    { at: 0, colour },
    { at: 1, colour: `${colour.slice(0, 7)}00` },
  ];
};
const kindOf = (fill: Fill): Kind => (typeof fill === "string" ? "colour" : fill.kind);

/** One kind of fill out of another, keeping what the two have in common. */
const turned = (fill: Fill, kind: Kind): Fill => {
  if (kind === "colour") return colourOf(fill);
  if (kind === "linear") return { kind, angle: 180, stops: stopsOf(fill) };
  if (kind === "radial")
    return { kind, centre: [0.5, 0.5], radii: [0.5, 0.5], stops: stopsOf(fill) };
  return { kind: "picture", picture: "", fit: "cover", focus: [50, 50] };
};

interface Props {
  type: ValueType;
  /** the types of token it can be bound to */
  tokens: readonly TokenType[];
  said: SpecifiedValue | undefined;
  fill: Fill;
  onLive: (said: SpecifiedValue) => void;
  onDone: () => void;
  onKeyDown: (e: KeyboardEvent) => void;
  hint?: ReactNode;
}

/** What fills a layer: a colour, a gradient, a picture, or a token. */
export const FillPanel = (props: Props) => {
  const { type, tokens, said, fill, onLive, onDone, onKeyDown, hint } = props;
  const [kind, setKind] = useState<Kind>(isBound(said) ? "token" : kindOf(fill));
  const kinds: Kind[] =
    type.is === "fill" ? ["colour", "linear", "radial", "picture", "token"] : ["colour", "token"];
  const go = (next: Kind) => {
    setKind(next);
    if (next !== "token" && (isBound(said) || kindOf(fill) !== next) && next !== "picture")
      onLive(turned(fill, next));
  };
  const picture: PictureFill =
    typeof fill === "object" && fill.kind === "picture"
      ? fill
      : (turned(fill, "picture") as PictureFill);
  return (
    <Panel
      label={partsWords.fill}
      width={292}
      height={kind === "linear" || kind === "radial" ? 440 : 356}
      onKeyDown={onKeyDown}
      hint={hint}
    >
      <Tabs
        label={partsWords.fillType}
        value={kind}
        tabs={kinds.map((k) => ({ value: k, words: words[k] }))}
        onOpen={go}
      />
      <div className="panel-body">
        {kind === "colour" && <ColourPart colour={colourOf(fill)} onPick={onLive} />}
        {(kind === "linear" || kind === "radial") &&
          typeof fill === "object" &&
          fill.kind === kind && <GradientPart gradient={fill} onChange={onLive} />}
        {kind === "picture" && (
          <>
            <AssetPart
              of="picture"
              chosen={typeof picture.picture === "string" ? picture.picture : picture.picture.id}
              onPick={(id) => onLive({ ...picture, picture: id })}
            />
            <label className="gradient-line">
              {partsWords.imageFit}
              <Form.Select
                className="word"
                value={picture.fit}
                onChange={(e) => onLive({ ...picture, fit: e.target.value as PictureFill["fit"] })}
              >
                {fits.map((f) => (
                  <option key={f}>{f}</option>
                ))}
              </Form.Select>
            </label>
          </>
        )}
        {kind === "token" && (
          <>
            <TokenPart wanted={tokens} said={said} onPick={onLive} />
            <p className="note">{partsWords.createTokensSystemPage}</p>
          </>
        )}
      </div>
      <div className="panel-foot">
        <Button
          size="sm"
          onClick={() => {
            if (typeof fill === "string") remember(fill);
            onDone();
          }}
        >
          {partsWords.done}
        </Button>
      </div>
    </Panel>
  );
};
