import { memo, useCallback, useMemo, useRef } from "react";
import type { ComponentType, MouseEvent } from "react";
import { useNavigate } from "react-router";
import { findBox } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { reached, variantKey, variantName, variantsOf } from "#core/looks";
import type { Variant } from "#core/project";
import { countRender } from "../../../ui/renders";
import { cardKey, chooseCard } from "../../state/active";
import {
  useActive,
  useBench,
  useBenchStore,
  useChosen,
  usePiece,
  useSceneOf,
  useVarying,
  useWorkpiece,
} from "../../state/context";
import { pickLayer } from "../../state/pick";
import { CardCanvas } from "./CardCanvas";
import type { Draw } from "./CardCanvas";
import { PosedCanvas } from "./PosedCanvas";
import { CardHead } from "./CardHead";
import { Frames } from "../Frames";
import { MarksLayer } from "../Marks";
import { OnionPath } from "./OnionPath";
import { ReferenceView } from "../Reference";
import { useSession } from "../../../session/context";
import { useSteady } from "../useSteady";
import { useCardHand } from "./useCardHand";
import { stageWords } from "../words";

/** What tools draw over a card. */
export interface OverCard {
  /** the key of the card */
  readonly of: string;
  readonly zoom: number;
  /** the card is the one looked at */
  readonly active: boolean;
}

interface Props {
  readonly env: LayoutEnv;
  readonly variant: Variant;
  readonly zoom: number;
  readonly pinned: boolean;
  readonly Over: ComponentType<OverCard>;
  readonly onMenu: (e: MouseEvent, variant: Variant, whole: boolean) => void;
}

const widthOf = (placed: LayoutBox | null) => placed?.width ?? 0;
const heightOf = (placed: LayoutBox | null) => placed?.height ?? 0;
const isCovered = (placed: LayoutBox | null) => placed !== null && placed.values.fill !== "none";

/** How a card stands to what is chosen. */
const useStanding = (variant: Variant) => {
  const piece = useVarying();
  const active = useActive();
  const key = variantKey(piece, variant);
  const { moment } = useSession();
  const isThis = (v: Variant) => variantKey(piece, v) === key;
  return {
    active: isThis(active.variant),
    picked: active.variants.length > 1 && active.variants.some(isThis),
    // in an earlier moment no edit reaches anything
    lit: moment === null && reached(active.whens, variant),
    several: variantsOf(piece).length > 1,
    name: variantName(piece, variant),
  };
};

/** One variant, really painted and directly editable. */
export const Card = memo(function Card({ env, variant, zoom, pinned, Over, onMenu }: Props) {
  countRender("card");
  const workpiece = useWorkpiece();
  const store = useBenchStore();
  const navigate = useNavigate();
  const varying = useVarying();
  const key = cardKey(varying, variant);
  const width = useSceneOf(key, widthOf);
  const height = useSceneOf(key, heightOf);
  // a piece with a ground of its own would hide what lies under it
  const steady = useSteady(width, height);
  const covered = useSceneOf(key, isCovered);
  const preview = useBench((s) => (s.preview?.key === key ? s.preview : null));
  const chosen = useChosen();
  const { active, picked, lit, several, name } = useStanding(variant);
  const posing = useBench((s) => (s.tool === "pose" && active ? s.posing : null));
  const aside = useBench((s) => s.editing && !lit);
  const shaping = useBench((s) => s.shaping);
  const tool = useBench((s) => s.tool);
  const reference = usePiece((p) => p.reference);
  const typing = useBench((s) => s.typing !== null);
  const draw = useRef<Draw>(null);
  const takeDraw = useCallback((next: Draw) => {
    draw.current = next;
  }, []);
  const { pointer, goIn } = useCardHand({ env, variant, of: key, zoom, draw });
  const onDoubleClick = (e: MouseEvent<HTMLElement>) => {
    const layer = workpiece.piece?.layers[goIn(e) ?? ""];
    if (layer?.kind === "text") store.getState().type({ layer: layer.id, fresh: false });
    if (layer?.kind === "path") store.getState().shape(layer.id);
    const placed = workpiece.scenes.get(key);
    if (layer?.kind !== "instance" || !placed) return;
    const component = findBox(placed, layer.id)?.placed.values.component;
    if (typeof component === "string" && workpiece.project.pieces[component])
      void navigate(`${workpiece.session.home}/pieces/${component}`);
  };
  const openMenu = (e: MouseEvent) => {
    const { piece, state } = workpiece;
    const placed = workpiece.scenes.get(key);
    if (!placed || !piece) return;
    if (!active) chooseCard(piece, state, variant, false);
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [(e.clientX - box.left) / zoom, (e.clientY - box.top) / zoom];
    const hit = pickLayer(piece, placed, x, y, state.chosen);
    if (hit !== null && !state.chosen.includes(hit)) state.choose([hit]);
    onMenu(e, variant, false);
  };
  const ofCard = useCallback((e: MouseEvent, on: Variant) => onMenu(e, on, true), [onMenu]);
  const shaped = active && shaping !== null && chosen.includes(shaping);
  const handles = active && !typing && !shaped && tool === "choose";
  const marks = useMemo(
    () =>
      [lit && several && "lit", active && "active", picked && "picked", aside && "aside"].filter(
        Boolean,
      ),
    [lit, several, active, picked, aside],
  );
  const size = { width: steady.width * zoom, height: steady.height * zoom };
  return (
    <section
      className={["card-variant", ...marks].join(" ")}
      aria-label={stageWords.variantName(name)}
      data-variant={variantKey(varying, variant)}
    >
      <CardHead
        variant={variant}
        pressed={active || picked}
        lit={lit}
        several={several}
        pinned={pinned}
        onMenu={ofCard}
      />
      <div className="card-body">
        <div
          className="scene"
          style={size}
          {...pointer}
          onDoubleClick={onDoubleClick}
          onContextMenu={openMenu}
        >
          <div className="piece-edge" />
          {!covered && <ReferenceView reference={reference} zoom={zoom} />}
          {posing ? (
            <PosedCanvas of={key} zoom={zoom} posing={posing} live={takeDraw} />
          ) : (
            <CardCanvas of={key} zoom={zoom} instead={preview?.placed ?? null} live={takeDraw} />
          )}
          {preview && (
            <OnionPath preview={preview} width={size.width} height={size.height} zoom={zoom} />
          )}
          {covered && <ReferenceView reference={reference} zoom={zoom} />}
          {!preview && <Frames of={key} chosen={chosen} zoom={zoom} handles={handles} />}
          {active && <MarksLayer zoom={zoom} />}
          <Over of={key} zoom={zoom} active={active} />
        </div>
      </div>
    </section>
  );
});
