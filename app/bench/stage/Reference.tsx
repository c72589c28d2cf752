import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { setReference } from "#core/edit";
import type { Reference } from "#core/project";
import { pictureTypes } from "#core/properties";
import type { PictureAsset } from "#core/properties";
import { Icon } from "../../ui/Icon";
import { Menu } from "../../ui/Menu";
import { NumberField } from "../../ui/NumberField";
import { assetAddress, upload } from "../../session/assets";
import { useProject, useSession } from "../../session/context";
import { useBench, useBenchStore, usePiece } from "../state/state";

/** The reference picture under a card: dimmed, locked, no part of the piece. */
const ReferencePicture = ({ reference, zoom }: { reference: Reference; zoom: number }) => {
  const { assets } = useProject();
  const picture = assets[reference.picture];
  if (picture?.kind !== "picture") return null;
  const height = (reference.width * picture.height) / picture.width;
  return (
    <img
      className="reference"
      alt=""
      draggable={false}
      src={assetAddress(picture.hash)}
      style={{
        left: reference.x * zoom,
        top: reference.y * zoom,
        width: reference.width * zoom,
        height: height * zoom,
        opacity: reference.opacity,
      }}
    />
  );
};

/** It is seen as far as the card goes, so that it does not lie over the next one. */
export const ReferenceView = ({ reference, zoom }: { reference: Reference | null; zoom: number }) =>
  reference && (
    <div className="reference-room">
      <div className="reference-ground">
        <ReferencePicture reference={reference} zoom={zoom} />
      </div>
    </div>
  );

/** Putting a reference picture under the stage, and its place, size and strength. */
const ReferencePart = () => {
  const session = useSession();
  const project = useProject();
  const piece = usePiece();
  const [trouble, setTrouble] = useState<string | null>(null);
  const { reference } = piece;
  const store = useBenchStore();
  const tool = useBench((s) => s.tool);
  const putBench = useBench((s) => s.put);
  const put = (part: Partial<Reference>) => {
    if (reference) session.edit(setReference(piece, { ...reference, ...part }), "reference");
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    const result = await upload(session, file);
    setTrouble(result.ok ? null : result.reason);
    if (!result.ok || result.kind !== "picture") return;
    const state = store.getState();
    const asset = session.project.assets[result.id] as PictureAsset;
    const now = session.project.pieces[piece.id];
    // a picture of a screen is often larger than the part it shows: it begins as wide as the piece
    const wide = state.scenes.current.values().next().value?.width ?? asset.width;
    if (now)
      session.edit(
        setReference(now, {
          picture: asset.id,
          x: 0,
          y: 0,
          width: Math.min(asset.width, Math.round(wide)),
          opacity: 0.4,
        }),
      );
  };
  return (
    <div className="reference-part">
      <div className="side-head">
        <h2 className="caption m-0">Reference picture</h2>
        {reference ? (
          <button
            type="button"
            className="tool small"
            aria-label="Take the reference picture away"
            title="Take it away"
            onClick={() => {
              session.edit(setReference(piece, null));
            }}
          >
            <Icon name="close" size={12} />
          </button>
        ) : (
          <label className="btn btn-sm btn-outline-primary file-button">
            Choose …
            <input
              type="file"
              aria-label="Choose a reference picture"
              accept={pictureTypes.join(",")}
              onChange={(e) => {
                void take(e.target.files?.[0]);
                e.target.value = "";
              }}
            />
          </label>
        )}
      </div>
      {!reference && (
        <p className="quiet small mb-0">
          A picture under the cards to measure (M) and trace. It is no part of the piece.
        </p>
      )}
      {trouble !== null && (
        <p className="text-danger small mb-0" role="alert">
          {trouble}
        </p>
      )}
      {reference && (
        <div className="reference-line">
          <span title={project.assets[reference.picture]?.name}>x</span>
          <NumberField
            label="Reference x"
            value={reference.x}
            min={-1e4}
            max={1e4}
            step={1}
            onChange={(x) => put({ x })}
          />
          <span>y</span>
          <NumberField
            label="Reference y"
            value={reference.y}
            min={-1e4}
            max={1e4}
            step={1}
            onChange={(y) => put({ y })}
          />
          <span>wide</span>
          <NumberField
            label="Reference width"
            value={reference.width}
            min={1}
            max={1e4}
            step={1}
            onChange={(width) => put({ width })}
          />
          <input
            type="range"
            className="form-range"
            aria-label="Strength of the reference"
            min={0.05}
            max={1}
            step={0.05}
            value={reference.opacity}
            onChange={(e) => put({ opacity: Number(e.target.value) })}
          />
          <button
            type="button"
            className={`tool small${tool === "dropper" ? " on" : ""}`}
            aria-pressed={tool === "dropper"}
            title="Pick a colour from it (Q)"
            onClick={() => putBench({ tool: tool === "dropper" ? "choose" : "dropper" })}
          >
            <Icon name="dropper" size={13} />
            Pick
          </button>
        </div>
      )}
    </div>
  );
};

/** The button that opens what there is to say about the reference picture. */
export const ReferenceMenu = () => (
  <Dropdown autoClose="outside" drop="up">
    <Dropdown.Toggle
      as="button"
      type="button"
      className="tool"
      aria-label="Reference picture"
      title="A picture under the cards to measure and trace"
    >
      <Icon name="picture" size={14} />
    </Dropdown.Toggle>
    <Menu className="reference-menu">
      <ReferencePart />
    </Menu>
  </Dropdown>
);
